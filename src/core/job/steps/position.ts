import { type StepRule, ticked } from "../step-rule";

/** The spindle, handle or key is moved so that the next part can come off or go in, or as it is left at the end. */
export interface PositionFacts {
  readonly kind: "position";
  readonly to: string;
  /** As the sheet says it. */
  readonly do: string;
  readonly name: string;
  readonly for: "taking-off" | "putting-in" | "the-end";
}

export const position: StepRule<PositionFacts> = { ...ticked, acts: ({ to }) => [{ do: "move", to }] };
