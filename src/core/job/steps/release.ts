import { type StepRule, ticked } from "../step-rule";

/** Pressure that is left is let out on the gentlest rung the valve has, in the sheet's words. */
export interface ReleaseFacts {
  readonly kind: "release";
  readonly do: string;
}

export const release: StepRule<ReleaseFacts> = { ...ticked, acts: () => [{ do: "release" }] };
