import type { StripFailure } from "../../build";
import type { Finding, Renewal } from "../../findings";
import type { JobInputs } from "../../formats";
import type { IsolationFailure, IsolationPlan } from "../../isolation";
import { ok, type Result } from "../../result";
import type { KitChoice } from "../../store";
import type { Progress } from "../progress";
import type { Step } from "../step";
import { awayFrom, emptied, looksAway, testsAway } from "./away";
import { checksOf } from "./checks";
import { type Context, contextOf } from "./context";
import { isolate } from "./isolate";
import { mark } from "./mark";
import { prepare } from "./prepare";
import { prove } from "./prove";
import { rebuild } from "./rebuild";
import { restore, signOff, testAndSignOff } from "./restore";
import { inspect, strip } from "./strip";

/** A job as compiled now: every step from the first look to the signature, each with its reason. */
export interface Plan {
  readonly steps: readonly Step[];
  readonly minutes: number;
  readonly isolation: Result<IsolationPlan, IsolationFailure> | undefined;
  readonly renewals: readonly Renewal[];
  readonly findings: readonly Finding[];
  readonly kits: KitChoice;
  /** Parts that come off, in order. */
  readonly removed: readonly string[];
  readonly exact: boolean;
  readonly offBy: number;
}

/** A look that needs something shut stands behind the proof that it is. */
const onceShut = ({ rules }: Context, look: Step): boolean =>
  rules >= 3 && look.kind === "check" && look.check.needs?.shut !== undefined;

/**
 * Compiles the plan of a job from its inputs and what happened so far. The same inputs and progress give the same
 * plan; what is done keeps its step, whatever changes around it.
 *
 * @returns the plan, or why the parts cannot be reached
 */
export function compile(inputs: JobInputs, progress: Progress): Result<Plan, StripFailure> {
  const made = contextOf(inputs, progress);
  if (!made.ok) return made;
  const context = made.value;
  const away = awayFrom(context);
  const steps = away === undefined ? inLine(context) : outOfLine(context, away);
  return ok({
    steps,
    minutes: steps.reduce((sum, each) => sum + each.minutes, 0),
    isolation: context.isolation,
    renewals: context.renewals,
    findings: context.findings,
    kits: context.kits,
    removed: context.removed,
    exact: context.strip.exact,
    offBy: context.strip.offBy,
  });
}

/** Shut off, proven, opened, closed and brought back. */
function inLine(context: Context): Step[] {
  return [
    ...checksOf(context, "triage").filter((each) => !onceShut(context, each)),
    ...prepare(context),
    ...(context.rules < 3 ? [] : mark(context, "prepare")),
    ...isolate(context),
    ...prove(context),
    ...checksOf(context, "triage")
      .filter((each) => onceShut(context, each))
      .map((each): Step => ({ ...each, phase: "prove" })),
    ...(context.rules < 3 ? mark(context, "mark") : []),
    ...strip(context),
    ...inspect(context),
    ...rebuild(context),
    ...restore(context),
    ...testAndSignOff(context),
  ];
}

/** Opened and closed where it lies: nothing is shut for it, and it is tested as far as it can be there. */
function outOfLine(context: Context, away: "bench" | "carried"): Step[] {
  return [
    ...looksAway(context, away),
    ...prepare(context),
    ...mark(context, "prepare"),
    ...emptied(context, away),
    ...strip(context),
    ...inspect(context),
    ...rebuild(context),
    ...testsAway(context, away),
    ...signOff(context),
  ];
}
