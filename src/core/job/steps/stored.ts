import { type StepRule, written } from "../step-rule";

/** What closures do not take away (springs, heat, charge) is let out or waited out. */
export interface StoredFacts {
  readonly kind: "stored";
}

export const stored: StepRule<StoredFacts> = { ...written, acts: () => [{ do: "let-go-of-stored" }] };
