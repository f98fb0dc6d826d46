import type { Sheet } from "@/core/formats";
import { figuresOf, type Limits, type OwnModel, type SheetFigure, toleranceKey } from "@/core/making";
import { type Dimension, fromSI, parseQuantity, quantityMessage, unit, unitNamed } from "@/core/quantity";
import { measureOf } from "@/ui/schema-form/schema";

/** What was told of a model so far, as it stands in the fields. */
export interface Told {
  readonly title: string;
  readonly maker: string;
  readonly model: string;
  readonly by: string;
  readonly source: string;
  readonly lacks: readonly string[];
  /** Figures as typed, by their key; limits by their key and "low" or "high". */
  readonly typed: Readonly<Record<string, string>>;
  /** Words by those of the template; they begin as those. */
  readonly words: Readonly<Record<string, string>>;
  /** Every one of them was read, and is so. */
  readonly read: boolean;
}

/** What a figure measures, and the unit that its sheet keeps it in. */
export interface Measure {
  readonly dimension: Dimension;
  readonly unit: string;
  /** A bare number: its label says of what. */
  readonly bare?: true;
}

export type Typed = Exclude<SheetFigure, { kind: "words" }>;

const BARE: Readonly<Record<string, Measure>> = {
  turns: { dimension: "turns", unit: "turn" },
  degrees: { dimension: "angle", unit: "°" },
  hold_min: { dimension: "time", unit: "min" },
};

export function measuredBy(figure: Typed): Measure {
  switch (figure.kind) {
    case "torque":
      return { dimension: "torque", unit: "N·m" };
    case "angle":
      return { dimension: "angle", unit: "°" };
    case "depth":
      return { dimension: "length", unit: "mm" };
    case "back-off":
      return { dimension: "turns", unit: "turn" };
    case "interval":
      return { dimension: "number", unit: "", bare: true };
    case "recheck":
      return { dimension: "number", unit: "", bare: true };
    case "limits":
      return { dimension: figure.dimension, unit: unitNamed(figure.unit, figure.dimension)?.id ?? "" };
    case "number": {
      const field = figure.key.slice(figure.key.lastIndexOf("/") + 1);
      const known = measureOf(field);
      return (
        BARE[field] ??
        (known === undefined
          ? { dimension: "number", unit: "" }
          : { dimension: known.dimension, unit: known.stored })
      );
    }
  }
}

/** Both ends of limits, of those that the template has. */
export const endsOf = (figure: Extract<Typed, { kind: "limits" }>): ("low" | "high")[] => [
  ...(figure.low ? ["low" as const] : []),
  ...(figure.high ? ["high" as const] : []),
];

const DIGITS = 8;

/** What was told, read: the model it makes, and what cannot be read, by the key of its field. */
export function readTold(
  template: Sheet,
  told: Told,
): { readonly own: OwnModel; readonly wrong: Readonly<Record<string, string>> } {
  const wrong: Record<string, string> = {};
  const figures: Record<string, number | Limits> = {};
  const words: Record<string, string> = {};
  const read = (key: string, { dimension, unit: id }: Measure): number | undefined => {
    const text = told.typed[key] ?? "";
    if (text.trim() === "") return undefined;
    const parsed = parseQuantity(text, dimension, unit(id));
    if (parsed.ok) return Number(fromSI(parsed.value.si, unit(id)).toPrecision(DIGITS));
    wrong[key] = quantityMessage(parsed.error, unit(id));
    return undefined;
  };
  for (const figure of figuresOf(template)) {
    if (figure.kind === "words") {
      words[figure.key] = told.read ? (told.words[figure.key] ?? figure.says) : "";
      continue;
    }
    const measure = measuredBy(figure);
    if (figure.kind === "limits") {
      const [low, high] = [read(`${figure.key} low`, measure), read(`${figure.key} high`, measure)];
      if (low !== undefined && high !== undefined && low >= high)
        wrong[`${figure.key} high`] = "It has to be more than the least.";
      if (low !== undefined || high !== undefined)
        figures[figure.key] = { ...(low !== undefined && { low }), ...(high !== undefined && { high }) };
      continue;
    }
    if (figure.kind === "depth") {
      const tolerance = read(toleranceKey(figure.key), measure);
      if (tolerance !== undefined) figures[toleranceKey(figure.key)] = tolerance;
    }
    const value = read(figure.key, measure);
    if (value !== undefined && value <= 0 && figure.kind !== "number" && figure.kind !== "depth")
      wrong[figure.key] = "It has to be more than 0.";
    else if (value !== undefined) figures[figure.key] = value;
  }
  const { title, maker, model, by, source, lacks } = told;
  return {
    own: { title, maker, model, vouched: { by: by.trim(), source: source.trim() }, lacks, figures, words },
    wrong,
  };
}
