import type { Dimension, UnitSystem } from "./dimension";
import { fromSI, preferredUnit, toSI, type Unit, unit } from "./units";

/**
 * A figure with as many digits as a technician can use: three significant, none behind the point from 100 up,
 * no exponent between 0.001 and 10 million.
 */
export function sensibleDigits(value: number): string {
  if (!Number.isFinite(value)) return "–";
  const size = Math.abs(value);
  if (size < 1e-9) return "0";
  if (size >= 1e7 || size < 1e-3) return value.toExponential(2);
  if (size >= 1000) return String(Math.round(value)).replace(/\B(?=(\d{3})+(?!\d))/g, "\u2009");
  const decimals = size >= 100 ? 0 : size >= 10 ? 1 : size >= 1 ? 2 : 3;
  return value
    .toFixed(decimals)
    .replace(/(\.\d*?)0+$/, "$1")
    .replace(/\.$/, "");
}

/** An SI value as text in one unit: "4.1 bar g". */
export function formatIn(si: number, shown: Unit): string {
  const figure = sensibleDigits(fromSI(si, shown));
  if (shown.label === "") return figure;
  return shown.label === "°" || shown.label === "%" ? `${figure}${shown.label}` : `${figure} ${shown.label}`;
}

/** An SI value as text in the unit the reader's system prefers. */
export function formatQuantity(si: number, dimension: Dimension, system: UnitSystem): string {
  return formatIn(si, preferredUnit(dimension, system));
}

/** A figure that is kept in some unit, by its id, as text in the unit the reader's system prefers. */
export function formatKept(value: number, unitId: string, system: UnitSystem): string {
  const kept = unit(unitId);
  return formatQuantity(toSI(value, kept), kept.dimension, system);
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
