import { type StepRule, ticked } from "../step-rule";

/** What stands there is of another build than the register says: looked at again before the work goes by it. */
export interface OtherBuildFacts {
  readonly kind: "other-build";
  /** The builds by their names. */
  readonly registered: string;
  readonly found: string;
}

export const otherBuild: StepRule<OtherBuildFacts> = ticked;
