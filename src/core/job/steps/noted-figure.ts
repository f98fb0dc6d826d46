import type { Sheet } from "../../formats";
import { parseQuantity, toSI, type Unit, unit, unitNamed } from "../../quantity";
import type { EntryRefusal } from "../refusal";

/** What is noted as a figure: turns open, degrees, a number on a dial. */
export type NotedFigure = NonNullable<Sheet["capture"][number]["figure"]>;

/** What is counted in words of its own ("of 5") is a plain number. */
export const unitOfFigure = ({ unit: named, dimension }: NotedFigure): Unit =>
  unitNamed(named, dimension) ?? unit("");

/** The figure that was written, SI; nothing where it is none. */
function figureIn(entry: string, figure: NotedFigure): number | undefined {
  const read = parseQuantity(entry, figure.dimension, unitOfFigure(figure));
  return read.ok ? read.value.si : undefined;
}

/** Rounding of a unit is no difference. */
const SLACK = 1e-9;

/** Whether this can be noted at all. */
export function refuseFigure(entry: string, figure: NotedFigure): EntryRefusal | undefined {
  const si = figureIn(entry, figure);
  const { low, high, unit: said } = figure;
  if (si === undefined) return { path: "/entry", kind: "write-a-figure", unit: said };
  const inUnit = unitOfFigure(figure);
  const within =
    (low === undefined || si >= toSI(low, inUnit) - SLACK) &&
    (high === undefined || si <= toSI(high, inUnit) + SLACK);
  return within
    ? undefined
    : {
        path: "/entry",
        kind: "no-such-figure",
        unit: said,
        ...(low !== undefined && { low }),
        ...(high !== undefined && { high }),
      };
}

/** Whether it stands again as it was noted. */
export function refuseOtherwise(entry: string, noted: string, figure: NotedFigure): EntryRefusal | undefined {
  const [now, then] = [figureIn(entry, figure), figureIn(noted, figure)];
  if (now === undefined) return { path: "/entry", kind: "write-a-figure", unit: figure.unit };
  const { tolerance, unit: said } = figure;
  return then === undefined || Math.abs(now - then) <= tolerance * unitOfFigure(figure).scale + SLACK
    ? undefined
    : { path: "/entry", kind: "stands-otherwise", noted, tolerance, unit: said };
}
