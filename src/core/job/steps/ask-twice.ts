import { askedTwice, type StepRule, unlessDone } from "../step-rule";
import type { Doing } from "./strip";

/** The question before a step that is done with pressure behind it, in the sheet's own words. */
export interface AskTwiceFacts {
  readonly kind: "ask-twice";
  readonly allowed: string;
  /** The step it stands before, and what is done there. */
  readonly before: string;
  readonly next: Doing;
}

export const askTwice: StepRule<AskTwiceFacts> = {
  ...askedTwice,
  stands: unlessDone(({ before }) => before),
};
