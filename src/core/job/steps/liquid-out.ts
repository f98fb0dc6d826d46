import type { Medium } from "../../formats";
import { type StepRule, written } from "../step-rule";

/** Liquid is boiled or let out of a vessel above its triple point: below it what is left turns to ice. */
export interface LiquidOutFacts {
  readonly kind: "liquid-out";
  readonly medium: Medium;
  readonly node: string;
  readonly name: string;
  /** It is held above this until the liquid is gone, bar gauge. */
  readonly above_bar: number;
}

export const liquidOut: StepRule<LiquidOutFacts> = {
  ...written,
  acts: ({ node }) => [{ do: "let-liquid-out", node }],
};
