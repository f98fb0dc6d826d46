import { BAR } from "../progress";
import { isProving } from "../step-id";
import type { Standing, StepRule } from "../step-rule";

/** Zero is read: before the wait, and again after it. */
export interface GaugeFacts {
  readonly kind: "gauge";
  /** A reading above this is not zero, bar gauge. */
  readonly zero_bar: number;
  readonly again: boolean;
  /** The temperature of the section counts, too. */
  readonly temperature: boolean;
  /** Where, and how a gauge is fitted there, in the sheet's words. */
  readonly where: string;
  readonly fit: string;
  /** A line is drawn: a closure that passes can be named, and another is found. */
  readonly onLine: boolean;
}

/** A gauge cannot show less than a vacuum; rounded for its own error. */
const VACUUM_PA = -1.02 * BAR;
const HIGHEST_PA = 400 * BAR;
const COLDEST_K = 153.15;
const HOTTEST_K = 673.15;

export const gauge: StepRule<GaugeFacts> = {
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
    const last = progress.readings.findLast((reading) => isProving(reading.step));
    const wasHigh = last !== undefined && last.si > step.zero_bar * BAR && !passedSince(progress, last.event);
    return wasHigh && !step.again ? { kind: "not-zero", typed: last.typed } : { kind: "open" };
  },
};

/** Once a closure is named as the one that passes, the reading that showed it has had its answer. */
function passedSince({ effective }: Standing["progress"], reading: string): boolean {
  const at = effective.findIndex((event) => event.id === reading);
  return effective.slice(at).some((event) => event.kind === "closure-passes");
}
