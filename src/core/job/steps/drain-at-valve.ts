import { type StepRule, ticked } from "../step-rule";

/** The section has no drain: it is let out at the valve itself. */
export interface DrainAtValveFacts {
  readonly kind: "drain-at-valve";
  readonly volume_L: number;
}

export const drainAtValve: StepRule<DrainAtValveFacts> = { ...ticked, acts: () => [{ do: "release" }] };
