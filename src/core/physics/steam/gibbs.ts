/** Exponents of the two reduced variables, and the coefficient. */
export type Term = readonly [number, number, number];

/** Specific gas constant of water, J/(kg·K). IAPWS R7-97(2012), eq. 1. */
export const GAS_CONSTANT = 461.526;

/** Properties of one kilogram of water or steam, SI. */
export interface Properties {
  /** m³/kg */
  readonly volume: number;
  /** J/kg, zero for liquid at the triple point, as the release has it */
  readonly enthalpy: number;
  /** J/kg */
  readonly energy: number;
  /** J/(kg·K) */
  readonly entropy: number;
  /** J/(kg·K), at constant pressure */
  readonly heatCapacity: number;
  /** m/s */
  readonly soundSpeed: number;
}

/** The dimensionless Gibbs energy and its derivatives by π and τ. */
export interface Gibbs {
  readonly g: number;
  readonly gp: number;
  readonly gpp: number;
  readonly gt: number;
  readonly gtt: number;
  readonly gpt: number;
}

/** Properties from the Gibbs energy: the relations of tables 3 and 12 of the release. */
export function fromGibbs(
  { g, gp, gpp, gt, gtt, gpt }: Gibbs,
  pi: number,
  tau: number,
  pressure: number,
  temperature: number,
): Properties {
  const rt = GAS_CONSTANT * temperature;
  const volume = (rt / pressure) * pi * gp;
  const enthalpy = rt * tau * gt;
  return {
    volume,
    enthalpy,
    energy: enthalpy - pressure * volume,
    entropy: GAS_CONSTANT * (tau * gt - g),
    heatCapacity: -GAS_CONSTANT * tau ** 2 * gtt,
    soundSpeed: Math.sqrt((rt * gp ** 2) / ((gp - tau * gpt) ** 2 / (tau ** 2 * gtt) - gpp)),
  };
}
