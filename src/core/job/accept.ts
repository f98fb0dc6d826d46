import type { JobEvent, JobInputs } from "../formats";
import { err, type Result } from "../result";
import { BAR, boltKey, PROVE_STEPS } from "./progress";
import { boltsLeft, gate, mayCloseEarly, nextBolt, type Run, run } from "./run";
import type { Step } from "./step";

/** Why an event is not taken, at the field it concerns, and what to do. */
export interface Refusal {
  readonly path: string;
  readonly message: string;
}

/** How far a device's clock may run ahead of the server's before its waits cannot be trusted. */
const CLOCK_AHEAD_MS = 5 * 60_000;
/** How far two devices on one job may differ; a wait must not be shortened by dating it back. */
const CLOCK_BEHIND_MS = 2 * 60_000;
/** A gauge cannot show less than a vacuum; rounded for its own error. */
const VACUUM_PA = -1.02 * BAR;
const HIGHEST_PA = 400 * BAR;
const COLDEST_K = 153.15;
const HOTTEST_K = 673.15;

/**
 * Whether an event may follow what happened so far. The browser asks before it shows, the server before it stores:
 * the same rules, so a gate cannot be walked round by calling the route.
 *
 * @param now server or device time, ms · @returns the job after the event
 */
export function accept(
  inputs: JobInputs,
  events: readonly JobEvent[],
  event: JobEvent,
  now: number,
): Result<Run, Refusal> {
  const before = run(inputs, events);
  if (!before.ok) return err({ path: "", message: before.error });
  const refusal = refuse(before.value, events, event, now);
  if (refusal !== undefined) return err(refusal);
  const after = run(inputs, [...events, event]);
  return after.ok ? after : err({ path: "", message: after.error });
}

function refuse(job: Run, events: readonly JobEvent[], event: JobEvent, now: number): Refusal | undefined {
  const { progress, status } = job;
  const at = Date.parse(event.at);
  if (at > now + CLOCK_AHEAD_MS)
    return {
      path: "/at",
      message: "The clock of this device runs ahead of the server's. Set it right: waits are counted by it.",
    };
  const last = events.at(-1);
  if (last !== undefined && at < Date.parse(last.at) - CLOCK_BEHIND_MS)
    return {
      path: "/at",
      message:
        "This is dated before the entry it follows. Set the clock of this device right: waits are counted by it.",
    };
  if (events.some((each) => each.id === event.id))
    return { path: "/id", message: "Another event has this id already. Give each event its own." };
  if (status.kind === "signed-off")
    return { path: "", message: "This job is signed off. Start a new one for this valve." };
  if (
    status.kind === "stopped" &&
    event.kind !== "resumed" &&
    event.kind !== "note-added" &&
    event.kind !== "undone"
  )
    return { path: "", message: "Work is stopped here. Take it up again first." };

  switch (event.kind) {
    case "note-added":
      return undefined;
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
    case "reading-taken":
    case "check-answered":
    case "check-measured":
    case "bolt-pulled":
    case "wait-started":
    case "step-done":
    case "step-overridden":
      return refuseAtStep(job, event, at);
  }
}

type StepEvent = Extract<JobEvent, { step: string; kind: Exclude<JobEvent["kind"], "note-added"> }>;

function refuseAtStep(job: Run, event: StepEvent, at: number): Refusal | undefined {
  const { current, states, plan } = job;
  const target = plan.steps.find((each) => each.id === event.step);
  if (target === undefined)
    return {
      path: "/step",
      message: `This plan has no step "${event.step}". It may have changed: look at the card again.`,
    };
  if (states.get(target.id)?.kind === "done")
    return { path: "/step", message: `Already done: ${target.title}` };
  if (current?.id !== target.id)
    return { path: "/step", message: `First: ${current?.title ?? "nothing is left to do"}` };
  const open = gate(job, target.phase);
  if (!open.open && target.kind !== "tray") return { path: "/step", message: open.says };
  return refuseKind(job, target, event, at);
}

function refuseKind(job: Run, step: Step, event: StepEvent, at: number): Refusal | undefined {
  const wrong = (message: string): Refusal => ({ path: "/kind", message });
  switch (event.kind) {
    case "step-overridden":
      return step.mayOverride
        ? undefined
        : { path: "/step", message: "This step cannot be skipped: somebody's safety hangs on it." };
    case "reading-taken":
      if (step.kind !== "gauge") return wrong("This step takes no gauge reading.");
      if (event.dimension !== "gauge pressure")
        return { path: "/dimension", message: "Proving zero takes a gauge pressure." };
      if (event.si < VACUUM_PA)
        return {
          path: "/si",
          message: "A gauge cannot show less than a full vacuum (−1.01 bar g). Read it again.",
        };
      if (event.kelvin !== undefined && (event.kelvin < COLDEST_K || event.kelvin > HOTTEST_K))
        return {
          path: "/kelvin",
          message: "No pipe here is that cold or hot (−120 to 400 °C). Check the unit of the temperature.",
        };
      if (event.si > HIGHEST_PA)
        return { path: "/si", message: "No gauge used here reads above 400 bar. Check the unit." };
      return undefined;
    case "check-answered": {
      if (step.kind !== "check" || step.check.id !== event.check)
        return { path: "/check", message: "This answer belongs to another check." };
      const { check } = step;
      if (check.kind === "measure") return wrong("This check wants a measured figure.");
      const known = check.kind === "trick" ? ["go", "no-go"] : check.options.map((option) => option.id);
      return known.includes(event.answer)
        ? undefined
        : { path: "/answer", message: `Answer one of: ${known.join(", ")}.` };
    }
    case "check-measured":
      if (step.kind !== "check" || step.check.id !== event.check)
        return { path: "/check", message: "This figure belongs to another check." };
      if (step.check.kind !== "measure") return wrong("This check wants a choice, not a figure.");
      return event.si < 0 && step.check.dimension !== "gauge pressure"
        ? { path: "/si", message: "It cannot be below zero. Measure again." }
        : undefined;
    case "bolt-pulled": {
      if (step.kind !== "tighten") return wrong("No bolts are pulled in this step.");
      const next = nextBolt(step, job.progress);
      return next !== undefined && boltKey(next.pass, next.bolt) === boltKey(event.pass, event.bolt)
        ? undefined
        : {
            path: "/bolt",
            message: `Next is bolt ${next?.bolt} of pass ${next?.pass}: the order keeps the joint even.`,
          };
    }
    case "wait-started":
      if (step.kind !== "wait") return wrong("There is nothing to wait for in this step.");
      if (job.progress.waits.has(step.id)) return { path: "/step", message: "This wait runs already." };
      return event.minutes >= step.minutes
        ? undefined
        : { path: "/minutes", message: `This wait takes ${step.minutes} minutes at least.` };
    case "step-done":
      return refuseDone(job, step, event, at);
  }
}

function refuseDone(
  job: Run,
  step: Step,
  event: Extract<JobEvent, { kind: "step-done" }>,
  at: number,
): Refusal | undefined {
  const entry = event.entry?.trim() ?? "";
  switch (step.kind) {
    case "shut":
      return step.lockable && entry === ""
        ? { path: "/entry", message: "Write the number of the lock you put on." }
        : undefined;
    case "write-down":
      return entry === "" ? { path: "/entry", message: `${step.ask} Write it down.` } : undefined;
    case "capture":
      return step.choices.includes(entry)
        ? undefined
        : { path: "/entry", message: `Choose one of: ${step.choices.join(", ")}.` };
    case "wait": {
      const wait = job.progress.waits.get(PROVE_STEPS.hold);
      if (wait === undefined) return { path: "/step", message: "Start the wait first." };
      return at >= wait.until
        ? undefined
        : {
            path: "/at",
            message: `The wait is not over: ${Math.ceil((wait.until - at) / 60_000)} min to go.`,
          };
    }
    case "tighten":
      return boltsLeft(step, job.progress) === 0
        ? undefined
        : { path: "/step", message: "Pull every bolt in every pass." };
    case "tray":
      return job.tray.balances
        ? undefined
        : {
            path: "/step",
            message: `Still on the tray: ${job.tray.missing.map((item) => item.name).join(", ")}.`,
          };
    case "check":
    case "gauge":
    case "blocked":
    case "sign-off":
      return { path: "/kind", message: "This step is not done by ticking it." };
    default:
      return undefined;
  }
}
