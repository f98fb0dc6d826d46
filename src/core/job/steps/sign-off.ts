import type { StepRule } from "../step-rule";
import type { NotYet } from "./others";

/** A name under what was found, done and measured. */
export interface SignOffFacts {
  readonly kind: "sign-off";
  /** Who stays without by another job: said in the statement. */
  readonly notYet?: readonly NotYet[];
}

export const signOff: StepRule<SignOffFacts> = {
  takes: {},
  acts: ({ notYet = [] }) => [{ do: "sign", named: notYet.map(({ node }) => node) }],
  stands: (_, { progress }) => ({ kind: progress.signedOff === undefined ? "open" : "done" }),
};
