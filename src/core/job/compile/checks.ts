import type { Check } from "../../formats";
import { type Step, step } from "../step";
import { stepAbout } from "../step-id";
import { type Context, toolsOf } from "./context";

/** A check of the sheet as a step; triage, inspect, rebuild and test have the same form. */
export function checkStep(context: Context, check: Check): Step {
  return step(
    {
      id: stepAbout("check", check.id),
      phase: check.phase,
      minutes: check.minutes,
      tools: toolsOf(context, check.tools),
      ...(check.part !== undefined && { part: check.part }),
      // A look that cannot be had may be skipped with a reason; what could stop the work may not, nor a test.
      mayOverride:
        (check.phase === "triage" || check.phase === "inspect") && (context.asBefore || !mayStop(check)),
    },
    { kind: "check", check },
  );
}

/** An answer of it forbids going on: skipping the look would skip the stop. */
function mayStop(check: Check): boolean {
  switch (check.kind) {
    case "choice":
      return check.options.some((option) => option.means === "stop");
    case "measure":
      return [check.within, check.below, check.above].some((verdict) => verdict?.means === "stop");
    case "trick":
      return check.go.means === "stop" || check.noGo.means === "stop";
  }
}

export function checksOf(context: Context, phase: Check["phase"]): Step[] {
  const off = new Set(context.removed);
  return context.sheet.checks
    .filter((check) => check.phase === phase && (check.needsOff ?? []).every((part) => off.has(part)))
    .map((check) => checkStep(context, check));
}
