const INCH = 0.0254;

/** Height of a hexagon nut, style 1, greatest of its tolerance, mm by nominal diameter in mm. ISO 4032. */
const ISO_4032: Readonly<Record<string, number>> = {
  "1.6": 1.3,
  "2": 1.6,
  "2.5": 2,
  "3": 2.4,
  "4": 3.2,
  "5": 4.7,
  "6": 5.2,
  "8": 6.8,
  "10": 8.4,
  "12": 10.8,
  "14": 12.8,
  "16": 14.8,
  "18": 15.8,
  "20": 18,
  "22": 19.4,
  "24": 21.5,
  "27": 23.8,
  "30": 25.6,
  "33": 28.7,
  "36": 31,
  "39": 33.4,
  "42": 34,
  "45": 36,
  "48": 38,
  "52": 42,
  "56": 45,
  "60": 48,
  "64": 51,
};

/** What is taken off the nominal share of the diameter, in: by diameter up to which it holds, in. */
type Less = readonly (readonly [upTo: number, less: number])[];
const HEX: Less = [
  [0.625, 0],
  [1.125, 1 / 64],
  [1.5, 1 / 32],
];
const HEAVY: Less = [
  [1.125, 1 / 64],
  [2, 1 / 32],
  [3, 3 / 64],
  [4, 1 / 16],
];

export type NutKind = "iso" | "hex" | "heavy";

/**
 * Height of a full nut, m: ISO 4032 by its table; ASME B18.2.2 by the formulas its basic thicknesses follow (hex 7/8 of
 * the diameter, heavy hex all of it, less 1/64, 1/32 or 3/64 in). Nothing where the standard has no such nut.
 *
 * @param diameter nominal, m
 */
export function nutHeight(kind: NutKind, diameter: number): number | undefined {
  if (kind === "iso") {
    const height = ISO_4032[`${Number((diameter * 1000).toFixed(3))}`];
    return height === undefined ? undefined : height * 1e-3;
  }
  const inches = diameter / INCH;
  const less = (kind === "hex" ? HEX : HEAVY).find(([upTo]) => inches <= upTo + 1e-6)?.[1];
  if (less === undefined || inches < 0.25 - 1e-6) return undefined;
  return ((kind === "hex" ? 0.875 : 1) * inches - less) * INCH;
}
