import type { StepRule } from "../step-rule";
import { refuseTick, refuseUnticked, type TickLine } from "./lines";
import { type Carried, expects, movesOf } from "./standing";

/** What the sheet asks before or after the line comes back. */
export interface ReadyFacts extends Carried {
  readonly kind: "ready";
  readonly card: string;
  readonly do: string;
  readonly why: string;
  /** Ticked one by one. */
  readonly lines?: readonly TickLine[];
}

export const ready: StepRule<ReadyFacts> = {
  takes: {
    "line-ticked": ({ lines }, { line }) => refuseTick(lines, line),
    "step-done": (step, _, { progress }) => refuseUnticked(step, progress),
    "photo-taken": () => undefined,
  },
  acts: ({ card, ...carried }) => [...expects(carried), ...movesOf(carried), { do: "make-ready", card }],
};
