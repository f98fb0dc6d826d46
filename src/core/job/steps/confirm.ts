import { entryOf, type StepRule } from "../step-rule";
import type { Noted } from "./mark";

/** What was noted before the strip, shown again: it has to be so now. */
export interface ConfirmFacts {
  readonly kind: "confirm";
  /** What it confirms. */
  readonly of: string;
  readonly about: Noted;
  readonly noted: string;
  readonly choices: readonly string[];
  /** The step at which it was noted. */
  readonly mark: string;
}

export const confirm: StepRule<ConfirmFacts> = {
  takes: {
    "step-done": ({ noted }, event) =>
      entryOf(event) === noted ? undefined : { path: "/entry", kind: "noted-otherwise", noted },
    "photo-taken": () => undefined,
  },
  acts: ({ of }) => [{ do: "confirm", mark: of }],
};
