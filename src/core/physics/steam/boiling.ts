import type { AbsolutePressure } from "../../quantity";
import type { Properties } from "./gibbs";
import { region1 } from "./region-1";
import { region2 } from "./region-2";
import { pressure3, region3 } from "./region-3";
import { CRITICAL_K } from "./saturation";

/** Above this the boiling line lies in region 3. */
const REGION_3_K = 623.15;
/** Density at the critical point, kg/m³: between boiling water and its steam. */
const CRITICAL_DENSITY = 322;
/** Densities of water and steam between 350 °C and the critical point lie well inside these. */
const [LIGHTEST, HEAVIEST] = [40, 650];
const STEPS = 80;

/** The edge between steam of region 2 and region 3, Pa from K. IAPWS R7-97(2012), eq. 5 and table 1. */
const edge23 = (kelvin: number): number =>
  (348.05185628969 - 1.1671859879975 * kelvin + 1.0192970039326e-3 * kelvin ** 2) * 1e6;

/** Water below its boiling point, or steam above it, at a pressure that has one. Up to 1073.15 K. */
export function oneState(pressure: AbsolutePressure, kelvin: number, boilsAt: number): Properties {
  if (kelvin < boilsAt)
    return kelvin <= REGION_3_K
      ? region1(pressure, kelvin)
      : region3(densityAt(pressure, kelvin, "water"), kelvin);
  return kelvin <= REGION_3_K || pressure <= edge23(kelvin)
    ? region2(pressure, kelvin)
    : region3(densityAt(pressure, kelvin, "steam"), kelvin);
}

/** Boiling water and its steam at a saturation pressure, Pa, and temperature, K, of one and the same line. */
export function boiling(
  pressure: AbsolutePressure,
  kelvin: number,
): { readonly water: Properties; readonly steam: Properties } {
  if (kelvin <= REGION_3_K) return { water: region1(pressure, kelvin), steam: region2(pressure, kelvin) };
  // Nothing parts them any more.
  if (kelvin >= CRITICAL_K) {
    const both = region3(CRITICAL_DENSITY, CRITICAL_K);
    return { water: both, steam: both };
  }
  return {
    water: region3(densityAt(pressure, kelvin, "water"), kelvin),
    steam: region3(densityAt(pressure, kelvin, "steam"), kelvin),
  };
}

/**
 * Density at which region 3 has this pressure: at one temperature it rises with the density, falls between the two
 * boiling states, and rises again. From either end it meets the pressure first in the state wanted.
 */
function densityAt(pressure: number, kelvin: number, state: "water" | "steam"): number {
  const turn = turningPoint(kelvin, state);
  let [low, high] = state === "water" ? [turn, HEAVIEST] : [LIGHTEST, turn];
  for (let step = 0; step < STEPS; step++) {
    const middle = (low + high) / 2;
    if (pressure3(middle, kelvin) < pressure) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Where the pressure turns, between the boiling state and the critical density; that density itself where it does not. */
function turningPoint(kelvin: number, state: "water" | "steam"): number {
  const outer = state === "water" ? HEAVIEST : LIGHTEST;
  const rises = (density: number) => pressure3(density * 1.00001, kelvin) > pressure3(density, kelvin);
  if (rises(CRITICAL_DENSITY)) return CRITICAL_DENSITY;
  let [inside, outside] = [CRITICAL_DENSITY, outer];
  for (let step = 0; step < STEPS; step++) {
    const middle = (inside + outside) / 2;
    if (rises(middle)) outside = middle;
    else inside = middle;
  }
  return outside;
}
