import { entryOf, type StepRule } from "../step-rule";
import type { Noted } from "./mark";
import { type NotedFigure, refuseOtherwise } from "./noted-figure";

/** What was noted before the strip, shown again: it has to be so now. */
export interface ConfirmFacts {
  readonly kind: "confirm";
  /** What it confirms. */
  readonly of: string;
  readonly about: Noted;
  readonly noted: string;
  /** How it has to be, where it was found otherwise. */
  readonly right?: string;
  readonly choices: readonly string[];
  readonly figure?: NotedFigure;
  /** The step at which it was noted. */
  readonly mark: string;
}

export const confirm: StepRule<ConfirmFacts> = {
  takes: {
    "step-done": ({ noted, right = noted, figure }, event) => {
      if (figure !== undefined) return refuseOtherwise(entryOf(event), noted, figure);
      if (entryOf(event) === right) return undefined;
      return right === noted
        ? { path: "/entry", kind: "noted-otherwise", noted }
        : { path: "/entry", kind: "has-to-be", right };
    },
    "photo-taken": () => undefined,
  },
  acts: ({ of }) => [{ do: "confirm", mark: of }],
};
