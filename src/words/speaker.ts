import { formatIn, formatKept, formatQuantity, type UnitSystem, unit } from "@/core/quantity";
import { english } from "./english";

/** Everything that is said, in one language: another one has the same sentences in other words. */
export type Language = typeof english;

/** Who is spoken to: in which words, in which units. */
export interface Speaker {
  readonly say: Language;
  readonly system: UnitSystem;
}

export const speaker = (system: UnitSystem = "metric", say: Language = english): Speaker => ({ say, system });

/** A figure that is given with the id of its unit, in the reader's unit. */
export const figure = ({ system }: Speaker, value: number, unitId: string): string =>
  formatKept(value, unitId, system);

/** An SI figure in the reader's unit. */
export const quantity = (
  { system }: Speaker,
  si: number,
  dimension: Parameters<typeof formatQuantity>[1],
): string => formatQuantity(si, dimension, system);

/** A pull of the arm: in N or lbf, never in the kN of bolts. @param newton N */
export const armPull = ({ system }: Speaker, newton: number): string =>
  formatIn(newton, unit(system === "us" ? "lbf" : "N"));
