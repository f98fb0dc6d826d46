import { type StepRule, ticked } from "../step-rule";

/** Work on the valve that takes nothing off: greasing, soaking, running a cycle. In the sheet's words. */
export interface TaskFacts {
  readonly kind: "task";
  readonly task: string;
  readonly do: string;
  readonly why: string;
}

export const task: StepRule<TaskFacts> = { ...ticked, acts: ({ task }) => [{ do: "work-on", task }] };
