import type { Medium } from "../../formats";
import { type StepRule, ticked } from "../step-rule";
import type { ProvePlace } from "./gauge";

/** Vapour is let in by a hose until the section stands under pressure: liquid would freeze or hammer in an empty one. */
export interface ChargeFacts {
  readonly kind: "charge";
  readonly medium: Medium;
  readonly where: ProvePlace;
  readonly node?: string;
  /** Until the gauge shows more than this, bar gauge. */
  readonly above_bar: number;
}

export const charge: StepRule<ChargeFacts> = {
  ...ticked,
  acts: ({ node, above_bar }) => (node === undefined ? [] : [{ do: "charge", node, to_bar: above_bar + 1 }]),
};
