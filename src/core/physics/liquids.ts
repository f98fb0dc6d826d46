/** How a liquid swells and gives: volume expansivity (1/K) and isothermal compressibility (1/Pa). */
export interface LiquidState {
  readonly expansivity: number;
  readonly compressibility: number;
}

type Row = readonly [celsius: number, expansivity: number, compressibility: number];

/** Kell, J. Chem. Eng. Data 20 (1975) 97: water at 1 atm; between the rows linear, within 1 %. */
const WATER: readonly Row[] = [
  [5, 1.6e-5, 4.917e-10],
  [10, 8.8e-5, 4.781e-10],
  [20, 2.068e-4, 4.589e-10],
  [30, 3.032e-4, 4.477e-10],
  [40, 3.854e-4, 4.424e-10],
  [50, 4.576e-4, 4.417e-10],
  [60, 5.231e-4, 4.45e-10],
  [80, 6.41e-4, 4.614e-10],
  [100, 7.5e-4, 4.902e-10],
];

/**
 * Saturated liquid ammonia and CO2, rounded from density and speed of sound of the public reference equations
 * (Tillner-Roth et al. 1993; Span and Wagner 1996): good to 20 %, enough to tell tenths of a bar from tens.
 */
const AMMONIA: readonly Row[] = [
  [-40, 1.79e-3, 7.3e-10],
  [-20, 1.93e-3, 9.1e-10],
  [0, 2.15e-3, 1.15e-9],
  [20, 2.41e-3, 1.48e-9],
];
const CO2: readonly Row[] = [
  [-40, 3.5e-3, 3.2e-9],
  [-30, 3.94e-3, 4.1e-9],
  [-20, 4.5e-3, 5.7e-9],
  [-10, 5.3e-3, 8.9e-9],
];
/** Mineral oil, usual text-book figures; good to 20 %. */
const OIL: readonly Row[] = [
  [0, 7e-4, 5.6e-10],
  [60, 7.2e-4, 7.2e-10],
];

const TABLES = { water: WATER, ammonia: AMMONIA, co2: CO2, oil: OIL } as const;
export type Liquid = keyof typeof TABLES;
export const LIQUIDS = Object.keys(TABLES) as Liquid[];

/** Least and greatest temperature a liquid is tabled for, °C. */
export function liquidRange(liquid: Liquid): { readonly least: number; readonly most: number } {
  const table = TABLES[liquid];
  return { least: table[0]![0], most: table.at(-1)![0] };
}

/** Properties by linear interpolation; outside the table the nearest row. */
export function liquidAt(liquid: Liquid, celsius: number): LiquidState {
  const table: readonly Row[] = TABLES[liquid];
  const above = table.findIndex(([at]) => at >= celsius);
  const [hi, lo] = above === -1 ? [table.length - 1, table.length - 1] : [above, Math.max(0, above - 1)];
  const [a, b] = [table[lo]!, table[hi]!];
  const share = b[0] === a[0] ? 0 : Math.min(1, Math.max(0, (celsius - a[0]) / (b[0] - a[0])));
  const mix = (x: number, y: number) => x + (y - x) * share;
  return { expansivity: mix(a[1], b[1]), compressibility: mix(a[2], b[2]) };
}
