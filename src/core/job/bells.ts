import type { WaitsFor } from "../world";
import type { PutOff } from "./entered";
import { isClosed, outOfService, type Run } from "./run";
import type { Step } from "./step";

/** Anything that will ring, on the rope of every screen. */
export type Bell = {
  readonly id: string;
  /** When it rings, ms since the epoch. */
  readonly at: number;
  readonly valve: string;
  readonly job?: string;
  /** Silent for a while, and why. */
  readonly putOff?: PutOff;
} /** The card whose wait it is: what it asks for is what to do when it rings. */ & (
  | { readonly kind: "wait"; readonly for: WaitsFor; readonly step?: Step }
  /** Fire protection that is out of service, by name. */
  | { readonly kind: "impairment"; readonly lost: readonly string[] }
  | { readonly kind: "stopped"; readonly reason: string }
  | { readonly kind: "at-work"; readonly step?: Step }
  /** By the calendar: what is due, and why, as the register keeps it. */
  | { readonly kind: "due"; readonly what: string; readonly why: string }
  /** Trouble that others have, or that is watched: somebody has to hear what came of it. */
  | { readonly kind: "case"; readonly says: string; readonly ended: string; readonly to?: string }
);

/** Hours out of service after which somebody must stand watch; the local authority sets the real figure. */
export const WATCH_AFTER_H = 10;
const HOUR = 3_600_000;

/** What the wait of a card is for. */
function waitsFor({ kind }: Step): WaitsFor {
  switch (kind) {
    case "hold":
      return "the-section";
    case "discharge":
      return "a-charge";
    case "cure":
      return "a-cure";
    case "check":
      return "a-look";
    default:
      return "a-soak";
  }
}

/** What one open job rings: a running wait, an impairment, work that was stopped or is going on. */
export function jobBells(job: Run): Bell[] {
  const { inputs, progress, status, plan, states } = job;
  if (isClosed(job)) return [];
  const base = { valve: inputs.valve.tag, job: inputs.id };
  const bells: Bell[] = plan.steps.flatMap((step): Bell[] => {
    const state = states.get(step.id);
    const at =
      state?.kind === "running" ? state.until : state?.kind === "done" ? undefined : cooledAt(job, step);
    return at === undefined
      ? []
      : [{ ...base, id: `${inputs.id}:wait:${step.id}`, kind: "wait", at, for: waitsFor(step), step }];
  });
  const lost = outOfService(job).filter((each) => each.hydrant || each.protects);
  const since = firstClosure(job);
  if (lost.length > 0 && since !== undefined)
    bells.push({
      ...base,
      id: `${inputs.id}:impairment`,
      kind: "impairment",
      at: since + WATCH_AFTER_H * HOUR,
      lost: lost.map((each) => each.name),
    });
  if (status.kind === "stopped")
    bells.push({
      ...base,
      id: `${inputs.id}:stopped`,
      kind: "stopped",
      at: status.at,
      reason: status.reason,
    });
  else if (bells.length === 0)
    bells.push({
      ...base,
      id: `${inputs.id}:open`,
      kind: "at-work",
      at: Date.parse(progress.effective.at(-1)?.at ?? inputs.openedAt),
      ...(job.current !== undefined && { step: job.current }),
    });
  return bells.map((bell) => {
    const putOff = progress.putOff.get(bell.id);
    // Put off before it rang, it rings when it is due all the same.
    return putOff === undefined || putOff.until <= bell.at ? bell : { ...bell, putOff };
  });
}

/** When a cool-down that was worked out at this card, and kept, is over; ms. */
function cooledAt({ progress }: Run, step: Step): number | undefined {
  const kept = progress.kept.findLast(
    (each) => each.step === step.id && each.calculator === "cool-down" && each.output === "wait",
  );
  return kept && kept.at + kept.si * 1000;
}

function firstClosure({ progress }: Run): number | undefined {
  const times = [...progress.shut.values()].map(({ at }) => at);
  return times.length > 0 ? Math.min(...times) : undefined;
}
