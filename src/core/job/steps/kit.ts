import type { Renewal } from "../../findings";
import type { Leftover, Missing, NotThisKit, Pick } from "../../store";
import type { StepRule } from "../step-rule";
import { refuseTick, refuseUnticked, type TickLine } from "./lines";

/** A renewal with the name of its part. */
export type NamedRenewal = Renewal & { readonly name: string };

/** What may be needed: from where, and what no place has. */
export interface Pocket {
  readonly picks: readonly Pick[];
  readonly missing: readonly Omit<Missing, "part">[];
}

/** Parts and supplies to bring, and which look-alikes to leave. */
export interface KitFacts {
  readonly kind: "kit";
  readonly renewals: readonly NamedRenewal[];
  readonly picks: readonly Pick[];
  readonly missing: readonly Omit<Missing, "part">[];
  readonly doNotTake: readonly NotThisKit[];
  readonly leftovers: readonly Leftover[];
  readonly supplies: readonly string[];
  /** What a look of this job may condemn: taken along, so that there is no second trip. */
  readonly inCase?: Pocket;
  /** What is ticked, each as it is taken in the hand. */
  readonly lines?: readonly TickLine[];
  /** Until all of it is in hand. */
  readonly days: number;
}

export const kit: StepRule<KitFacts> = {
  takes: {
    "line-ticked": ({ lines }, { line }) => refuseTick(lines, line),
    "step-done": (step, _, { progress }) => refuseUnticked(step, progress),
  },
  acts: ({ renewals }) => [{ do: "bring", parts: renewals.map(({ part }) => part) }],
};
