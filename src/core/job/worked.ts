import type { JobEvent } from "../formats";
import type { Run } from "./run";
import type { Step } from "./step";

/** How long the hands-on part of a signed job took, beside what was compiled for it. */
export interface Worked {
  /** min. */
  readonly taken: number;
  /** min. */
  readonly compiled: number;
  /** Entries of each who made some, by name. */
  readonly by: Readonly<Record<string, number>>;
}

/** Where nobody enters anything for longer than this, or than thrice the longest step, nobody is at it. */
const BREAK_MIN = 60;
const MIN_MS = 60_000;

/** How long a step waits for the thing, min, and how long that may last; nothing where somebody is at it. */
export function standsFor(
  step: Step,
): { readonly min: number; readonly most: number | undefined } | undefined {
  if (step.kind === "soak") return { min: step.minutes, most: step.most_min };
  if (step.kind === "check" && step.wait_min !== undefined) return { min: step.wait_min, most: undefined };
  return undefined;
}

/**
 * From its first entry to its last without what was waited for, the time it was stopped, and breaks; nothing for a job
 * that is not signed.
 */
export function workedOf({ log, plan, status }: Run): Worked | undefined {
  if (status.kind !== "signed-off") return undefined;
  const handsOn = plan.steps.map((step) => step.minutes - (standsFor(step)?.min ?? 0));
  const by: Record<string, number> = {};
  for (const event of log) by[event.by] = (by[event.by] ?? 0) + 1;
  return {
    taken: takenMinutes(log, Math.max(BREAK_MIN, 3 * Math.max(0, ...handsOn))),
    compiled: handsOn.reduce((sum, each) => sum + each, 0),
    by,
  };
}

function takenMinutes(log: readonly JobEvent[], breakMin: number): number {
  // Two devices may have worked without signal: their entries come one after the other.
  const entries = log.map((event) => ({ event, at: Date.parse(event.at) })).sort((a, b) => a.at - b.at);
  let [taken, waitsUntil, stopped] = [0, Number.NEGATIVE_INFINITY, false];
  for (const [index, { event, at }] of entries.entries()) {
    const before = entries[index - 1]?.at ?? at;
    const min = Math.max(0, at - Math.max(before, Math.min(at, waitsUntil))) / MIN_MS;
    if (!stopped && min <= breakMin) taken += min;
    if (event.kind === "wait-started") waitsUntil = Math.max(waitsUntil, at + event.minutes * MIN_MS);
    if (event.kind === "stopped") stopped = true;
    if (event.kind === "resumed") stopped = false;
  }
  return taken;
}
