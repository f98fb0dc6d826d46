import type { StripFailure } from "../../build";
import type { Finding, Renewal } from "../../findings";
import type { JobInputs, Valve } from "../../formats";
import type { IsolationFailure, IsolationPlan } from "../../isolation";
import { ok, type Result } from "../../result";
import type { KitChoice } from "../../store";
import { type Away, awayFrom } from "../away-from";
import type { Step } from "../step";
import { emptied, looksAway, testsAway } from "./away";
import { checkStep, checksOf, isFollowedUp } from "./checks";
import { type Context, contextOf } from "./context";
import { turnedOver, withDrawing } from "./drawn";
import { isolate, letsOutByPower } from "./isolate";
import { mark } from "./mark";
import type { PlannedFrom } from "./planned-from";
import { prepare } from "./prepare";
import { electricallyDead, prove } from "./prove";
import { cured, rebuild } from "./rebuild";
import { restore, signOff, testAndSignOff } from "./restore";
import { withSourceAsked } from "./sourced";
import { inspect, strip } from "./strip";

/** A job as compiled now: every step from the first look to the signature, each with its reason. */
export interface Plan {
  readonly steps: readonly Step[];
  readonly minutes: number;
  readonly isolation: Result<IsolationPlan, IsolationFailure> | undefined;
  /** What this work opens to a person, by its names on the line. */
  readonly opens: readonly string[];
  readonly renewals: readonly Renewal[];
  readonly findings: readonly Finding[];
  readonly kits: KitChoice;
  /** Parts that come off, in order. */
  readonly removed: readonly string[];
  /** The build it goes by. */
  readonly build?: string;
  /** Which options it has, as far as that is known. */
  readonly fitted: NonNullable<Valve["fitted"]>;
  readonly exact: boolean;
  readonly offBy: number;
}

/** A look that needs something shut stands behind the proof that it is; one that needs no more than the power off, before. */
const onceShut = ({ rules }: Context, look: Step): boolean =>
  rules >= 3 &&
  look.kind === "check" &&
  look.check.needs?.shut !== undefined &&
  (rules < 4 || look.check.needs.shut.some((flow) => flow !== "electricity"));

/** A look that needs no more than the power off. */
const oncePowerOff = (context: Context, look: Step): boolean =>
  look.kind === "check" && look.check.needs?.shut !== undefined && !onceShut(context, look);

/** What is looked at with the power off comes before anything else is shut: it may be all that is wrong. */
function lookedAtFirst(context: Context, isolating: readonly Step[]): Step[] {
  const looks = checksOf(context, "triage").filter((each) => oncePowerOff(context, each));
  if (context.rules < 4 || looks.length === 0) return [...isolating];
  const dead = powerProvenFirst(context) ? electricallyDead(context) : [];
  const last = isolating.findLastIndex((each) => each.kind === "shut" && isPower(each));
  return [
    ...isolating.slice(0, last + 1),
    ...[...dead, ...looks].map((each): Step => ({ ...each, phase: "isolate" })),
    ...isolating.slice(last + 1),
  ];
}

/** A look waits for the power to be off, and for nothing else: it is proven dead as soon as it is. */
const powerProvenFirst = (context: Context): boolean =>
  context.rules >= 4 &&
  !letsOutByPower(context) &&
  checksOf(context, "triage").some(
    (each) =>
      each.kind === "check" &&
      each.check.needs?.shut !== undefined &&
      each.check.needs.shut.every((flow) => flow === "electricity"),
  );

const isPower = (each: Step): boolean =>
  each.kind === "shut" && each.by.kind === "closure" && each.by.medium === "electricity";

/**
 * Compiles the plan of a job from its inputs and what happened so far. The same inputs and progress give the same
 * plan; what is done keeps its step, whatever changes around it.
 *
 * @returns the plan, or why the parts cannot be reached
 */
export function compile(inputs: JobInputs, progress: PlannedFrom): Result<Plan, StripFailure> {
  const made = contextOf(inputs, progress);
  if (!made.ok) return made;
  const context = made.value;
  const away = awayFrom(inputs);
  const looks = context.removed.length === 0 ? inputs.looks : undefined;
  const cards =
    looks !== undefined
      ? looksAlone(context, looks)
      : away === undefined
        ? inLine(context)
        : outOfLine(context, away);
  const steps = turnedOver(
    cards.map((each) =>
      drawsAndAsks(context) ? withSourceAsked(context, withDrawing(context, each)) : each,
    ),
  );
  return ok({
    steps,
    minutes: steps.reduce((sum, each) => sum + each.minutes, 0),
    isolation: context.isolation,
    opens: context.opens,
    renewals: context.renewals,
    findings: context.findings,
    kits: context.kits,
    removed: context.removed,
    ...(context.build !== undefined && { build: context.build }),
    fitted: context.fitted,
    exact: context.strip.exact,
    offBy: context.strip.offBy,
  });
}

/** Jobs of before keep their cards as they began. */
const drawsAndAsks = ({ rules }: Context): boolean => rules >= 4;

/** Looked at as it stands: nothing is shut for it and nothing comes off, unless an answer asks for that. */
const looksAlone = (context: Context, looks: readonly string[]): Step[] => [
  ...prepare(context).filter(({ kind }) => kind === "protect" || kind === "tools"),
  ...context.sheet.checks
    .filter((check) => looks.includes(check.id) && isFollowedUp(context, check))
    .map((check) => checkStep(context, check)),
  // Nothing was done to it: no new tag goes on.
  ...signOff(context).filter(({ kind }) => kind === "sign-off"),
];

/** Shut off, proven, opened, closed and brought back. */
function inLine(context: Context): Step[] {
  return [
    ...checksOf(context, "triage").filter(
      (each) => !onceShut(context, each) && !(context.rules >= 4 && oncePowerOff(context, each)),
    ),
    ...prepare(context),
    ...(context.rules < 3 ? [] : mark(context, "prepare")),
    ...lookedAtFirst(context, isolate(context)),
    ...prove(context, powerProvenFirst(context)),
    ...checksOf(context, "triage")
      .filter((each) => onceShut(context, each))
      .map((each): Step => ({ ...each, phase: "prove" })),
    ...(context.rules < 3 ? mark(context, "mark") : []),
    ...strip(context),
    ...inspect(context),
    ...rebuild(context),
    ...cured(context),
    ...restore(context),
    ...testAndSignOff(context),
  ];
}

/** Opened and closed where it lies: nothing is shut for it, and it is tested as far as it can be there. */
function outOfLine(context: Context, away: Away): Step[] {
  return [
    ...looksAway(context, away),
    ...prepare(context),
    ...mark(context, "prepare"),
    ...emptied(context, away),
    ...strip(context),
    ...inspect(context),
    ...rebuild(context),
    ...cured(context),
    ...testsAway(context, away),
    ...signOff(context),
  ];
}
