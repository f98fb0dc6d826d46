import { formatIn, formatKept, formatQuantity, type Notation, notationOf, unit } from "@/core/quantity";
import { english } from "./english";

/** Everything that is said, in one language: another one has the same sentences in other words. */
export type Language = typeof english;

/** Who is spoken to: in which words, in which units, with which decimal mark. */
export interface Speaker extends Notation {
  readonly say: Language;
}

export const speaker = ({ system, mark }: Notation = notationOf(), say: Language = english): Speaker => ({
  say,
  system,
  mark,
});

/** A figure that is given with the id of its unit, in the reader's unit. */
export const figure = (speaker: Speaker, value: number, unitId: string): string =>
  formatKept(value, unitId, speaker);

/** An SI figure in the reader's unit. */
export const quantity = (
  speaker: Speaker,
  si: number,
  dimension: Parameters<typeof formatQuantity>[1],
): string => formatQuantity(si, dimension, speaker);

/** A pull of the arm: in N or lbf, never in the kN of bolts. @param newton N */
export const armPull = ({ system, mark }: Speaker, newton: number): string =>
  formatIn(newton, unit(system === "us" ? "lbf" : "N"), mark);
