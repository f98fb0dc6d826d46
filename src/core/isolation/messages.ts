import { unreachable } from "../result";
import type { Unfit } from "./barrier";
import type { IsolationFailure } from "./isolation-plan";

const UNFIT_WORDS: Record<Unfit, string> = {
  "no-valve": "has no valve",
  "check-valve": "is a check valve, which is no barrier",
  "control-valve": "is a control valve, which is no barrier",
  seized: "is seized",
  passes: "is known to pass",
  avoided: "is to be avoided",
};
export const unfitWords = (unfit: Unfit): string => UNFIT_WORDS[unfit];

/** Why there is no safe isolation, and what would make one. */
export function isolationMessage(failure: IsolationFailure): string {
  switch (failure.kind) {
    case "bad-line":
      return `This line cannot be used: ${failure.problems[0]?.message ?? "it is not valid"}`;
    case "unknown-place":
      return `This line has no place or valve "${failure.name}". Check the tag on the drawing.`;
    case "nothing-to-open":
      return "Name at least one place that will be open.";
    case "rule-not-planned":
      return `This line asks for ${failure.rule.replaceAll("-", " ")}, which is not planned here yet. Isolate it by the site's own procedure; nothing is opened on the word of this plan.`;
    case "no-isolation": {
      const path = failure.openPath.map((step) => step.name).join(" → ");
      const fix =
        failure.makeGood.length > 0
          ? `It becomes possible when ${failure.makeGood.map((each) => `${each.name} (it ${unfitWords(each.unfit)})`).join(" and ")} can be shut and holds.`
          : "Shut down and drain its source, lock that, and prove zero there first.";
      return `Nothing can be shut along ${path}. ${fix}`;
    }
    default:
      return unreachable(failure);
  }
}
