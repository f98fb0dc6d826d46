import { err, ok, type Result } from "../result";
import type { Dimension } from "./dimension";
import { toSI, type Unit, unit, unitsOf, unitsSpelled } from "./units";

/** What was typed, read: `si` in SI, `unit` as typed (or as the field assumed). */
export interface ParsedQuantity {
  readonly si: number;
  readonly unit: Unit;
}

export type QuantityFailure =
  | { readonly kind: "empty"; readonly wanted: Dimension }
  | { readonly kind: "no-number"; readonly text: string; readonly wanted: Dimension }
  | { readonly kind: "unknown-unit"; readonly unit: string; readonly wanted: Dimension }
  | {
      readonly kind: "wrong-dimension";
      readonly unit: string;
      readonly found: Dimension;
      readonly wanted: Dimension;
    };

/** A decimal with point or comma, or a whole number and a fraction: 0,4 · 3/16 · 1 1/4 · 1-1/4. */
const FIGURE = String.raw`(?:(?:(?<whole>\d+)[\s-]+)?(?<over>\d+)\s*\/\s*(?<under>\d+)|(?<decimal>\d+(?:[.,]\d+)?(?:e[+-]?\d+)?|[.,]\d+))`;
const ONE = new RegExp(String.raw`^(?<sign>[+-]?)\s*${FIGURE}\s*(?<unit>.*)$`, "i");
const FEET_AND_INCHES = /^(?<feet>[+-]?[^'a-z]+(?:'|ft|feet|foot))\s*(?<inches>\d.*)$/i;

/** Vulgar fractions, fraction strokes and typographic marks become what a keyboard types: 1¼ → 1 1/4. */
const plain = (text: string) =>
  text
    .replace(/[½¼¾⅛⅜⅝⅞⅓⅔]/g, (character) => ` ${character.normalize("NFKC")}`)
    .replaceAll("⁄", "/")
    .replaceAll("−", "-")
    .replace(/[′’]/g, "'")
    .replace(/[″”]/g, '"')
    .trim();

/**
 * Reads what a technician types: "3/16 in", `1 1/4"`, "60 psi", "4 bar g", "182 ohm", "0,4 bar", `5' 6"`.
 *
 * @param text as typed; a bare number takes `assumed`
 * @param wanted the dimension of the field; a unit of any other is refused
 */
export function parseQuantity(
  text: string,
  wanted: Dimension,
  assumed: Unit,
): Result<ParsedQuantity, QuantityFailure> {
  const typed = plain(text);
  if (typed === "") return err({ kind: "empty", wanted });
  const compound = wanted === "length" ? FEET_AND_INCHES.exec(typed)?.groups : undefined;
  if (compound === undefined) return readOne(typed, wanted, assumed);
  const feet = readOne(compound.feet ?? "", wanted, assumed);
  const inches = readOne(compound.inches ?? "", wanted, byInches);
  if (!feet.ok) return feet;
  if (!inches.ok) return inches;
  const sign = Math.sign(feet.value.si) || 1;
  return ok({ si: feet.value.si + sign * inches.value.si, unit: feet.value.unit });
}

const byInches = unit("in");

function readOne(text: string, wanted: Dimension, assumed: Unit): Result<ParsedQuantity, QuantityFailure> {
  const read = ONE.exec(text)?.groups;
  if (read === undefined) return err({ kind: "no-number", text, wanted });
  const size =
    read.decimal === undefined
      ? Number(read.whole ?? 0) + Number(read.over) / Number(read.under)
      : Number(read.decimal.replace(",", "."));
  const typedUnit = (read.unit ?? "").trim();
  if (!Number.isFinite(size) || /^[\d.,]/.test(typedUnit)) return err({ kind: "no-number", text, wanted });
  const spelled = unitsSpelled(typedUnit);
  const found = typedUnit === "" ? assumed : spelled.find((each) => each.dimension === wanted);
  if (found !== undefined) return ok({ si: toSI(read.sign === "-" ? -size : size, found), unit: found });
  const other = spelled[0];
  return err(
    other === undefined
      ? { kind: "unknown-unit", unit: typedUnit, wanted }
      : { kind: "wrong-dimension", unit: typedUnit, found: other.dimension, wanted },
  );
}

/** Whether what was typed can be read but names no unit, and so is in whichever the field assumes. */
export function isBare(text: string, wanted: Dimension, assumed: Unit): boolean {
  if (!parseQuantity(text, wanted, assumed).ok) return false;
  return unitsOf(wanted).every((other) => {
    const again = parseQuantity(text, wanted, other);
    return again.ok && again.value.unit === other;
  });
}
