import type { UnitSystem } from "./dimension";

/** What stands between whole and parts: 0.4 or 0,4. Both are read, whichever is written. */
export type DecimalMark = "point" | "comma";

/** How figures are written for one reader. */
export interface Notation {
  readonly system: UnitSystem;
  readonly mark: DecimalMark;
}

/** For files, routes and whoever chose nothing. */
export const notationOf = (system: UnitSystem = "metric", mark: DecimalMark = "point"): Notation => ({
  system,
  mark,
});

/** A figure as a program writes it, with the reader's mark. */
export const marked = (figure: string, mark: DecimalMark): string =>
  mark === "comma" ? figure.replace(".", ",") : figure;

const THIN = "\u2009";
/** A count in groups of three with a thin space between: a point or a comma there is a decimal mark to somebody (ISO 80000-1). */
export const grouped = (count: number | string): string =>
  String(count).replace(/\B(?=(\d{3})+(?!\d))/g, THIN);

/** A figure with so many decimals, as money and stopwatches have it; its whole part in groups of three. */
export function fixed(value: number, decimals: number, mark: DecimalMark): string {
  const [whole = "", parts] = value.toFixed(decimals).split(".");
  const shown = grouped(whole);
  return parts === undefined ? shown : marked(`${shown}.${parts}`, mark);
}
