import type { Dimension } from "./dimension";
import { type Unit, unit, unitsOf } from "./units";

/** A key of the pad of figures. */
export type PadKey =
  | { readonly kind: "digit"; readonly digit: string }
  | { readonly kind: "mark" | "back" | "sign" }
  /** Of an inch: "1/4". */
  | { readonly kind: "fraction"; readonly fraction: string };

/** Fractions that are on every rule and every socket, of an inch. */
export const FRACTIONS = ["1/16", "1/8", "1/4", "3/8", "1/2", "5/8", "3/4", "7/8"] as const;

const FRACTION_AT_END = /\s*\d+\/\d+$/;

/** What stands in a field after a key. */
export function pressed(text: string, key: PadKey, mark = "."): string {
  switch (key.kind) {
    case "digit":
      // What follows a fraction begins a new figure; nobody writes 1/42.
      return FRACTION_AT_END.test(text) ? key.digit : text + key.digit;
    case "mark":
      if (/[.,/]/.test(text)) return text;
      return /\d$/.test(text) ? text + mark : `${text}0${mark}`;
    case "sign":
      return text.startsWith("-") ? text.slice(1) : `-${text}`;
    case "back":
      return FRACTION_AT_END.test(text) ? text.replace(FRACTION_AT_END, "") : text.slice(0, -1);
    case "fraction": {
      const whole = text.replace(FRACTION_AT_END, "").trim();
      if (/[.,]/.test(whole)) return text;
      return whole === "" || whole === "-" ? `${whole}${key.fraction}` : `${whole} ${key.fraction}`;
    }
  }
}

/** What stands on the instruments of the trade, by what is measured; else the first few there are. */
const OF_THE_TRADE: Partial<Record<Dimension, readonly string[]>> = {
  length: ["mm", "in"],
  "gauge pressure": ["bar g", "psi g", "kPa g", "mbar g", "inH2O g"],
  "absolute pressure": ["bar abs", "psi abs", "kPa abs", "mbar abs"],
  "pressure difference": ["bar", "psi", "kPa", "mbar", "inH2O"],
};
const MOST_UNITS = 5;

/** Units that the pad offers: that of the field first. */
export function padUnits(dimension: Dimension, first: string): readonly Unit[] {
  const usual = OF_THE_TRADE[dimension]?.map(unit) ?? unitsOf(dimension);
  return [unit(first), ...usual.filter(({ id }) => id !== first)].slice(0, MOST_UNITS);
}

/** Whether fractions are written in it. */
export const inFractions = (unitId: string): boolean => unitId === "in";
