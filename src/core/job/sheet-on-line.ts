import type { JobInputs, Sheet } from "../formats";
import { mediumOf } from "../line";

/** The same model stands on lines of different media: what the line carries at this valve is what can hurt. */
export function sheetOnLine({ sheet, line, valve }: Pick<JobInputs, "sheet" | "line" | "valve">): Sheet {
  const node = line?.nodes.find((each) => each.id === (valve.node ?? valve.tag) || each.asset === valve.tag);
  if (line === undefined || node === undefined) return sheet;
  const medium = mediumOf(line, node);
  return medium === sheet.isolation.medium ? sheet : { ...sheet, isolation: { ...sheet.isolation, medium } };
}
