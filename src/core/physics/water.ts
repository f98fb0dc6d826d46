import { liquidAt } from "./liquids";
import { saturationPressure } from "./steam";

/** Least and greatest temperature of Kell's equation used here, K. */
export const WATER_RANGE_K = { least: 273.15, most: 373.15 } as const;

/**
 * Density of air-free water at 1 atm, kg/m³: Kell, J. Chem. Eng. Data 20 (1975) 97, eq. 16; within 0.01 % from
 * 0 to 100 °C.
 * @param kelvin K
 */
export function waterDensity(kelvin: number): number {
  const t = kelvin - 273.15;
  const above =
    999.83952 +
    t * (16.945176 + t * (-7.9870401e-3 + t * (-46.170461e-6 + t * (105.56302e-9 + t * -280.54253e-12))));
  return above / (1 + 16.87985e-3 * t);
}

/** Isothermal bulk modulus of water, Pa: Kell (1975), interpolated within 1 %, 5 to 100 °C. */
export const waterBulkModulus = (kelvin: number): number =>
  1 / liquidAt("water", kelvin - 273.15).compressibility;

/** Pressure at which water boils, Pa absolute; IF97. */
export const waterVapourPressure = (kelvin: number): number => saturationPressure(kelvin) ?? 0;

/** Heat that warms water, J/(kg·K), near enough for a kilogram between 0 and 100 °C (within 1 %). */
export const WATER_HEAT = 4187;
