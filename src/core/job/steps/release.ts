import { type StepRule, ticked } from "../step-rule";

/** Pressure that is left is let out on the gentlest rung the valve has, in the sheet's words. */
export interface ReleaseFacts {
  readonly kind: "release";
  readonly do: string;
  /** A motor runs it: its power is locked off afterwards. */
  readonly withPower?: boolean;
}

export const release: StepRule<ReleaseFacts> = {
  ...ticked,
  acts: ({ withPower = false }) => [{ do: "release", withPower }],
};
