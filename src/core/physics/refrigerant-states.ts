import { boilingPressure, type Refrigerant } from "./refrigerants";

/** What a kilogram of boiling refrigerant is like. */
export interface BoilingState {
  /** kg/m³ */
  readonly liquid: number;
  /** kg/m³ */
  readonly vapour: number;
  /** J/kg to boil it away. */
  readonly latent: number;
}

/** Densities on the boiling line, kg/m³ from K; nothing outside. */
const DENSITIES: Record<
  Refrigerant,
  (kelvin: number) => readonly [liquid: number, vapour: number] | undefined
> = {
  co2: co2Densities,
  ammonia: ammoniaDensities,
};

/**
 * Liquid and vapour that boil at a temperature, K. The heat to boil follows from the boiling line and the two densities
 * (Clapeyron): T · (1/ρ″ − 1/ρ′) · dp/dT. Nothing outside the range; at the critical point of CO2 it is nothing.
 */
export function boilingState(refrigerant: Refrigerant, kelvin: number): BoilingState | undefined {
  const densities = DENSITIES[refrigerant](kelvin);
  const slope = boilingSlope(refrigerant, kelvin);
  if (densities === undefined || slope === undefined) return undefined;
  const [liquid, vapour] = densities;
  return { liquid, vapour, latent: kelvin * (1 / vapour - 1 / liquid) * slope };
}

const STEP_K = 0.01;

/** dp/dT of the boiling line, Pa/K; at its ends from inside. */
function boilingSlope(refrigerant: Refrigerant, kelvin: number): number | undefined {
  const at = (each: number) => boilingPressure(refrigerant, each);
  const here = at(kelvin);
  if (here === undefined) return undefined;
  const [below, above] = [at(kelvin - STEP_K), at(kelvin + STEP_K)];
  if (below === undefined) return above === undefined ? undefined : (above - here) / STEP_K;
  return above === undefined ? (here - below) / STEP_K : (above - below) / (2 * STEP_K);
}

const CO2 = { critical_K: 304.1282, critical: 467.6 } as const;
/** Coefficients and exponents of 1 − T/Tc in ln(ρ/ρc). Span and Wagner (1996), eq. 3.14 and 3.15: within 0.1 %. */
const CO2_LIQUID = [
  [1.9245108, 0.34],
  [-0.62385555, 0.5],
  [-0.32731127, 10 / 6],
  [0.39245142, 11 / 6],
] as const;
const CO2_VAPOUR = [
  [-1.7074879, 0.34],
  [-0.8227467, 0.5],
  [-4.6008549, 1],
  [-10.111178, 7 / 3],
  [-29.742252, 14 / 3],
] as const;

function co2Densities(kelvin: number): readonly [number, number] {
  const away = Math.max(0, 1 - kelvin / CO2.critical_K);
  const density = (terms: readonly (readonly [number, number])[]) =>
    CO2.critical * Math.exp(terms.reduce((sum, [a, t]) => sum + a * away ** t, 0));
  return [density(CO2_LIQUID), density(CO2_VAPOUR)];
}

/** Saturated ammonia, °C, liquid kg/m³, vapour m³/kg: tables of ASHRAE Fundamentals, which follow Tillner-Roth. */
const AMMONIA: readonly (readonly [celsius: number, liquid: number, vapour: number])[] = [
  [-50, 702.09, 2.6277],
  [-40, 690.15, 1.5533],
  [-30, 677.83, 0.96396],
  [-20, 665.14, 0.62373],
  [-10, 652.06, 0.4183],
  [0, 638.57, 0.2893],
  [10, 624.64, 0.20543],
  [20, 610.2, 0.1492],
  [30, 595.17, 0.11046],
  [40, 579.44, 0.0831],
  [50, 562.86, 0.06335],
];

/** Between the rows: the liquid straight over T, the logarithm of the vapour straight over 1/T, within 0.1 %. */
function ammoniaDensities(kelvin: number): readonly [number, number] | undefined {
  const celsius = kelvin - 273.15;
  const above = AMMONIA.findIndex(([at]) => at >= celsius - 1e-9);
  if (above === -1 || celsius < AMMONIA[0]![0] - 1e-9) return undefined;
  const [a, b] = [AMMONIA[Math.max(0, above - 1)]!, AMMONIA[above]!];
  const share = a === b ? 0 : (celsius - a[0]) / (b[0] - a[0]);
  const over = (each: number) => 1 / (each + 273.15);
  const inverse = a === b ? 0 : (1 / kelvin - over(a[0])) / (over(b[0]) - over(a[0]));
  return [a[1] + (b[1] - a[1]) * share, 1 / (a[2] * (b[2] / a[2]) ** inverse)];
}
