import type { TrayAccount } from "../build";
import { trayAccount } from "../build";
import type { JobEvent, JobInputs } from "../formats";
import type { LostConsumer } from "../isolation";
import type { UnitSystem } from "../quantity";
import { ok, type Result } from "../result";
import { compile, type Plan } from "./compile";
import { shutLinks } from "./compile/isolate";
import { BAR, boltKey, PROVE_STEPS, type Progress, replay } from "./progress";
import type { Phase, Step, StepOf } from "./step";

/** Whether a step is behind us; a halted one has an answer that forbids going on. */
export type StepState =
  | { readonly kind: "done" }
  | { readonly kind: "open" }
  | { readonly kind: "halted"; readonly says: string }
  | { readonly kind: "not-zero"; readonly typed: string }
  | { readonly kind: "running"; readonly until: number };

/** A job at work: what happened, what is planned now, and where the two meet. */
export interface Run {
  readonly inputs: JobInputs;
  /** Every event so far, those taken back and the takings back among them. */
  readonly log: readonly JobEvent[];
  /** The units the texts speak in. */
  readonly system: UnitSystem;
  readonly progress: Progress;
  readonly plan: Plan;
  readonly states: ReadonlyMap<string, StepState>;
  /** The step in hand; none when all is done. */
  readonly current: Step | undefined;
  readonly tray: TrayAccount;
  readonly status: RunStatus;
  /** Links shut and not yet opened again. */
  readonly shut: readonly string[];
  readonly minutesLeft: number;
}

export type RunStatus =
  | { readonly kind: "at-work" }
  | { readonly kind: "stopped"; readonly reason: string; readonly at: number; readonly by: string }
  | { readonly kind: "signed-off"; readonly at: number; readonly by: string }
  /** Started by mistake: closed before anything was done to the valve or the line. */
  | { readonly kind: "not-begun"; readonly reason: string; readonly at: number; readonly by: string };

/** Puts a job together from its log. Fails only when the plan cannot be compiled. */
export function run(
  inputs: JobInputs,
  events: readonly JobEvent[],
  system: UnitSystem = "metric",
): Result<Run, string> {
  const progress = replay(inputs, events);
  const plan = compile(inputs, progress, system);
  return plan.ok ? ok(standingAt(inputs, events, system, progress, plan.value)) : plan;
}

/**
 * Events that the plan is not compiled from: what was noted, photographed, counted or pulled changes where the job
 * stands, not what has to be done. A test holds it against compiling anew.
 */
const LEAVES_PLAN: ReadonlySet<JobEvent["kind"]> = new Set([
  "note-added",
  "photo-taken",
  "result-kept",
  "stopped",
  "resumed",
  "signed-off",
  "given-up",
  "part-compared",
  "piece-set",
  "bolt-pulled",
  "wait-started",
] satisfies JobEvent["kind"][]);

/** The job some events further: what `run` gives for the longer log, compiled only when one of them can change the plan. */
export function advance(job: Run, ...events: readonly JobEvent[]): Result<Run, string> {
  const { inputs, system } = job;
  const log = [...job.log, ...events];
  if (events.some((event) => !LEAVES_PLAN.has(event.kind))) return run(inputs, log, system);
  return ok(standingAt(inputs, log, system, replay(inputs, log), job.plan));
}

function standingAt(
  inputs: JobInputs,
  log: readonly JobEvent[],
  system: UnitSystem,
  progress: Progress,
  plan: Plan,
): Run {
  const { steps } = plan;
  const states = new Map(steps.map((step) => [step.id, stateOf(step, progress, plan)]));
  return {
    inputs,
    log,
    system,
    progress,
    plan,
    states,
    current: steps.find((step) => states.get(step.id)?.kind !== "done"),
    tray: trayOf(inputs, progress, plan),
    status: statusOf(progress),
    shut: shutLinks(progress).filter((link) => !progress.done.has(`open:${link}`)),
    minutesLeft: steps.reduce(
      (sum, step) => (states.get(step.id)?.kind === "done" ? sum : sum + step.minutes),
      0,
    ),
  };
}

function statusOf({ signedOff, givenUp, stopped }: Progress): RunStatus {
  if (givenUp !== undefined) return { kind: "not-begun", ...givenUp };
  if (signedOff !== undefined) return { kind: "signed-off", at: signedOff.at, by: signedOff.by };
  if (stopped !== undefined) return { kind: "stopped", ...stopped };
  return { kind: "at-work" };
}

function trayOf(inputs: JobInputs, progress: Progress, plan: Plan): TrayAccount {
  const taken = [...progress.done.keys()].flatMap((id) =>
    id.startsWith("strip:") ? [id.slice("strip:".length)] : [],
  );
  const fitted = new Set(
    [...progress.done.keys()].flatMap((id) => (id.startsWith("fit:") ? [id.slice("fit:".length)] : [])),
  );
  return trayAccount(inputs.sheet, {
    taken,
    fitted,
    renew: new Set(plan.renewals.map((each) => each.part)),
    counted: countsOf(progress, "strip:"),
    fittedCount: countsOf(progress, "fit:"),
  });
}

/** Pieces counted at a strip or a fit, by part; a step that was ticked without a count says nothing. */
function countsOf(progress: Progress, prefix: "strip:" | "fit:"): Map<string, number> {
  return new Map(
    [...progress.done].flatMap(([id, { entry }]) => {
      const count = Number.parseInt(entry ?? "", 10);
      return id.startsWith(prefix) && Number.isFinite(count)
        ? [[id.slice(prefix.length), count] as const]
        : [];
    }),
  );
}

function stateOf(step: Step, progress: Progress, plan: Plan): StepState {
  if (progress.overridden.has(step.id)) return { kind: "done" };
  switch (step.kind) {
    case "check": {
      const finding = plan.findings.find((each) => each.check === step.check.id);
      if (finding === undefined) return { kind: "open" };
      return finding.means === "stop" ? { kind: "halted", says: finding.says } : { kind: "done" };
    }
    case "gauge": {
      if (progress.proof.has(step.id)) return { kind: "done" };
      const last = progress.readings.findLast((reading) => reading.step.startsWith("prove:"));
      const wasHigh =
        last !== undefined && last.si > step.zero_bar * BAR && !passedSince(progress, last.event);
      return wasHigh && step.id === PROVE_STEPS.gauge
        ? { kind: "not-zero", typed: last.typed }
        : { kind: "open" };
    }
    case "wait": {
      if (progress.done.has(step.id)) return { kind: "done" };
      const wait = progress.waits.get(step.id);
      return wait === undefined ? { kind: "open" } : { kind: "running", until: wait.until };
    }
    case "tighten":
      return boltsLeft(step, progress) === 0 ? { kind: "done" } : { kind: "open" };
    case "sign-off":
      return progress.signedOff === undefined ? { kind: "open" } : { kind: "done" };
    case "blocked":
      return { kind: "halted", says: step.reason };
    case "crack":
    case "ask-twice": {
      // What it stands before is done already (the plan has changed since): there is nothing left to ask.
      const after = step.kind === "crack" ? step.id.replace("crack:", "strip:") : step.id.replace("ask:", "");
      return progress.done.has(step.id) || progress.done.has(after) ? { kind: "done" } : { kind: "open" };
    }
    default:
      return progress.done.has(step.id) ? { kind: "done" } : { kind: "open" };
  }
}

/** Once a closure is named as the one that passes, the reading that showed it has had its answer. */
function passedSince(progress: Progress, reading: string): boolean {
  const at = progress.effective.findIndex((event) => event.id === reading);
  return progress.effective.slice(at).some((event) => event.kind === "closure-passes");
}

/** Pulls still to make on a tightening step. */
export function boltsLeft(step: StepOf<"tighten">, progress: Progress): number {
  return step.bolts * step.passes.length - (progress.bolts.get(step.id)?.size ?? 0);
}

/** Pieces of a stack still to count on a step. */
export function piecesLeft(step: StepOf<"strip"> | StepOf<"fit">, progress: Progress): number {
  return step.pieces.length - (progress.pieces.get(step.id) ?? 0);
}

/** A pull within this share of what was asked counts: the class of a good click wrench (ISO 6789-1, type II class A: 4 %). */
export const WRENCH_BAND = 0.04;

/** The next bolt by the pattern: pass and place in the pulling order, both from 1. */
export function nextBolt(
  step: StepOf<"tighten">,
  progress: Progress,
): { readonly pass: number; readonly bolt: number } | undefined {
  const pulled = progress.bolts.get(step.id) ?? new Set();
  for (let pass = 1; pass <= step.passes.length; pass++)
    for (let bolt = 1; bolt <= step.bolts; bolt++)
      if (!pulled.has(boltKey(pass, bolt))) return { pass, bolt };
  return undefined;
}

/** A gate that stands between two phases: open, or shut with what to do. */
export type Gate = { readonly open: true } | { readonly open: false; readonly says: string };

/** Whether work of a phase may begin. Computed from what was done, never from where the screen stands. */
export function gate(run: Run, phase: Phase): Gate {
  const left = (phases: readonly Phase[]) =>
    run.plan.steps.find((step) => phases.includes(step.phase) && run.states.get(step.id)?.kind !== "done");
  if (phase === "strip" || phase === "inspect" || phase === "rebuild") {
    const open = left(["isolate", "prove"]);
    if (open !== undefined)
      return { open: false, says: `Nothing is opened before zero is proven. Still to do: ${open.title}` };
  }
  if (phase === "restore") {
    const open = left(["rebuild"]);
    if (!run.tray.balances)
      return {
        open: false,
        says: `The tray does not balance: ${run.tray.missing.map((item) => item.name).join(", ")} ${run.tray.missing.length === 1 ? "is" : "are"} still on it.`,
      };
    if (open !== undefined)
      return { open: false, says: `The valve is not whole yet. Still to do: ${open.title}` };
  }
  if (phase === "sign-off") {
    const open = left(["restore", "test"]);
    if (open !== undefined) return { open: false, says: `Not proven yet. Still to do: ${open.title}` };
    if (run.shut.length > 0)
      return { open: false, says: `Still shut: ${run.shut.join(", ")}. Open them and take the locks off.` };
  }
  return { open: true };
}

/** Nothing was shut and nothing is off: the job may end here without going through the rest. */
export const mayCloseEarly = (run: Run): boolean =>
  run.shut.length === 0 && run.tray.off === 0 && !isClosed(run);

/** Nobody works on it any more. */
export const isClosed = ({ status }: Pick<Run, "status">): boolean =>
  status.kind === "signed-off" || status.kind === "not-begun";

/** Nothing was shut, taken off or put back so far: the job can be given up as if it had not been opened. */
export const notBegun = (run: Run): boolean =>
  mayCloseEarly(run) &&
  !run.plan.steps.some((step) => TOUCHES.has(step.phase) && run.progress.done.has(step.id));

const TOUCHES: ReadonlySet<Phase> = new Set(["isolate", "prove", "strip", "rebuild", "restore"]);

/** Who is without service now: what the plan takes away, once its first closure is made. */
export function outOfService(run: Run): readonly LostConsumer[] {
  if (isClosed(run) || run.plan.isolation?.ok !== true) return [];
  return run.shut.length > 0 ? run.plan.isolation.value.lost : [];
}
