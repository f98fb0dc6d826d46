import type { Kept, KeptReading } from "../calculators";
import type { JobEvent } from "../formats";
import { formatIn, unitsOf } from "../quantity";
import { err, type Problem, type Result, unreachable } from "../result";
import { type Refusal, refuseAtStep } from "./accept-at-step";
import type { Progress } from "./progress";
import { advance, gate, mayCloseEarly, notBegun, type Run } from "./run";

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
}

/**
 * Whether an event may follow what happened so far. The browser asks before it shows, the server before it stores:
 * the same rules, so a gate cannot be walked round by calling the route.
 *
 * @returns the job after the event
 */
export function accept(job: Run, event: JobEvent, clock: JudgedBy): Result<Run, Refusal> {
  const refusal = refuseDate(job, event, clock) ?? refuse(job, event, clock);
  if (refusal !== undefined) return err(refusal);
  const after = advance(job, event);
  return after.ok ? after : err({ path: "", message: after.error });
}

/** Time must not be made up: neither before the job was there, nor ahead of the clock, nor back behind what counts. */
function refuseDate(
  { inputs, log, progress }: Run,
  event: JobEvent,
  { now, lastStored = 0 }: JudgedBy,
): Refusal | undefined {
  const at = Date.parse(event.at);
  if (at > now + CLOCK_AHEAD_MS)
    return {
      path: "/at",
      message:
        lastStored > now + CLOCK_AHEAD_MS
          ? "The server's clock is wrong: it shows an earlier time than its own newest entry. Set it right there; this device may be right."
          : "The clock of this device runs ahead of the server's. Set it right: waits are counted by it.",
    };
  if (at < Date.parse(inputs.openedAt) - CLOCK_BEHIND_MS)
    return {
      path: "/at",
      message:
        "This is dated before the job was opened. Set the clock of this device right, then make the entry again.",
    };
  // The newest of all, not the one before: else an old note would open the way for a wait that is dated back. What a
  // clock dated ahead of now counts as now: a clock that once ran ahead must not lock the log.
  const newest = Math.max(...log.map((each) => Math.min(now, Date.parse(each.at))));
  const behind = timeCounts(progress, event) ? CLOCK_BEHIND_MS : WITHOUT_SIGNAL_MS;
  return at < newest - behind
    ? {
        path: "/at",
        message:
          "This is dated before the newest entry. If somebody else went on meanwhile, do it again; if not, set the clock of this device right: waits are counted by it.",
      }
    : undefined;
}

function refuse(job: Run, event: JobEvent, { now, workAgain }: JudgedBy): Refusal | undefined {
  const { progress, status, log: events } = job;
  // An entry may come a little ahead of the clock; a wait is over only when the clock says so.
  const at = Math.min(now, Date.parse(event.at));
  if (events.some((each) => each.id === event.id))
    return { path: "/id", message: "Another event has this id already. Give each event its own." };
  if (status.kind === "signed-off")
    return { path: "", message: "This job is signed off. Start a new one for this valve." };
  if (status.kind === "not-begun" && event.kind !== "undone")
    return { path: "", message: "This job was closed as not begun. Undo that, or start a new one." };
  if (
    status.kind === "stopped" &&
    event.kind !== "given-up" &&
    event.kind !== "resumed" &&
    event.kind !== "note-added" &&
    event.kind !== "undone"
  )
    return { path: "", message: "Work is stopped here. Take it up again first." };

  switch (event.kind) {
    case "note-added":
      return undefined;
    case "result-kept":
      return keptFault(event, workAgain);
    case "stopped":
      return undefined;
    case "resumed":
      return status.kind === "stopped" ? undefined : { path: "", message: "Work is not stopped." };
    case "undone": {
      const newest = progress.effective.at(-1);
      return newest?.id === event.event
        ? undefined
        : {
            path: "/event",
            message:
              newest === undefined
                ? "There is nothing to undo."
                : "Undo takes back the newest entry first, one at a time.",
          };
    }
    case "closure-passes":
      if (!job.shut.includes(event.link))
        return {
          path: "/link",
          message: `${event.link} is not shut in this job, so it cannot be the one that passes.`,
        };
      if (progress.passing.includes(event.link))
        return { path: "/link", message: `${event.link} is already known to pass.` };
      return [...progress.done.keys()].some((id) => id.startsWith("open:"))
        ? { path: "/link", message: "The line is being restored already. Undo that first." }
        : undefined;
    case "part-judged": {
      const part = job.inputs.sheet.parts.find((each) => each.id === event.part);
      if (part === undefined) return { path: "/part", message: `This sheet has no part "${event.part}".` };
      if (event.disposition === "reuse" && part.oneUse !== undefined)
        return { path: "/disposition", message: `${part.name} goes in once only: ${part.oneUse}` };
      return undefined;
    }
    case "signed-off": {
      if (job.current?.kind === "sign-off") {
        const open = gate(job, "sign-off");
        return open.open ? undefined : { path: "", message: open.says };
      }
      return mayCloseEarly(job)
        ? undefined
        : { path: "", message: `Not yet: ${job.current?.title ?? "nothing is left to sign"}` };
    }
    case "given-up":
      return notBegun(job)
        ? undefined
        : {
            path: "",
            message:
              "Work on the valve or the line has begun. Stop work and say why, or bring it to its end.",
          };
    case "reading-taken":
    case "check-answered":
    case "check-measured":
    case "bolt-pulled":
    case "wait-started":
    case "step-done":
    case "step-overridden":
    case "piece-set":
    case "part-compared":
    case "still-pressure":
    case "photo-taken":
      return refuseAtStep(job, event, at);
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
  if (again === undefined)
    return {
      path: "",
      message: "The bench book is not at hand to work this out again. Open it, then keep it.",
    };
  if (!again.ok) return again.error[0];
  const { si, said, dimension } = again.value;
  const wrong = (path: string) => ({
    path,
    message: `These inputs give ${said}. Work it out again and keep that.`,
  });
  if (Math.abs(si - event.si) > 1e-9 * Math.max(Math.abs(si), 1e-9)) return wrong("/si");
  // The words are what the record shows: in some unit of its kind they have to be this figure.
  return unitsOf(dimension).some((each) => formatIn(si, each) === event.typed) ? undefined : wrong("/typed");
}
