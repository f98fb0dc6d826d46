import { judgeNewPart } from "../build";
import type { JobEvent } from "../formats";
import { formatKept, formatQuantity, type UnitSystem } from "../quantity";
import { BAR, boltKey } from "./progress";
import { boltsLeft, gate, nextBolt, piecesLeft, type Run, WRENCH_BAND } from "./run";
import type { Step, StepOf } from "./step";

/** Why an event is not taken, at the field it concerns, and what to do. */
export interface Refusal {
  readonly path: string;
  readonly message: string;
}

/** A gauge cannot show less than a vacuum; rounded for its own error. */
const VACUUM_PA = -1.02 * BAR;
const HIGHEST_PA = 400 * BAR;
const COLDEST_K = 153.15;
const HOTTEST_K = 673.15;

type StepEvent = Extract<
  JobEvent,
  { step: string; kind: Exclude<JobEvent["kind"], "note-added" | "result-kept"> }
>;

/** Whether an event belongs to the step that is to be done now, and says of it what may be said. */
export function refuseAtStep(job: Run, event: StepEvent, at: number): Refusal | undefined {
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
          message: `A gauge cannot show less than a full vacuum (${formatKept(-1.01, "bar g", job.system)}). Read it again.`,
        };
      if (event.kelvin !== undefined && (event.kelvin < COLDEST_K || event.kelvin > HOTTEST_K))
        return {
          path: "/kelvin",
          message: `No pipe here is that cold or hot (${formatQuantity(COLDEST_K, "temperature", job.system)} to ${formatQuantity(HOTTEST_K, "temperature", job.system)}). Check the unit of the temperature.`,
        };
      if (event.si > HIGHEST_PA)
        return {
          path: "/si",
          message: `No gauge used here reads above ${formatQuantity(HIGHEST_PA, "gauge pressure", job.system)}. Check the unit.`,
        };
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
      if (next === undefined || boltKey(next.pass, next.bolt) !== boltKey(event.pass, event.bolt))
        return {
          path: "/bolt",
          message: `Next is bolt ${next?.bolt} of pass ${next?.pass}: the order keeps the joint even.`,
        };
      return refusePull(step, next, event.reading_Nm, job.system);
    }
    case "piece-set": {
      if (step.kind !== "strip" && step.kind !== "fit") return wrong("No stack is counted in this step.");
      const next = (job.progress.pieces.get(step.id) ?? 0) + 1;
      return event.piece === next && next <= step.pieces.length
        ? undefined
        : { path: "/piece", message: `Count on from piece ${Math.min(next, step.pieces.length)}.` };
    }
    case "part-compared": {
      if (step.kind !== "fit" || step.part !== event.part)
        return wrong("No new part is compared in this step.");
      const known = new Set(step.features.map((feature) => feature.name));
      const stray = event.found.findIndex((each) => !known.has(each.name));
      return stray === -1
        ? undefined
        : {
            path: `/found/${stray}/name`,
            message: `Compare by: ${[...known].join(", ") || "nothing here"}.`,
          };
    }
    case "still-pressure":
      return step.kind === "crack" ? undefined : wrong("No joint is cracked in this step.");
    case "photo-taken":
      return step.kind === "capture" || step.kind === "confirm" || step.kind === "check"
        ? undefined
        : wrong("This step takes no photograph. Take it where something is noted or looked at.");
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

/** The entry of a question that was asked twice and twice said yes to. */
export const ASKED_TWICE = "yes, twice";

/** A read torque has to lie in the band, and never above what the part stands. */
function refusePull(
  step: StepOf<"tighten">,
  next: { readonly pass: number },
  reading_Nm: number | undefined,
  system: UnitSystem,
): Refusal | undefined {
  if (reading_Nm === undefined) return undefined;
  const wanted = step.passes[next.pass - 1]!.torque_Nm;
  const shown = (value: number) => formatQuantity(value, "torque", system);
  if (step.limit_Nm !== undefined && reading_Nm > step.limit_Nm)
    return {
      path: "/reading_Nm",
      message: `${shown(reading_Nm)} is over this part's limit of ${shown(step.limit_Nm)}. Slacken it, look at thread and face, renew the bolt, and pull again.`,
    };
  if (reading_Nm < wanted * (1 - WRENCH_BAND))
    return {
      path: "/reading_Nm",
      message: `${shown(reading_Nm)} is short of ${shown(wanted)}. Pull again, smoothly, to the click.`,
    };
  if (reading_Nm > wanted * (1 + WRENCH_BAND))
    return {
      path: "/reading_Nm",
      message: `${shown(reading_Nm)} is beyond ${shown(wanted)}. Slacken this bolt and pull it again.`,
    };
  return undefined;
}

/** Counts that must balance: a stack piece by piece, loose pieces by their number, a new part by its marks. */
function refusePieces(job: Run, step: StepOf<"strip"> | StepOf<"fit">, entry: string): Refusal | undefined {
  const left = piecesLeft(step, job.progress);
  if (left > 0)
    return { path: "/step", message: `Count the stack first: ${left} of ${step.pieces.length} to go.` };
  const counted = entry === "" ? undefined : Number.parseInt(entry, 10);
  if (counted !== undefined && !(counted >= 0 && counted <= step.count))
    return { path: "/entry", message: `There are ${step.count} of them. Count again.` };
  if (step.kind === "strip" || step.part === undefined) return undefined;
  const part = job.inputs.sheet.parts.find((each) => each.id === step.part);
  if (part === undefined) return undefined;
  if (step.features.length > 0) {
    const verdict = judgeNewPart(part, job.progress.compared.get(part.id) ?? []);
    if (verdict.kind !== "right") return { path: "/entry", message: verdict.says };
  }
  const item = job.tray.items.find((each) => each.part === part.id);
  const out = item !== undefined && !item.renew ? item.counted : step.count;
  if (counted === undefined ? out < step.count : counted < step.count)
    return {
      path: "/entry",
      message: `${step.count} go in; ${counted ?? out} ${(counted ?? out) === 1 ? "is" : "are"} there. Find the rest in the valve or on the floor, or take new ones.`,
    };
  return undefined;
}

function refuseTray(job: Run, step: StepOf<"tray">, entry: string): Refusal | undefined {
  const { missing, short } = job.tray;
  if (missing.length > 0)
    return { path: "/step", message: `Still on the tray: ${missing.map((item) => item.name).join(", ")}.` };
  if (short.length > 0)
    return {
      path: "/step",
      message: `Pieces are missing of: ${short.map((item) => `${item.name} (${item.counted} of ${item.quantity})`).join(", ")}.`,
    };
  if (entry === "") return undefined;
  const [, number, reason] = /^(\d+)\s*(?::\s*(.+))?$/.exec(entry) ?? [];
  if (number === undefined)
    return { path: "/entry", message: "Write how many pieces are left on the bench, as a number." };
  if (Number(number) !== step.leftovers && reason === undefined)
    return {
      path: "/entry",
      message: `${step.leftovers} should be left over and ${number} are. Find out which, then write it: "${number}: what it is".`,
    };
  return undefined;
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
      const wait = job.progress.waits.get(step.id);
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
      return refuseTray(job, step, entry);
    case "confirm":
      return entry === step.noted
        ? undefined
        : {
            path: "/entry",
            message: `You noted: ${step.noted}. Put it back so, and confirm that. If the note was wrong, undo back to it or write a note.`,
          };
    case "ask-twice":
      return entry === ASKED_TWICE
        ? undefined
        : { path: "/entry", message: "Say yes to both questions, or stop work." };
    case "crack":
      return entry === "dry" || entry === "dripped out"
        ? undefined
        : { path: "/entry", message: "Say what came out: dry, or dripped out and stopped." };
    case "strip":
    case "fit":
      return refusePieces(job, step, entry);
    case "check":
    case "gauge":
    case "blocked":
    case "sign-off":
      return { path: "/kind", message: "This step is not done by ticking it." };
    default:
      return undefined;
  }
}
