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
  /** It may not be left on its way: how long that may take, s; and whether its gas, worked out in this job, lasts no longer. */
  readonly swing?: { readonly most_s: number; readonly workedOut: boolean };
}

/** Longer than this nobody turned: the clock was forgotten. */
const FORGOTTEN_S = 3600;

/** Seconds as they are entered. */
const swungIn = (entry: string): number | undefined =>
  /^\d{1,4}(\.\d)?$/.test(entry) && Number(entry) > 0 && Number(entry) <= FORGOTTEN_S
    ? Number(entry)
    : undefined;

/** A number that was counted: one at least, and never more than does harm. */
function counted({ count }: TaskFacts, said: string): EntryRefusal | undefined {
  if (count === undefined) return undefined;
  const { what, most } = count;
  const number = /^\d+$/.test(said) ? Number(said) : 0;
  return number >= 1 && number <= most ? undefined : { path: "/entry", kind: "count-them", what, most };
}

function timed({ swing }: TaskFacts, said: string): EntryRefusal | undefined {
  return swing === undefined || swungIn(said) !== undefined ? undefined : { path: "/entry", kind: "time-it" };
}

export const task: StepRule<TaskFacts> = {
  takes: {
    "line-ticked": ({ lines }, { line }) => refuseTick(lines, line),
    "step-done": (step, event, { progress }) =>
      refuseUnticked(step, progress) ?? counted(step, entryOf(event)) ?? timed(step, entryOf(event)),
    "photo-taken": () => undefined,
  },
  acts: ({ task, leaves, ...carried }) => [
    ...expects(carried),
    ...movesOf(carried),
    { do: "work-on", task },
    ...(leaves === undefined ? [] : [{ do: "move" as const, to: leaves }]),
  ],
};
