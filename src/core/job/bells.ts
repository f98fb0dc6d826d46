import type { Sheet, Valve } from "../formats";
import { dues } from "../rounds";
import { isClosed, outOfService, type Run } from "./run";

/** Anything that will ring, on the rope of every screen. */
export interface Bell {
  readonly id: string;
  readonly kind: "wait" | "impairment" | "stopped" | "at-work" | "due";
  /** When it rings, ms since the epoch. */
  readonly at: number;
  readonly title: string;
  readonly says: string;
  readonly valve: string;
  readonly job?: string;
}

/** Hours out of service after which somebody must stand watch; the local authority sets the real figure. */
export const WATCH_AFTER_H = 10;
const HOUR = 3_600_000;

/** What one open job rings: a running wait, an impairment, work that was stopped or is going on. */
export function jobBells(job: Run): Bell[] {
  const { inputs, progress, status } = job;
  if (isClosed(job)) return [];
  const base = { valve: inputs.valve.tag, job: inputs.id };
  const bells: Bell[] = [];
  for (const [step, state] of job.states)
    if (state.kind === "running")
      bells.push({
        ...base,
        id: `${inputs.id}:wait:${step}`,
        kind: "wait",
        at: state.until,
        title: "Stand test",
        says: `${inputs.valve.tag}: read the gauge again`,
      });
  const lost = outOfService(job).filter((each) => each.hydrant || each.protects);
  const since = firstClosure(job);
  if (lost.length > 0 && since !== undefined)
    bells.push({
      ...base,
      id: `${inputs.id}:impairment`,
      kind: "impairment",
      at: since + WATCH_AFTER_H * HOUR,
      title: `Out of service: ${lost.map((each) => each.name).join(", ")}`,
      says: `shut for ${inputs.valve.tag}; post a watch`,
    });
  if (status.kind === "stopped")
    bells.push({
      ...base,
      id: `${inputs.id}:stopped`,
      kind: "stopped",
      at: status.at,
      title: "Work stopped",
      says: `${inputs.valve.tag}: ${status.reason}`,
    });
  else if (bells.length === 0)
    bells.push({
      ...base,
      id: `${inputs.id}:open`,
      kind: "at-work",
      at:
        progress.effective.length > 0
          ? Date.parse(progress.effective.at(-1)!.at)
          : Date.parse(inputs.openedAt),
      title: "Job open",
      says: `${inputs.valve.tag}: ${job.current?.title ?? "sign off"}`,
    });
  return bells;
}

function firstClosure(job: Run): number | undefined {
  const times = job.shut
    .map((link) => job.progress.done.get(`shut:${link}`)?.at)
    .filter((at) => at !== undefined);
  return times.length > 0 ? Math.min(...times) : undefined;
}

/** What a valve rings by the calendar: its nearest due date. */
export function valveBell(valve: Valve, sheet: Sheet, now: number): Bell | undefined {
  const due = dues(valve, sheet, now)[0];
  return (
    due && {
      id: `${valve.tag}:due`,
      kind: "due",
      at: due.at,
      title: due.what,
      says: valve.symptom ?? due.why,
      valve: valve.tag,
    }
  );
}

const URGENCY: Record<Bell["kind"], number> = { wait: 0, impairment: 0, stopped: 1, "at-work": 2, due: 3 };

/** Nearest first; what runs before what is due on the same day. */
export const inRingingOrder = (bells: readonly Bell[]): Bell[] =>
  [...bells].sort((a, b) => URGENCY[a.kind] - URGENCY[b.kind] || a.at - b.at || a.id.localeCompare(b.id));
