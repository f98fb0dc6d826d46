import type { Run } from "@/core/job";
import type { AxisPart } from "../draw/axis-part";

/** The parts of the valve of a job, as far as it has come: what is off, back, new. */
export function axisParts({ inputs: { sheet }, tray, plan }: Run): AxisPart[] {
  const items = new Map(tray.items.map((item) => [item.part, item]));
  const renew = new Set(plan.renewals.map((each) => each.part));
  return sheet.parts.map((part) => {
    const item = items.get(part.id);
    return {
      part,
      place: part.stays ? "stays" : (item?.place ?? "in"),
      renew: renew.has(part.id) && item !== undefined,
      ...(item !== undefined && { order: item.order }),
    };
  });
}
