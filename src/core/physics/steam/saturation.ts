import { type AbsolutePressure, pascalsAbsolute } from "../../quantity";

/** Coefficients of the saturation equation. IAPWS R7-97(2012), table 34. */
const N = [
  0.11670521452767e4, -0.72421316703206e6, -0.17073846940092e2, 0.1202082470247e5, -0.32325550322333e7,
  0.1491510861353e2, -0.48232657361591e4, 0.40511340542057e6, -0.23855557567849, 0.65017534844798e3,
] as const;

export const TRIPLE_K = 273.15;
export const CRITICAL_K = 647.096;
const MPA = 1e6;

/**
 * Saturation pressure of water, Pa absolute, from a temperature of 273.15 to 647.096 K. Region 4 of IAPWS-IF97, eq. 30:
 * the release gives 0.025 % up to 500 K, 0.05 % up to 640 K.
 *
 * @returns nothing outside the range
 */
export function saturationPressure(temperature: number): AbsolutePressure | undefined {
  if (!(temperature >= TRIPLE_K && temperature <= CRITICAL_K)) return undefined;
  const theta = temperature + N[8] / (temperature - N[9]);
  const a = theta ** 2 + N[0] * theta + N[1];
  const b = N[2] * theta ** 2 + N[3] * theta + N[4];
  const c = N[5] * theta ** 2 + N[6] * theta + N[7];
  const pressure = ((2 * c) / (-b + Math.sqrt(b ** 2 - 4 * a * c))) ** 4 * MPA;
  // At the critical point itself the last digits come out above it.
  return pascalsAbsolute(Math.min(pressure, CRITICAL_PA));
}

/** Saturation pressure at the two ends of the equation, Pa absolute. */
export const LEAST_PA = pascalsAbsolute(611.213);
export const CRITICAL_PA = pascalsAbsolute(22.064e6);

/**
 * Saturation temperature of water, K, from a pressure of 611.213 Pa to 22.064 MPa absolute: eq. 31, the same curve.
 *
 * @returns nothing outside the range
 */
export function saturationTemperature(pressure: AbsolutePressure): number | undefined {
  if (!(pressure >= LEAST_PA && pressure <= CRITICAL_PA)) return undefined;
  const beta = (pressure / MPA) ** 0.25;
  const e = beta ** 2 + N[2] * beta + N[5];
  const f = N[0] * beta ** 2 + N[3] * beta + N[6];
  const g = N[1] * beta ** 2 + N[4] * beta + N[7];
  const d = (2 * g) / (-f - Math.sqrt(f ** 2 - 4 * e * g));
  return (N[9] + d - Math.sqrt((N[9] + d) ** 2 - 4 * (N[8] + N[9] * d))) / 2;
}
