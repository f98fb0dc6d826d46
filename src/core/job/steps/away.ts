import type { Medium } from "../../formats";
import type { Away } from "../away-from";
import { type StepRule, ticked } from "../step-rule";

/** Before a tool is on a valve that is out of its line: is it empty, and without pressure? */
export interface AwayFacts {
  readonly kind: "away";
  readonly where: Away;
  readonly medium: Medium;
}

export const away: StepRule<AwayFacts> = { ...ticked };
