import { type StepRule, ticked } from "../step-rule";

/** What can be tested in its line only: it is written on the valve, and the line waits for it. */
export interface UntestedFacts {
  readonly kind: "untested";
  /** Checks, as the sheet asks for them. */
  readonly checks: readonly string[];
}

export const untested: StepRule<UntestedFacts> = { ...ticked };
