import { type StepRule, ticked } from "../step-rule";
import { type Carried, expects, movesOf } from "./standing";

/** Work on the valve that takes nothing off: greasing, soaking, running a cycle. In the sheet's words. */
export interface TaskFacts extends Carried {
  readonly kind: "task";
  readonly task: string;
  readonly do: string;
  readonly why: string;
  /** The position it leaves the valve in, where it moves it. */
  readonly leaves?: string;
}

export const task: StepRule<TaskFacts> = {
  ...ticked,
  acts: ({ task, leaves, ...carried }) => [
    ...expects(carried),
    ...movesOf(carried),
    { do: "work-on", task },
    ...(leaves === undefined ? [] : [{ do: "move" as const, to: leaves }]),
  ],
};
