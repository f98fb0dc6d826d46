import type { Kept, KeptReading } from "../calculators";
import type { Certificates, Competence, JobEvent } from "../formats";
import { formatIn, unitsOf } from "../quantity";
import { err, type Problem, type Result, unreachable } from "../result";
import { mannerOf } from "../ringing";
import { jobBells } from "./bells";
import { asksAt, asksOfSheet, isProof, lackingOn, whoShut } from "./competence";
import { foundBefore, newestOwn, type Progress } from "./progress";
import type { Refusal } from "./refused";
import { advance, gate, mayCloseEarly, notBegun, type Run } from "./run";
import { settle } from "./settle";
import type { Step } from "./step";
import { singleStep } from "./step-id";
import type { StepEntry } from "./step-rule";
import { refuseEntry } from "./step-rules";
import { refuseTaken, refuseTrace } from "./taken-by";

/** How far an entry may be dated ahead of the clock it is judged by before its waits cannot be trusted. */
const CLOCK_AHEAD_MS = 5 * 60_000;
/** How far two devices on one job may differ; a wait must not be shortened by dating it back. */
const CLOCK_BEHIND_MS = 2 * 60_000;
/** How long after somebody else's an entry may come in that was made without signal: a shift. */
const WITHOUT_SIGNAL_MS = 14 * 3_600_000;

/** The clock an event is judged by. */
export interface JudgedBy {
  /** Server or device time, ms. */
  readonly now: number;
  /** The latest time the server stored anything, ms: when its own clock shows less, that clock is the wrong one. */
  readonly lastStored?: number;
  /**
   * Works a kept result out again. The bench book is heavy: a page has it in hand only where results are kept; without it
   * none is taken.
   */
  readonly workAgain?: (kept: Kept) => Result<KeptReading, Problem[]>;
  /** What the crew says of somebody now; nothing of whom it does not know. Without it nobody signs on. */
  readonly mayOf?: (name: string) => Certificates | undefined;
}

/**
 * Whether an event may follow what happened so far. The browser asks before it shows, the server before it stores:
 * the same rules, so a gate cannot be walked round by calling the route.
 *
 * @returns the job after the event
 */
export function accept(job: Run, event: JobEvent, clock: JudgedBy): Result<Run, Refusal> {
  if (event.elsewhere !== undefined) return acceptElsewhere(job, event, clock);
  const refusal = refuseDate(job, event, clock) ?? refuse(job, event, clock);
  if (refusal !== undefined) return err(refusal);
  const after = advance(job, event);
  return after.ok ? after : err({ path: "", kind: "no-plan", failure: after.error });
}

/** What another device entered is taken as it is settled by the rules, and not as somebody says it is. */
function acceptElsewhere(job: Run, event: JobEvent, clock: JudgedBy): Result<Run, Refusal> {
  const { elsewhere, ...plain } = event;
  const taken = accept(job, plain as JobEvent, clock);
  if (taken.ok) return err({ path: "/elsewhere", kind: "settled-otherwise" });
  if (settle(job, plain as JobEvent, taken.error) !== elsewhere?.settled) return taken;
  const after = advance(job, event);
  return after.ok ? after : err({ path: "", kind: "no-plan", failure: after.error });
}

/** Time must not be made up: neither before the job was there, nor ahead of the clock, nor back behind what counts. */
function refuseDate(
  { inputs, log, progress }: Run,
  event: JobEvent,
  { now, lastStored = 0 }: JudgedBy,
): Refusal | undefined {
  const at = Date.parse(event.at);
  if (at > now + CLOCK_AHEAD_MS)
    return { path: "/at", kind: lastStored > now + CLOCK_AHEAD_MS ? "server-clock-wrong" : "clock-ahead" };
  if (at < Date.parse(inputs.openedAt) - CLOCK_BEHIND_MS) return { path: "/at", kind: "before-the-job" };
  // The newest of all, not the one before: else an old note would open the way for a wait that is dated back. What a
  // clock dated ahead of now counts as now: a clock that once ran ahead must not lock the log.
  // What the server wrote of other jobs dates nobody's entry.
  const entries = log.filter((each) => each.kind !== "others-hold");
  const newest = Math.max(...entries.map((each) => Math.min(now, Date.parse(each.at))));
  const behind = timeCounts(progress, event) ? CLOCK_BEHIND_MS : WITHOUT_SIGNAL_MS;
  return at < newest - behind ? { path: "/at", kind: "before-the-newest" } : undefined;
}

function refuse(job: Run, event: JobEvent, { now, workAgain, mayOf }: JudgedBy): Refusal | undefined {
  const { progress, status, log: events } = job;
  // An entry may come a little ahead of the clock; a wait is over only when the clock says so.
  const at = Math.min(now, Date.parse(event.at));
  if (events.some((each) => each.id === event.id)) return { path: "/id", kind: "id-is-taken" };
  if (status.kind === "signed-off") return { path: "", kind: "signed-off-already" };
  if (status.kind === "not-begun" && event.kind !== "undone")
    return { path: "", kind: "closed-as-not-begun" };
  if (
    status.kind === "stopped" &&
    event.kind !== "given-up" &&
    event.kind !== "resumed" &&
    event.kind !== "note-added" &&
    event.kind !== "bell-put-off" &&
    event.kind !== "others-hold" &&
    event.kind !== "undone"
  )
    return { path: "", kind: "work-is-stopped" };

  switch (event.kind) {
    case "note-added":
    case "others-hold":
      return undefined;
    case "bell-put-off":
      return jobBells(job).some(({ id, kind }) => id === event.bell && mannerOf(kind) === "alarm")
        ? undefined
        : { path: "/bell", kind: "no-such-bell" };
    case "result-kept":
      return keptFault(event, workAgain) ?? refuseTaken(job.inputs, event);
    case "signed-on":
      return signingOn(job, event, mayOf);
    case "stopped":
      return undefined;
    case "resumed":
      return status.kind === "stopped" ? undefined : { path: "", kind: "work-is-not-stopped" };
    case "undone": {
      // What a case found stands before the log: it is asked anew whatever was entered since.
      if (foundBefore(job.inputs, events).some((each) => each.event === event.event)) return undefined;
      const newest = newestOwn(progress);
      if (newest === undefined) return { path: "/event", kind: "nothing-to-undo" };
      return newest.id === event.event ? undefined : { path: "/event", kind: "undo-the-newest-first" };
    }
    case "closure-passes": {
      const untold = refusePerson(job, event.by, asksOfSheet(job.inputs.sheet), at);
      if (untold !== undefined) return untold;
      if (!job.shut.includes(event.link)) return { path: "/link", kind: "not-shut-here", link: event.link };
      if (progress.passing.includes(event.link))
        return { path: "/link", kind: "known-to-pass", link: event.link };
      return progress.opened.size > 0 ? { path: "/link", kind: "being-restored" } : undefined;
    }
    case "part-judged": {
      const part = job.inputs.sheet.parts.find((each) => each.id === event.part);
      if (part === undefined) return { path: "/part", kind: "no-such-part", part: event.part };
      return event.disposition === "reuse" && part.oneUse !== undefined
        ? { path: "/disposition", kind: "goes-in-once", part: part.name, why: part.oneUse }
        : undefined;
    }
    case "signed-off": {
      if (job.current?.kind === "sign-off")
        return refuseGate(job, job.current, "") ?? refuseSignature(job, event.by, job.current, at);
      return mayCloseEarly(job) ? undefined : { path: "", kind: "not-yet", ...inHand(job) };
    }
    case "given-up":
      return notBegun(job) ? undefined : { path: "", kind: "work-has-begun" };
    case "reading-taken":
    case "check-answered":
    case "check-measured":
    case "bolt-pulled":
    case "wait-started":
    case "step-done":
    case "piece-set":
    case "line-ticked":
    case "piece-judged":
    case "part-compared":
    case "still-pressure":
    case "photo-taken":
      return refuseAtStep(
        job,
        event,
        (step) =>
          refuseHands(job, event, step, at) ??
          refuseEntry(step, event, entryAt(job, at)) ??
          refuseTaken(job.inputs, event),
      );
    case "trace-kept":
      return refuseAtStep(
        job,
        event,
        (step) =>
          refuseHands(job, event, step, at) ?? refuseTrace(step, event) ?? refuseTaken(job.inputs, event),
      );
    case "step-overridden":
      return refuseAtStep(job, event, (step) =>
        step.mayOverride ? undefined : { path: "/step", kind: "never-skipped" },
      );
    default:
      return unreachable(event);
  }
}

/** Whether something is counted from when this happened: a wait, the time between two readings, the date of a service. */
const timeCounts = (progress: Progress, event: JobEvent): boolean =>
  event.kind === "wait-started" ||
  event.kind === "reading-taken" ||
  event.kind === "signed-off" ||
  (event.kind === "step-done" && progress.waits.has(event.step));

/** What was computed on the device has to come out again here, or somebody wrote it by hand. */
function keptFault(
  event: Extract<JobEvent, { kind: "result-kept" }>,
  workAgain: JudgedBy["workAgain"],
): Refusal | undefined {
  const again = workAgain?.(event);
  if (again === undefined) return { path: "", kind: "bench-book-not-at-hand" };
  if (!again.ok) {
    const problem = again.error[0]!;
    return { path: problem.path, kind: "bench-book-refuses", problem };
  }
  const { si, said, dimension } = again.value;
  const wrong = (path: string): Refusal => ({ path, kind: "gives-otherwise", said });
  if (Math.abs(si - event.si) > 1e-9 * Math.max(Math.abs(si), 1e-9)) return wrong("/si");
  // The words are what the record shows: in some unit of its kind they have to be this figure.
  return unitsOf(dimension).some((each) => formatIn(si, each) === event.typed) ? undefined : wrong("/typed");
}

/** Whether somebody may begin to work on it: as the crew says, and under the eye of one who is there. */
function signingOn(
  { inputs, progress }: Run,
  { by, under }: Extract<JobEvent, { kind: "signed-on" }>,
  mayOf: JudgedBy["mayOf"],
): Refusal | undefined {
  if (inputs.people === undefined) return { path: "", kind: "nobody-signs-on" };
  if (mayOf?.(by) === undefined) return { path: "", kind: "crew-not-at-hand" };
  if (under === undefined) return undefined;
  if (under === by) return { path: "/under", kind: "under-own-eye" };
  return progress.people.has(under) ? undefined : { path: "/under", kind: "not-signed-on", who: under };
}

/** Where work can hurt more than whoever does it, that one has to be competent, or under the eye of one who is. */
function refusePerson(
  { inputs, progress }: Run,
  who: string,
  asked: readonly Competence[],
  at: number,
): Refusal | undefined {
  if (inputs.people === undefined || asked.length === 0) return undefined;
  const missing = lackingOn(progress, who, asked, at);
  if (missing.length === 0) return undefined;
  return progress.people.has(who)
    ? { path: "/by", kind: "not-competent", who, missing }
    : { path: "/by", kind: "sign-on-first", who, asked };
}

function refuseHands(job: Run, { by }: JobEvent, step: Step, at: number): Refusal | undefined {
  const { inputs, progress } = job;
  if (inputs.people?.anotherProves === true && isProof(step) && whoShut(progress).has(by))
    return { path: "/by", kind: "another-proves", who: by };
  return refusePerson(job, by, asksAt(inputs, step), at);
}

/** Whoever signed as the second one is not the first, too. */
function refuseSignature(job: Run, by: string, step: Step, at: number): Refusal | undefined {
  const second = job.progress.done.get(singleStep("second-signature"));
  if (second?.by === by) return { path: "/by", kind: "another-signs", who: by };
  return refusePerson(job, by, asksAt(job.inputs, step), at);
}

/** Whether an event belongs to the step that is to be done now, and says of it what may be said. */
function refuseAtStep(
  job: Run,
  { step: id }: StepEntry | Extract<JobEvent, { kind: "step-overridden" | "trace-kept" }>,
  refuse: (step: Step) => Refusal | undefined,
): Refusal | undefined {
  const { current, states, plan } = job;
  const target = plan.steps.find((each) => each.id === id);
  if (target === undefined) return { path: "/step", kind: "no-such-step", step: id };
  if (states.get(id)?.kind === "done") return { path: "/step", kind: "done-already", step: target };
  if (current?.id !== id) return { path: "/step", kind: "first", ...inHand(job) };
  return (target.kind === "tray" ? undefined : refuseGate(job, target, "/step")) ?? refuse(target);
}

const inHand = ({ current }: Run) => (current === undefined ? {} : { step: current });

function refuseGate(job: Run, { phase }: Step, path: string): Refusal | undefined {
  const found = gate(job, phase);
  return found.open ? undefined : { path, kind: "gate", gate: found };
}

const entryAt = ({ inputs, progress, plan, tray }: Run, at: number) => ({
  inputs,
  progress,
  findings: plan.findings,
  tray,
  at,
});
