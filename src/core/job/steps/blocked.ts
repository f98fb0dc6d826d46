import type { Medium } from "../../formats";
import type { IsolationFailure } from "../../isolation";
import type { StepRule } from "../step-rule";

/** Nothing may go on: there is no safe isolation, or no safe way for the pressure out. */
export interface BlockedFacts {
  readonly kind: "blocked";
  readonly why:
    | { readonly kind: "no-isolation"; readonly failure: IsolationFailure }
    | { readonly kind: "no-release"; readonly medium: Medium };
}

export const blocked: StepRule<BlockedFacts> = { takes: {}, stands: () => ({ kind: "halted" }) };
