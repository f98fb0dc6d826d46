import type { TakenWith } from "@/core/formats";
import {
  type DecimalMark,
  type Dimension,
  fromSI,
  isBare,
  marked,
  parseQuantity,
  quantityMessage,
  unit,
  unitNamed,
} from "@/core/quantity";
import { err, ok, type Result } from "@/core/result";

/** Where a figure came from. */
export type FigureSource =
  | { readonly kind: "hand" }
  | { readonly kind: "usual" }
  | { readonly kind: "instrument"; readonly taken: TakenWith };

/** A figure as it stands in a field. */
export interface Figure {
  /** As typed: "0,4", "6 psi", `1 1/4"`. */
  readonly text: string;
  /** Id of the unit that a bare number is in. */
  readonly unit: string;
  readonly source: FigureSource;
}

export interface FigureRead {
  readonly si: number;
  /** As typed, with its unit: for the log and the record. */
  readonly typed: string;
  readonly source: FigureSource;
}

/** As much of a figure as a record keeps. */
const MOST_TYPED = 80;

export const blankFigure = (unitId: string): Figure => ({
  text: "",
  unit: unitId,
  source: { kind: "hand" },
});

/** A reading that an instrument hands over, in a unit of the field. */
export const handedOver = (
  figure: Figure,
  { value, unit: shown }: { readonly value: number; readonly unit: string },
  dimension: Dimension,
  taken: TakenWith,
  mark: DecimalMark,
): Figure => ({
  text: marked(String(value), mark),
  unit: unitNamed(shown, dimension)?.id ?? figure.unit,
  source: { kind: "instrument", taken },
});

/** The instrument of a figure, for the entry it goes into; nothing of one that was typed. */
export const readWith = ({ source }: FigureRead): { readonly with?: TakenWith } =>
  source.kind === "instrument" ? { with: source.taken } : {};

export const typedByHand = (figure: Figure, text: string): Figure => ({
  ...figure,
  text,
  source: { kind: "hand" },
});

export const isEmpty = (figure: Figure): boolean => figure.text.trim() === "";

/** Reads it in SI units; what cannot be read is a message for the field. */
export function readFigure(figure: Figure, dimension: Dimension): Result<FigureRead, string> {
  const assumed = unit(figure.unit);
  const parsed = parseQuantity(figure.text, dimension, assumed);
  if (!parsed.ok) return err(quantityMessage(parsed.error, assumed));
  const text = figure.text.trim();
  const typed = isBare(text, dimension, assumed) ? `${text} ${assumed.label}`.trim() : text;
  return ok({ si: parsed.value.si, typed: typed.slice(0, MOST_TYPED), source: figure.source });
}

/** What is wrong with it, for a form; nothing when it can be read. */
export const refuseFigure =
  (dimension: Dimension) =>
  (figure: Figure): string | undefined => {
    const read = readFigure(figure, dimension);
    return read.ok ? undefined : read.error;
  };

/** The same figure in another unit, with six digits, so that turning there and back gives what was typed. */
export function turned(figure: Figure, dimension: Dimension, to: string): Figure {
  const read = readFigure(figure, dimension);
  const text = read.ok ? String(Number(fromSI(read.value.si, unit(to)).toPrecision(6))) : figure.text;
  return { ...figure, unit: to, text };
}
