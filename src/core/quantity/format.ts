import type { Dimension } from "./dimension";
import { type DecimalMark, grouped, marked, type Notation } from "./notation";
import { fromSI, preferredUnit, toSI, type Unit, unit } from "./units";

/**
 * A figure with as many digits as a technician can use: three significant, none behind the point from 100 up,
 * no exponent between 0.001 and 10 million.
 */
export function sensibleDigits(value: number, mark: DecimalMark = "point"): string {
  if (!Number.isFinite(value)) return "–";
  const size = Math.abs(value);
  if (size < 1e-9) return "0";
  if (size >= 1e7 || size < 1e-3) return marked(value.toExponential(2), mark);
  if (size >= 1000) return grouped(Math.round(value));
  const decimals = size >= 100 ? 0 : size >= 10 ? 1 : size >= 1 ? 2 : 3;
  const plain = value
    .toFixed(decimals)
    .replace(/(\.\d*?)0+$/, "$1")
    .replace(/\.$/, "");
  return marked(plain, mark);
}

/** An SI value as text in one unit: "4.1 bar g". */
export function formatIn(si: number, shown: Unit, mark: DecimalMark = "point"): string {
  const figure = sensibleDigits(fromSI(si, shown), mark);
  if (shown.label === "") return figure;
  return shown.label === "°" || shown.label === "%" ? `${figure}${shown.label}` : `${figure} ${shown.label}`;
}

/** An SI value as text in the unit the reader's system prefers. */
export function formatQuantity(si: number, dimension: Dimension, { system, mark }: Notation): string {
  return formatIn(si, preferredUnit(dimension, system), mark);
}

/** A figure that is kept in some unit, by its id, as text in the unit the reader's system prefers. */
export function formatKept(value: number, unitId: string, notation: Notation): string {
  const kept = unit(unitId);
  return formatQuantity(toSI(value, kept), kept.dimension, notation);
}

/** Minutes as people say them: "45 s", "12 min", "2 h 05", "3 d". */
export function formatDuration(seconds: number): string {
  const whole = Math.round(Math.abs(seconds));
  if (whole < 90) return `${whole} s`;
  const minutes = Math.round(whole / 60);
  if (minutes < 100) return `${minutes} min`;
  const hours = Math.floor(minutes / 60);
  if (hours < 48) return `${hours} h ${String(minutes % 60).padStart(2, "0")}`;
  return `${Math.round(hours / 24)} d`;
}
