import type { Finding } from "../findings";
import type { JobEvent } from "../formats";
import { limitSI } from "./compile/context";
import type { Phase } from "./phases";
import { BAR } from "./progress";
import type { Refusal } from "./refused";
import { type Run, run } from "./run";
import { readProving } from "./step-id";

/** How an entry of another device is settled that the log has gone on beyond. */
export type Settled = NonNullable<JobEvent["elsewhere"]>["settled"];

/** Acts upon the valve and its line: out of their turn they contradict what is believed of it. */
const ACTS: ReadonlySet<JobEvent["kind"]> = new Set([
  "step-done",
  "step-overridden",
  "bolt-pulled",
  "piece-set",
  "wait-started",
] satisfies JobEvent["kind"][]);

const TOUCHING: ReadonlySet<Phase> = new Set([
  "isolate",
  "prove",
  "mark",
  "strip",
  "rebuild",
  "restore",
  "test",
] satisfies Phase[]);

/**
 * Two worked on one job, each on a device without signal. What the later one to be heard has entered is kept beside what
 * stands, and settled towards safety: what was done by both is done; the worse reading counts; a lock and a stop stay;
 * an act out of its turn stops the work until somebody has looked.
 *
 * @param refusal why the log does not take it as its next entry
 * @returns nothing where it is no matter of two devices: the entry is refused
 */
export function settle(job: Run, event: JobEvent, refusal: Refusal): Settled | undefined {
  switch (refusal.kind) {
    case "done-already":
      return worse(job, event) ? "worse" : "same";
    case "wait-runs":
    case "known-to-pass":
      return "same";
    case "bolt-out-of-order":
    case "count-on-from":
    case "place-is-taken":
    case "more-than-there-are":
      return doneInTurn(job, event) ? "same" : "noted";
    case "before-the-newest":
      // Dated back it opens no way and shortens no wait; what it read may still be the worse.
      return worse(job, event) ? "worse" : "noted";
    case "first":
    case "no-such-step":
    case "gate":
    case "not-yet":
      if (worse(job, event)) return "worse";
      return contradicts(job, event) ? "stops" : "noted";
    case "work-is-stopped":
    case "work-is-not-stopped":
    case "nothing-to-undo":
    case "undo-the-newest-first":
    case "no-such-bell":
    case "wait-not-started":
    case "wait-not-over":
    case "not-shut-here":
    case "being-restored":
      return "noted";
    default:
      return undefined;
  }
}

/** A count or a pull that the log has, or has gone beyond. */
function doneInTurn({ progress }: Run, event: JobEvent): boolean {
  if (event.kind === "bolt-pulled")
    return progress.bolts.get(event.step)?.has(`${event.pass}:${event.bolt}`) === true;
  return event.kind === "piece-set" && (progress.pieces.get(event.step) ?? 0) >= event.piece;
}

/** An act on the valve that is not in its turn here; of a step that is not in this plan nobody knows what it moved. */
function contradicts({ plan }: Run, event: JobEvent): boolean {
  if (!ACTS.has(event.kind) || !("step" in event)) return event.kind === "signed-off";
  const step = plan.steps.find((each) => each.id === event.step);
  return step === undefined || TOUCHING.has(step.phase);
}

/** Whether what was read or seen there is worse than what stands here. */
function worse(job: Run, event: JobEvent): boolean {
  switch (event.kind) {
    case "reading-taken":
      return readProving(event.step) !== undefined && event.si > job.inputs.sheet.isolation.zero_bar * BAR;
    case "still-pressure":
      return true;
    case "check-answered":
    case "check-measured":
      return worseFound(job, event);
    default:
      return false;
  }
}

const GRAVITY: Readonly<Record<Finding["means"], number>> = { reuse: 0, clean: 1, renew: 2, stop: 3 };

function worseFound(
  job: Run,
  event: Extract<JobEvent, { kind: "check-answered" | "check-measured" }>,
): boolean {
  const here = job.progress.answers.get(event.check);
  const there = run(job.inputs, [...job.log, event]);
  if (!there.ok) return false;
  const [gravityHere, gravityThere] = [job, there.value].map((each) => gravityOf(each, event.check)) as [
    number,
    number,
  ];
  if (gravityHere !== gravityThere || here?.answer.kind !== "measured" || event.kind !== "check-measured")
    return gravityThere > gravityHere;
  return room(job, event.check, event.si) < room(job, event.check, here.answer.si);
}

/** Below all where it is not judged at all. */
const gravityOf = ({ plan }: Run, check: string): number => {
  const found = plan.findings.find((each) => each.check === check);
  return found === undefined ? -1 : GRAVITY[found.means];
};

/** How far a figure is within its limits, SI; without any all are alike. */
function room({ inputs }: Run, id: string, si: number): number {
  const check = inputs.sheet.checks.find((each) => each.id === id);
  if (check?.kind !== "measure") return 0;
  const toSI = limitSI(check);
  return Math.min(
    check.low === undefined ? Number.POSITIVE_INFINITY : si - toSI(check.low),
    check.high === undefined ? Number.POSITIVE_INFINITY : toSI(check.high) - si,
  );
}
