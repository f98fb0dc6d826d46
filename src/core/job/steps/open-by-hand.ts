import type { Flow } from "../../formats";
import { type StepRule, written } from "../step-rule";

/** What was shut by the site's drawing is opened again. */
export interface OpenByHandFacts {
  readonly kind: "open-by-hand";
  /** What was written down when it was shut. */
  readonly wrote?: string;
  /** Only what lets this in; the rest comes later. */
  readonly flow?: Flow;
}

export const openByHand: StepRule<OpenByHandFacts> = { ...written, acts: () => [{ do: "open-by-hand" }] };
