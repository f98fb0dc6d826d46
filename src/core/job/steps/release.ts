import { type StepRule, ticked } from "../step-rule";

/** Pressure that is left is let out on the gentlest rung the valve has, in the sheet's words. */
export interface ReleaseFacts {
  readonly kind: "release";
  readonly do: string;
  /** A motor runs it: its power is locked off afterwards. */
  readonly withPower?: boolean;
  /** L that run out here: what lies higher in the section, which has no drain. */
  readonly runs_L?: number;
}

export const release: StepRule<ReleaseFacts> = {
  ...ticked,
  acts: ({ withPower = false }) => [{ do: "release", withPower }],
};
