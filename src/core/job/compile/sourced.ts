import { endWithoutSource, limitsWithoutSource } from "../../build";
import type { Step } from "../step";
import type { Context } from "./context";

/** A card whose figure nobody is named for says so. */
export function withSourceAsked({ sheet, parts }: Context, step: Step): Step {
  if (sheet.demonstration) return step;
  const bare =
    step.kind === "check"
      ? limitsWithoutSource(step.check)
      : (step.kind === "fit" || step.kind === "tighten" || step.kind === "tighten-one") &&
        endWithoutSource(parts.get(step.part ?? "")?.fit?.end);
  return bare ? { ...step, dangers: [...step.dangers, { kind: "no-source" }] } : step;
}
