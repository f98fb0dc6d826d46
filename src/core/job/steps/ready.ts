import { type StepRule, ticked } from "../step-rule";

/** What the sheet asks before or after the line comes back. */
export interface ReadyFacts {
  readonly kind: "ready";
  readonly card: string;
  readonly do: string;
  readonly why: string;
}

export const ready: StepRule<ReadyFacts> = { ...ticked, acts: ({ card }) => [{ do: "make-ready", card }] };
