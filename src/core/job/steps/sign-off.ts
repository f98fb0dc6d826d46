import type { StepRule } from "../step-rule";

/** A name under what was found, done and measured. */
export interface SignOffFacts {
  readonly kind: "sign-off";
}

export const signOff: StepRule<SignOffFacts> = {
  takes: {},
  acts: () => [{ do: "sign" }],
  stands: (_, { progress }) => ({ kind: progress.signedOff === undefined ? "open" : "done" }),
};
