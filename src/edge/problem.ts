import type { Problem } from "@/core/result";

/** Why a request is not done, as a value: the status, a headline, and every problem at its path with what to do. */
export interface Refusal {
  readonly status: number;
  readonly title: string;
  readonly problems: readonly Problem[];
  /** Facts beside the words. */
  readonly more?: Readonly<Record<string, unknown>>;
}

export const refusal = (
  status: number,
  title: string,
  problems: readonly Problem[],
  more?: Readonly<Record<string, unknown>>,
): Refusal => ({ status, title, problems, ...(more !== undefined && { more }) });

/** A refusal of one thing, at one path. */
export const refused = (status: number, title: string, message: string, path = ""): Refusal =>
  refusal(status, title, [{ path, message }]);

export const PROBLEM_TYPE = "application/problem+json";

/** The body of an error answer (RFC 9457). */
export const problemBody = ({ status, title, problems, more }: Refusal) => ({
  type: "about:blank",
  title,
  status,
  errors: problems,
  ...more,
});

export const problemAnswer = (each: Refusal): Response =>
  Response.json(problemBody(each), { status: each.status, headers: { "content-type": PROBLEM_TYPE } });
