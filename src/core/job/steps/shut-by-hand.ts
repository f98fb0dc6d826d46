import { type StepRule, written } from "../step-rule";

/** No line is drawn: every way in is shut by the site's drawing. */
export interface ShutByHandFacts {
  readonly kind: "shut-by-hand";
  readonly says: string;
}

export const shutByHand: StepRule<ShutByHandFacts> = { ...written, acts: () => [{ do: "shut-by-hand" }] };
