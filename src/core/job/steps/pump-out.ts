import { type StepRule, written } from "../step-rule";

/** A vessel is drawn down until nothing in it could boil. */
export interface PumpOutFacts {
  readonly kind: "pump-out";
  readonly node: string;
  readonly name: string;
}

export const pumpOut: StepRule<PumpOutFacts> = {
  ...written,
  acts: ({ node }) => [{ do: "pump-down", node }],
};
