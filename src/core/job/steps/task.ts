import type { EntryRefusal } from "../refusal";
import { entryOf, type StepRule } from "../step-rule";
import { refuseTick, refuseUnticked, type TickLine } from "./lines";
import { type Carried, expects, movesOf } from "./standing";

/** Work on the valve that takes nothing off: greasing, soaking, running a cycle. In the sheet's words. */
export interface TaskFacts extends Carried {
  readonly kind: "task";
  readonly task: string;
  readonly do: string;
  readonly why: string;
  /** The position it leaves the valve in, where it moves it. */
  readonly leaves?: string;
  /** Ticked one by one. */
  readonly lines?: readonly TickLine[];
  /** What is counted while it is done, how many it may be, and how many it was where it has to be as many. */
  readonly count?: { readonly what: string; readonly most: number; readonly before?: number };
}

/** A number that was counted: one at least, and never more than does harm. */
function counted({ count }: TaskFacts, said: string): EntryRefusal | undefined {
  if (count === undefined) return undefined;
  const { what, most } = count;
  const number = /^\d+$/.test(said) ? Number(said) : 0;
  return number >= 1 && number <= most ? undefined : { path: "/entry", kind: "count-them", what, most };
}

export const task: StepRule<TaskFacts> = {
  takes: {
    "line-ticked": ({ lines }, { line }) => refuseTick(lines, line),
    "step-done": (step, event, { progress }) =>
      refuseUnticked(step, progress) ?? counted(step, entryOf(event)),
    "photo-taken": () => undefined,
  },
  acts: ({ task, leaves, ...carried }) => [
    ...expects(carried),
    ...movesOf(carried),
    { do: "work-on", task },
    ...(leaves === undefined ? [] : [{ do: "move" as const, to: leaves }]),
  ],
};
