import type { Sheet, Valve } from "../formats";
import type { Noted } from "./entered";
import { stepAbout } from "./step-id";

/** Which options the valve has and which it lacks, as it was noted on the valve itself. */
export function foundOptions(
  { capture, options = [] }: Pick<Sheet, "capture" | "options">,
  { done }: Noted,
): NonNullable<Valve["fitted"]> {
  const found: Record<string, "yes" | "no"> = {};
  for (const { id, tellsOption } of capture) {
    const noted = done.get(stepAbout("mark", id))?.entry;
    if (tellsOption === undefined || noted === undefined) continue;
    if (!options.some((each) => each.id === tellsOption.option)) continue;
    if (noted === tellsOption.yes) found[tellsOption.option] = "yes";
    if (noted === tellsOption.no) found[tellsOption.option] = "no";
  }
  return found;
}
