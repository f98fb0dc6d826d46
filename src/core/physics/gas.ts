import type { AbsolutePressure } from "../quantity";

/** Universal gas constant, J/(mol·K), exact (SI 2019). */
export const MOLAR_GAS_CONSTANT = 8.31446261815324;

/** A gas as the flow equations need it: molar mass kg/mol and ratio of specific heats at 15 °C. */
export interface Gas {
  readonly name: string;
  readonly molarMass: number;
  readonly heatRatio: number;
}

/** Molar masses: IUPAC atomic weights; heat ratios: any engineering handbook, near 15 °C, low pressure. */
export const GASES = {
  air: { name: "air", molarMass: 0.0289647, heatRatio: 1.4 },
  nitrogen: { name: "nitrogen", molarMass: 0.0280134, heatRatio: 1.4 },
  ammonia: { name: "ammonia vapour", molarMass: 0.0170305, heatRatio: 1.31 },
  co2: { name: "CO2 vapour", molarMass: 0.0440095, heatRatio: 1.3 },
  "natural gas": { name: "natural gas (relative density 0.6)", molarMass: 0.0173788, heatRatio: 1.31 },
  propane: { name: "propane", molarMass: 0.0440956, heatRatio: 1.13 },
} as const satisfies Record<string, Gas>;

/** Ideal-gas density, kg/m³, from Pa absolute and K. */
export const gasDensity = ({ molarMass }: Gas, pascal: AbsolutePressure, kelvin: number): number =>
  (pascal * molarMass) / (MOLAR_GAS_CONSTANT * kelvin);

/** Below this ratio of pressures behind and before a hole the flow is choked: (2/(γ+1))^(γ/(γ−1)). */
export const criticalRatio = (heatRatio: number): number =>
  (2 / (heatRatio + 1)) ** (heatRatio / (heatRatio - 1));

/**
 * Isentropic mass flow of an ideal gas through a hole, kg/s; choked when the pressure behind is low enough.
 *
 * @param before Pa absolute, at rest · @param behind Pa absolute · @param kelvin before the hole
 * @param area m² · @param coefficient discharge coefficient, 0.6 to 0.65 sharp-edged
 * @see ISO 9300 and any gas-dynamics text; real gases near saturation differ by some per cent
 */
export function gasFlow(
  gas: Gas,
  before: AbsolutePressure,
  behind: AbsolutePressure,
  kelvin: number,
  area: number,
  coefficient: number,
): number {
  const { heatRatio: g } = gas;
  const ratio = Math.max(behind / before, criticalRatio(g));
  if (ratio >= 1) return 0;
  const specific = MOLAR_GAS_CONSTANT / gas.molarMass;
  const shape = ((2 * g) / (g - 1)) * (ratio ** (2 / g) - ratio ** ((g + 1) / g));
  return coefficient * area * before * Math.sqrt(shape / (specific * kelvin));
}

/**
 * Work a trapped gas does when it bursts out to the air: isentropic expansion, E = p·V/(γ−1)·(1 − (p₀/p)^((γ−1)/γ)), J.
 * @param pascal absolute · @param around absolute · @param volume m³
 */
export function burstEnergy(
  heatRatio: number,
  pascal: AbsolutePressure,
  around: AbsolutePressure,
  volume: number,
): number {
  if (pascal <= around) return 0;
  return ((pascal * volume) / (heatRatio - 1)) * (1 - (around / pascal) ** ((heatRatio - 1) / heatRatio));
}
