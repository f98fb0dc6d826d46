import { asFitted } from "../build";
import type { JobInputs } from "../formats";
import { type HeldByOthers, type Site, siteOf } from "../world";
import { heldOn } from "./as-it-stands";
import type { Plan } from "./compile";
import { sheetOnLine } from "./sheet-on-line";

/** The valve and its line as a plan is tried on them. */
export function siteOfPlan(plan: Plan, inputs: JobInputs, held: HeldByOthers): Site {
  const { sheet, valve, line } = inputs;
  const build = plan.build ?? valve.build;
  return siteOf({
    sheet: asFitted(sheetOnLine(inputs), plan.fitted),
    ...(build !== undefined && { build }),
    ...(line !== undefined && sheet.isolation.workUnderPressure === undefined && { line }),
    at: valve.node ?? valve.tag,
    held: line === undefined ? new Map() : heldOn(line, held),
  });
}
