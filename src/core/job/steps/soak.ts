import { type StepRule, waited } from "../step-rule";

/** What a task needs time for. */
export interface SoakFacts {
  readonly kind: "soak";
  readonly why: string;
  /** Longer than this harms it. */
  readonly most_min?: number;
}

export const soak: StepRule<SoakFacts> = {
  ...waited,
  acts: ({ minutes }) => [{ do: "wait", minutes, for: "a-soak" }],
};
