import type { Medium } from "../../formats";
import { askedTwice, type StepRule } from "../step-rule";

/** Nothing is shut: the work is done with the medium in the pipe, and why the sheet allows that. */
export interface LiveFacts {
  readonly kind: "live";
  readonly medium: Medium;
  readonly allowed: string;
  /** What the sheet says where no line is drawn. */
  readonly says: string;
}

export const live: StepRule<LiveFacts> = {
  ...askedTwice,
  acts: () => [{ do: "agree", about: "work-under-pressure" }],
};
