import type { Medium } from "../../formats";
import { BAR } from "../progress";
import type { StepRule } from "../step-rule";
import type { ProvePlace } from "./gauge";

/** A reading that has to be above a figure before anything goes on: what is lower is no answer but a reason to wait. */
export interface GateFacts {
  readonly kind: "gate";
  readonly medium: Medium;
  readonly where: ProvePlace;
  readonly node?: string;
  /** bar gauge. */
  readonly above_bar: number;
}

const HIGHEST_PA = 400 * BAR;

export const gate: StepRule<GateFacts> = {
  acts: ({ node, above_bar }) =>
    node === undefined ? [] : [{ do: "read-above", node, bound_bar: above_bar }],
  takes: {
    "reading-taken": ({ above_bar }, { dimension, si }) => {
      if (dimension !== "gauge pressure") return { path: "/dimension", kind: "not-a-gauge-pressure" };
      if (si > HIGHEST_PA) return { path: "/si", kind: "above-any-gauge", most_Pa: HIGHEST_PA };
      if (si < above_bar * BAR) return { path: "/si", kind: "below-the-gate", least_Pa: above_bar * BAR };
      return undefined;
    },
  },
  stands: (step, { progress }) =>
    progress.readings.some((reading) => reading.step === step.id) ? { kind: "done" } : { kind: "open" },
};
