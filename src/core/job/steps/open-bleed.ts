import { type StepRule, ticked } from "../step-rule";

/** A bleed between two barriers is opened and stays open. */
export interface OpenBleedFacts {
  readonly kind: "open-bleed";
  readonly node: string;
  readonly name: string;
  /** The valves on both sides of it. */
  readonly between: readonly string[];
}

export const openBleed: StepRule<OpenBleedFacts> = {
  ...ticked,
  acts: ({ node }) => [{ do: "open-point", node }],
};
