import { ticked } from "../step-rule";

/** What the sheet asks before or after the line comes back. */
export interface ReadyFacts {
  readonly kind: "ready";
  readonly do: string;
  readonly why: string;
}

export const ready = ticked;
