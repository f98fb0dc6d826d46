import { type Check, verdictsOf } from "../../formats";
import { type StepOf, step } from "../step";
import { stepAbout } from "../step-id";
import { type Context, toolsOf } from "./context";
import { carried } from "./stand";

/** A check of the sheet as a step; triage, inspect, rebuild and test have the same form. */
export function checkStep(context: Context, check: Check): StepOf<"check"> {
  const served = context.inputs.valve.served?.[check.part ?? ""];
  return step(
    {
      id: stepAbout("check", check.id),
      phase: check.phase,
      minutes: check.minutes + (context.rules >= 4 ? (check.wait_min ?? 0) : 0),
      tools: toolsOf(context, check.tools),
      ...(check.part !== undefined && { part: check.part }),
      // A look that cannot be had may be skipped with a reason; what could stop the work may not, nor a test.
      mayOverride:
        (check.phase === "triage" || check.phase === "inspect") && (context.asBefore || !mayStop(check)),
    },
    {
      kind: "check",
      check,
      ...(served !== undefined && served > 0 && { served }),
      ...(check.kind === "pieces" && { pieces: context.parts.get(check.part)?.pieces ?? [] }),
      ...(context.rules >= 4 && check.wait_min !== undefined && { wait_min: check.wait_min }),
      ...carried(context, check),
    },
  );
}

/** An answer of it forbids going on: skipping the look would skip the stop. */
const mayStop = (check: Check): boolean => verdictsOf(check).some(({ verdict }) => verdict.means === "stop");

/** What it follows up was found. */
export const isFollowedUp = ({ findings }: Context, { onlyAfter }: Pick<Check, "onlyAfter">): boolean =>
  onlyAfter === undefined ||
  onlyAfter.some(({ check, answers }) =>
    findings.some(
      ({ check: of, given, pieces = [] }) =>
        of === check && [given, ...pieces.map((each) => each.given)].some((each) => answers.includes(each)),
    ),
  );

/** The parts that it is asked of are off, and what it follows up was found. */
export const isReached = (
  context: Context,
  check: Pick<Check, "needsOff" | "onlyAfter" | "builtBefore">,
): boolean =>
  (check.needsOff ?? []).every((part) => context.removed.includes(part)) &&
  isFollowedUp(context, check) &&
  isOldEnough(context, check);

/** It was built in before the day that matters, or nobody knows when. */
const isOldEnough = ({ inputs: { valve } }: Context, { builtBefore }: Pick<Check, "builtBefore">): boolean =>
  builtBefore === undefined ||
  valve.installed === undefined ||
  Date.parse(valve.installed) < Date.parse(builtBefore);

/** A look that comes before anything is opened and is of one part is asked where that part is to come off. */
const isAsked = ({ rules, removed }: Context, { phase, part }: Check): boolean =>
  rules < 4 || phase !== "triage" || part === undefined || removed.includes(part);

export const checksOf = (context: Context, phase: Check["phase"]): StepOf<"check">[] =>
  context.sheet.checks
    .filter((check) => check.phase === phase && isReached(context, check) && isAsked(context, check))
    .map((check) => checkStep(context, check));
