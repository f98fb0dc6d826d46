import type { EndCondition } from "../../formats";
import { boltKey, type Progress } from "../progress";
import type { EntryRefusal } from "../refusal";
import type { StepHead } from "../step-head";
import type { StepRule } from "../step-rule";

/** One pass of a tightening pattern. */
export interface Pass {
  readonly percent: number;
  readonly torque_Nm: number;
  /** The last, circular pass: every bolt in turn until none moves. */
  readonly circular: boolean;
}

type Stated = Extract<EndCondition, { kind: "torque" }>["stated"];

/** A circle of bolts is pulled in passes, in an order that keeps the joint even. */
export interface TightenFacts {
  readonly kind: "tighten";
  readonly name: string;
  readonly bolts: number;
  readonly order: readonly number[];
  readonly passes: readonly Pass[];
  /** Thread and drive, as the sheet names them. */
  readonly size: readonly string[];
  /** What is on the threads, and what the sheet's figure is stated for, N·m. */
  readonly condition: Stated;
  readonly stated: Stated;
  readonly stated_Nm: number;
  /** What it was left loose for, by name. */
  readonly waitedFor?: string;
  /** Never beyond this, N·m, with what is on the thread. */
  readonly limit_Nm?: number;
}

type TightenStep = Pick<StepHead, "id"> & Pick<TightenFacts, "bolts" | "passes">;

/** A pull within this share of what was asked counts: the class of a good click wrench (ISO 6789-1, type II class A: 4 %). */
export const WRENCH_BAND = 0.04;

/** Pulls still to make on a tightening step. */
export const boltsLeft = (step: TightenStep, progress: Progress): number =>
  step.bolts * step.passes.length - (progress.bolts.get(step.id)?.size ?? 0);

/** The next bolt by the pattern: pass and place in the pulling order, both from 1. */
export function nextBolt(
  step: TightenStep,
  progress: Progress,
): { readonly pass: number; readonly bolt: number } | undefined {
  const pulled = progress.bolts.get(step.id) ?? new Set();
  for (let pass = 1; pass <= step.passes.length; pass++)
    for (let bolt = 1; bolt <= step.bolts; bolt++)
      if (!pulled.has(boltKey(pass, bolt))) return { pass, bolt };
  return undefined;
}

export const tighten: StepRule<TightenFacts> = {
  acts: ({ part = "", passes, tools }) => {
    const pulls = passes.map((pass) => pass.torque_Nm);
    return [
      {
        do: "tighten",
        part,
        tools: tools.map(({ id }) => id),
        least_Nm: Math.min(...pulls),
        most_Nm: Math.max(...pulls),
      },
    ];
  },
  takes: {
    "bolt-pulled": (step, event, { progress }) => {
      const next = nextBolt(step, progress);
      if (next === undefined || boltKey(next.pass, next.bolt) !== boltKey(event.pass, event.bolt))
        return { path: "/bolt", kind: "bolt-out-of-order", ...(next !== undefined && { next }) };
      return refusePull(step, step.passes[next.pass - 1]!.torque_Nm, event.reading_Nm);
    },
    "step-done": (step, _, { progress }) =>
      boltsLeft(step, progress) === 0 ? undefined : { path: "/step", kind: "pull-every-bolt" },
  },
  stands: (step, { progress }) => ({ kind: boltsLeft(step, progress) === 0 ? "done" : "open" }),
};

/** A read torque has to lie in the band, and never above what the part stands. */
function refusePull(
  { limit_Nm }: Pick<TightenFacts, "limit_Nm">,
  wanted_Nm: number,
  read_Nm: number | undefined,
): EntryRefusal | undefined {
  if (read_Nm === undefined) return undefined;
  const path = "/reading_Nm";
  if (limit_Nm !== undefined && read_Nm > limit_Nm)
    return { path, kind: "over-its-limit", read_Nm, limit_Nm };
  if (read_Nm < wanted_Nm * (1 - WRENCH_BAND)) return { path, kind: "pulled-short", read_Nm, wanted_Nm };
  if (read_Nm > wanted_Nm * (1 + WRENCH_BAND)) return { path, kind: "pulled-beyond", read_Nm, wanted_Nm };
  return undefined;
}
