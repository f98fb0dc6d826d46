import type { Progress } from "../progress";
import type { StepHead } from "../step-head";
import type { StepRule } from "../step-rule";

/** Locker cures before anything pulls at it: its clock runs from the moment the last of them went in. */
export interface CureFacts {
  readonly kind: "cure";
  readonly parts: readonly { readonly id: string; readonly name: string; readonly cure_min: number }[];
}

/** When the last of them has cured, ms; nothing while one is still to go in. */
export function curedAt({ parts }: CureFacts, { fitted }: Progress): number | undefined {
  const each = parts.map(({ id, cure_min }) => (fitted.get(id)?.at ?? Number.NaN) + cure_min * 60_000);
  const last = Math.max(...each);
  return Number.isNaN(last) ? undefined : last;
}

export const cure: StepRule<CureFacts> = {
  takes: {
    "step-done": (step, _, { progress, at }) => {
      const until = curedAt(step, progress);
      return until === undefined || at >= until
        ? undefined
        : { path: "/at", kind: "wait-not-over", minutes: Math.ceil((until - at) / 60_000) };
    },
  },
  acts: ({ minutes }: StepHead) => [{ do: "wait", minutes, for: "a-cure" }],
  stands: (step, { progress }) => {
    if (progress.done.has(step.id)) return { kind: "done" };
    const until = curedAt(step, progress);
    return until === undefined ? { kind: "open" } : { kind: "running", until };
  },
};
