import type { Check } from "@/core/formats";
import {
  formatIn,
  marked,
  preferredUnit,
  toSI,
  type Unit,
  type UnitSystem,
  unit,
  unitNamed,
} from "@/core/quantity";
import type { Speaker } from "./speaker";

type Measure = Extract<Check, { kind: "measure" }>;

/** The unit a measure is asked in: the reader's; times and plain numbers stay as the sheet has them. */
export function unitOfCheck(check: Measure, system: UnitSystem): Unit {
  return check.dimension === "time" || check.dimension === "number"
    ? (unitNamed(check.unit, check.dimension) ?? unit(""))
    : preferredUnit(check.dimension, system);
}

/** What is allowed, in the reader's unit: "8.4 to 9.3 mm", "up to 40 N·m", "at least 2 bar g". */
export function limitWords({ say, system, mark }: Speaker, check: Measure): string {
  const words = say.card.limits;
  const [sheetUnit, shown] = [unitNamed(check.unit, check.dimension), unitOfCheck(check, system)];
  const said = (limit: number) =>
    sheetUnit === undefined
      ? `${marked(String(limit), mark)} ${check.unit}`
      : formatIn(toSI(limit, sheetUnit), shown, mark);
  const { low, high } = check;
  if (low === undefined) return high === undefined ? words.any : words.upTo(said(high));
  return high === undefined ? words.atLeast(said(low)) : words.between(said(low), said(high));
}
