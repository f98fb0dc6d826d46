import type { Problem } from "@/core/result";

export type Task =
  | "isolate"
  | "plan-strip"
  | "cover"
  | "plan-job"
  | "prove-job"
  | "trouble-next"
  | "trouble-bring"
  | "rounds-day"
  | "rounds-plan";

/** What a worker found: an answer, or why there is none. */
export type TaskResult =
  | { readonly ok: true; readonly value: object }
  | {
      readonly ok: false;
      readonly status: 400 | 422;
      readonly title: string;
      readonly problems: readonly Problem[];
      readonly more?: Readonly<Record<string, unknown>>;
    };
