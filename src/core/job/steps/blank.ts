import { type StepRule, ticked } from "../step-rule";

/** A header that others blow into is blanked while this valve is off it, and not a moment longer. */
export interface BlankFacts {
  readonly kind: "blank";
  readonly how: "goes-in" | "comes-out";
  readonly header: string;
  /** What blows into it, too. */
  readonly others: readonly string[];
}

export const blank: StepRule<BlankFacts> = {
  ...ticked,
  acts: ({ how }) => [{ do: how === "goes-in" ? "blank" : "unblank" }],
};
