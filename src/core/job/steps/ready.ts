import { type StepRule, ticked } from "../step-rule";
import { type Carried, expects, movesOf } from "./standing";

/** What the sheet asks before or after the line comes back. */
export interface ReadyFacts extends Carried {
  readonly kind: "ready";
  readonly card: string;
  readonly do: string;
  readonly why: string;
}

export const ready: StepRule<ReadyFacts> = {
  ...ticked,
  acts: ({ card, ...carried }) => [...expects(carried), ...movesOf(carried), { do: "make-ready", card }],
};
