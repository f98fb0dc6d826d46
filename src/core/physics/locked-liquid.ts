import type { LiquidState } from "./liquids";

/** A pipe that gives: elastic modulus (Pa), linear expansion (1/K), outside diameter over wall thickness (no unit). */
export interface ElasticPipe {
  readonly modulus: number;
  readonly expansion: number;
  readonly diameterToWall: number;
}

export const STEEL_PIPE = { modulus: 200e9, expansion: 12e-6 } as const;
/** Poisson's ratio of metals. */
const POISSON = 0.3;

/**
 * Rise of pressure with temperature of a section that is full of liquid between two shut valves:
 * dp/dT = (β − 3·α) / (κ + (1.25 − ν)·D/(E·t)), closed ends, thin wall, unrestrained.
 *
 * @returns Pa/K; nothing when the pipe swells more than the liquid (cold water near 4 °C)
 * @see Roark's Formulas, thin-walled pressure vessels; API 521 on thermal relief of blocked-in liquid
 */
export function lockedLiquidRise({ expansivity, compressibility }: LiquidState, pipe: ElasticPipe): number {
  const swelling = expansivity - 3 * pipe.expansion;
  const giving = compressibility + ((1.25 - POISSON) * pipe.diameterToWall) / pipe.modulus;
  return Math.max(0, swelling / giving);
}
