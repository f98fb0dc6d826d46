import { BAR } from "../progress";
import { readProving } from "../step-id";
import type { Standing, StepRule } from "../step-rule";

/** Zero is read: before the wait, and again after it. */
export interface GaugeFacts {
  readonly kind: "gauge";
  /** A reading above this is not zero, bar gauge. */
  readonly zero_bar: number;
  readonly again: boolean;
  /** The temperature of the section counts, too. */
  readonly temperature: boolean;
  readonly where: ProvePlace;
  /** What was shut for the wait: opened again, and left so, once zero has stood. By node and name. */
  readonly openAfter: readonly { readonly node: string; readonly name: string }[];
  /** The node of the line at which it is read, where one is drawn. */
  readonly node?: string;
  /** A line is drawn: a closure that passes can be named, and another is found. */
  readonly onLine: boolean;
}

/** Where zero is read: in the sheet's words at the valve itself, or at a place of the line. */
export type ProvePlace =
  | { readonly kind: "said"; readonly at: string; readonly fit: string }
  | { readonly kind: "point"; readonly how: "gauge" | "vent" | "drain"; readonly name: string };

/** A gauge cannot show less than a vacuum; rounded for its own error. */
const VACUUM_PA = -1.02 * BAR;
const HIGHEST_PA = 400 * BAR;
const COLDEST_K = 153.15;
const HOTTEST_K = 673.15;

export const gauge: StepRule<GaugeFacts> = {
  acts: ({ node, zero_bar, openAfter }) => [
    { do: "read-zero", ...(node !== undefined && { node }), bound_bar: zero_bar },
    ...openAfter.map((point) => ({ do: "open-point" as const, node: point.node })),
  ],
  takes: {
    "reading-taken": (_, { dimension, si, kelvin }) => {
      if (dimension !== "gauge pressure") return { path: "/dimension", kind: "not-a-gauge-pressure" };
      if (si < VACUUM_PA) return { path: "/si", kind: "below-vacuum", least_Pa: -1.01 * BAR };
      if (kelvin !== undefined && (kelvin < COLDEST_K || kelvin > HOTTEST_K))
        return { path: "/kelvin", kind: "no-such-temperature", least_K: COLDEST_K, most_K: HOTTEST_K };
      return si > HIGHEST_PA ? { path: "/si", kind: "above-any-gauge", most_Pa: HIGHEST_PA } : undefined;
    },
  },
  stands: (step, { progress }) => {
    if (progress.proof.has(step.id)) return { kind: "done" };
    const here = readProving(step.id)?.at;
    const last = progress.readings.findLast((reading) => {
      const ref = readProving(reading.step);
      return ref !== undefined && ref.at === here;
    });
    const wasHigh = last !== undefined && last.si > step.zero_bar * BAR && !passedSince(progress, last.event);
    return wasHigh && !step.again ? { kind: "not-zero", typed: last.typed } : { kind: "open" };
  },
};

/** Once a closure is named as the one that passes, the reading that showed it has had its answer. */
function passedSince({ effective }: Standing["progress"], reading: string): boolean {
  const at = effective.findIndex((event) => event.id === reading);
  return effective.slice(at).some((event) => event.kind === "closure-passes");
}
