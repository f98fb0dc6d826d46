import type { Check } from "../../formats";
import type { Away } from "../away-from";
import { type Step, step } from "../step";
import { singleStep } from "../step-id";
import { checksOf, isReached } from "./checks";
import { amongOpenings } from "./coming-back";
import type { Context } from "./context";

export function emptied({ sheet }: Context, where: Away): Step[] {
  const { medium } = sheet.isolation;
  return [
    step(
      { id: singleStep("away"), phase: "isolate", minutes: 2, dangers: [{ kind: "medium-out", medium }] },
      { kind: "away", where, medium },
    ),
  ];
}

/** What can be looked at there: on a bench what needs no medium, of a carried one all that needs no stop of a line. */
const canBeDone = (check: Check, where: Away): boolean =>
  check.onBench === true || (where === "carried" && !amongOpenings(check));

export const looksAway = (context: Context, where: Away): Step[] =>
  checksOf(context, "triage").filter((each) => each.kind === "check" && canBeDone(each.check, where));

/** The tests that can be made there; then what is left for its line. */
export function testsAway(context: Context, where: Away): Step[] {
  const tests = context.sheet.checks.filter((check) => check.phase === "test" && isReached(context, check));
  const left = tests.filter((check) => !canBeDone(check, where));
  return [
    ...checksOf(context, "test").filter((each) => each.kind === "check" && canBeDone(each.check, where)),
    ...(left.length === 0
      ? []
      : [
          step(
            { id: singleStep("untested"), phase: "test", minutes: 1 },
            { kind: "untested", checks: left.map((check) => check.do) },
          ),
        ]),
  ];
}
