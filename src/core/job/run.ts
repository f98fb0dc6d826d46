import { type StripFailure, type TrayAccount, trayAccount } from "../build";
import { ofPieces } from "../findings";
import type { JobEvent, JobInputs } from "../formats";
import type { LostConsumer } from "../isolation";
import { ok, type Result } from "../result";
import { compile, type Plan } from "./compile";
import { basisOf } from "./compile/planned-from";
import type { Done } from "./entered";
import type { Phase } from "./phases";
import { type Progress, replay } from "./progress";
import type { Step } from "./step";
import { readStepId, stepAbout } from "./step-id";
import type { StepState } from "./step-rule";
import { stateOf } from "./step-rules";
import { countIn } from "./steps/pieces";

/** A job at work: what happened, what is planned now, and where the two meet. */
export interface Run {
  readonly inputs: JobInputs;
  /** Every event so far, those taken back and the takings back among them. */
  readonly log: readonly JobEvent[];
  readonly progress: Progress;
  readonly plan: Plan;
  readonly states: ReadonlyMap<string, StepState>;
  /** The step in hand; none when all is done. */
  readonly current: Step | undefined;
  readonly tray: TrayAccount;
  readonly status: RunStatus;
  /** Links shut and not yet opened again. */
  readonly shut: readonly string[];
  /** Bypasses opened and not yet shut again. */
  readonly openRound: ReadonlyMap<string, Done>;
  readonly minutesLeft: number;
}

export type RunStatus =
  | { readonly kind: "at-work" }
  | { readonly kind: "stopped"; readonly reason: string; readonly at: number; readonly by: string }
  | { readonly kind: "signed-off"; readonly at: number; readonly by: string }
  /** Started by mistake: closed before anything was done to the valve or the line. */
  | { readonly kind: "not-begun"; readonly reason: string; readonly at: number; readonly by: string };

/** Puts a job together from its log. Fails only when the plan cannot be compiled. */
export function run(inputs: JobInputs, events: readonly JobEvent[]): Result<Run, StripFailure> {
  const progress = replay(inputs, events);
  const plan = compile(inputs, progress);
  return plan.ok ? ok(standingAt(inputs, events, progress, plan.value)) : plan;
}

/**
 * The job some events further: what `run` gives for the longer log. The plan is compiled only where what it was compiled
 * from is another now; a test holds it against compiling anew.
 */
export function advance(job: Run, ...events: readonly JobEvent[]): Result<Run, StripFailure> {
  const { inputs, plan } = job;
  const log = [...job.log, ...events];
  const progress = replay(inputs, log);
  const same = basisOf(plan, job.progress) === basisOf(plan, progress);
  const compiled = same ? ok(plan) : compile(inputs, progress);
  return compiled.ok ? ok(standingAt(inputs, log, progress, compiled.value)) : compiled;
}

/** The locks that hang there are named where they come off. */
function withLocks(plan: Plan, shut: Progress["shut"]): Plan {
  const named = (step: Step): Step => {
    if (step.kind !== "open") return step;
    const { lock: before, ...rest } = step;
    const lock = shut.get(step.link)?.entry;
    return lock === before ? step : { ...rest, ...(lock !== undefined && { lock }) };
  };
  const steps = plan.steps.map(named);
  return steps.some((step, at) => step !== plan.steps[at]) ? { ...plan, steps } : plan;
}

function standingAt(inputs: JobInputs, log: readonly JobEvent[], progress: Progress, compiled: Plan): Run {
  const plan = withLocks(compiled, progress.shut);
  const { steps, findings } = plan;
  const states = new Map(steps.map((step) => [step.id, stateOf(step, { inputs, progress, findings })]));
  return {
    inputs,
    log,
    progress,
    plan,
    states,
    current: steps.find((step) => states.get(step.id)?.kind !== "done"),
    tray: trayOf(inputs, progress, plan),
    status: statusOf(progress),
    shut: [...progress.shut.keys()].filter((link) => !progress.opened.has(link)),
    openRound: openRound(progress),
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

const trayOf = (inputs: JobInputs, { stripped, fitted }: Progress, plan: Plan): TrayAccount =>
  trayAccount(inputs.sheet, {
    taken: [...stripped.keys()],
    fitted: new Set(fitted.keys()),
    renew: new Set(plan.renewals.flatMap((each) => (ofPieces(each) ? [] : [each.part]))),
    counted: countsOf(stripped),
    fittedCount: countsOf(fitted),
  });

/** Pieces counted, by part; a step that was ticked without a count says nothing. */
const countsOf = (done: ReadonlyMap<string, Done>): Map<string, number> =>
  new Map(
    [...done].flatMap(([part, { entry = "" }]) => {
      const count = countIn(entry);
      return count !== undefined && Number.isFinite(count) ? [[part, count] as const] : [];
    }),
  );

function openRound({ done }: Progress): Map<string, Done> {
  return new Map(
    [...done].flatMap(([id, how]) => {
      const ref = readStepId(id);
      return ref?.is === "open-bypass" && !done.has(stepAbout("shut-bypass", ref.of)) ? [[ref.of, how]] : [];
    }),
  );
}

/** A gate that stands between two phases: open, or shut with what is still to do. */
export type Gate = { readonly open: true } | ShutGate;
export type ShutGate = { readonly open: false } & (
  | { readonly kind: "zero-not-proven" | "not-whole" | "not-tested"; readonly step: Step }
  | { readonly kind: "tray-does-not-balance"; readonly missing: readonly string[] }
  | { readonly kind: "still-shut"; readonly links: readonly string[] }
);

const OPEN: Gate = { open: true };

/** Whether work of a phase may begin. Computed from what was done, never from where the screen stands. */
export function gate(run: Run, phase: Phase): Gate {
  const left = (...phases: readonly Phase[]) =>
    run.plan.steps.find((step) => phases.includes(step.phase) && run.states.get(step.id)?.kind !== "done");
  if (phase === "strip" || phase === "inspect" || phase === "rebuild") {
    const step = left("isolate", "prove");
    return step === undefined ? OPEN : { open: false, kind: "zero-not-proven", step };
  }
  if (phase === "restore") {
    if (!run.tray.balances)
      return {
        open: false,
        kind: "tray-does-not-balance",
        missing: run.tray.missing.map((item) => item.name),
      };
    const step = left("rebuild");
    return step === undefined ? OPEN : { open: false, kind: "not-whole", step };
  }
  if (phase === "sign-off") {
    const step = left("restore", "test");
    if (step !== undefined) return { open: false, kind: "not-tested", step };
    if (run.shut.length > 0) return { open: false, kind: "still-shut", links: run.shut };
  }
  return OPEN;
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

/**
 * Who is without service now: what the plan takes away, from its first closure until all is open again, tested, and told
 * to those who rely on it.
 */
export function outOfService(run: Run): readonly LostConsumer[] {
  const { plan, progress, shut } = run;
  if (isClosed(run) || plan.isolation?.ok !== true || progress.shut.size === 0) return [];
  const untold = plan.steps.some((step) => step.kind === "tell" && !progress.done.has(step.id));
  return shut.length > 0 || untold ? plan.isolation.value.lost : [];
}

/** What the sheet says of the answer that halts a step. */
export const haltedBy = ({ plan }: Run, step: Step): string | undefined =>
  step.kind === "check" ? plan.findings.find((each) => each.check === step.check.id)?.says : undefined;
