import { type AbsolutePressure, pascalsAbsolute } from "../quantity";

/** Refrigerants whose saturation line is known here from a published equation. */
export const REFRIGERANTS = ["ammonia", "co2"] as const;
export type Refrigerant = (typeof REFRIGERANTS)[number];

interface Line {
  readonly critical_K: number;
  readonly critical_Pa: number;
  /** Coefficients and exponents of 1 − T/Tc in ln(p/pc) = Tc/T · Σ a·(1 − T/Tc)^t. */
  readonly terms: readonly (readonly [number, number])[];
  /** Where the stated error holds, K. */
  readonly least_K: number;
  readonly most_K: number;
}

/**
 * Ammonia: vapour pressure equation that goes with Tillner-Roth, Harms-Watzenberg and Baehr (DKV 20, 1993); within 0.05 %
 * of the NIST tables from −50 °C to 10 K below critical. CO2: Span and Wagner, J. Phys. Chem. Ref. Data 25 (1996), eq. 3.13;
 * within 0.02 % from the triple to the critical point. Nothing is said outside.
 */
const LINES: Record<Refrigerant, Line> = {
  ammonia: {
    critical_K: 405.4,
    critical_Pa: 11.333e6,
    terms: [
      [-7.0993, 1],
      [-2.433, 1.5],
      [8.7591, 1.7],
      [-6.4091, 1.95],
      [-2.1185, 4.2],
    ],
    least_K: 223.15,
    most_K: 395.4,
  },
  co2: {
    critical_K: 304.1282,
    critical_Pa: 7.3773e6,
    terms: [
      [-7.0602087, 1],
      [1.9391218, 1.5],
      [-1.6463597, 2],
      [-3.2995634, 4],
    ],
    least_K: 216.592,
    most_K: 304.1282,
  },
};

/** The triple point of CO2: below it there is no liquid, only dry ice and vapour. Span and Wagner (1996). */
export const CO2_TRIPLE = { kelvin: 216.592, pascal: pascalsAbsolute(517_950) } as const;

export interface SaturationRange {
  readonly least_K: number;
  readonly most_K: number;
  readonly least_Pa: AbsolutePressure;
  readonly most_Pa: AbsolutePressure;
}

const rangeOf = (refrigerant: Refrigerant): SaturationRange => {
  const { least_K, most_K } = LINES[refrigerant];
  return {
    least_K,
    most_K,
    least_Pa: pascalsAbsolute(pressureOn(refrigerant, least_K)),
    most_Pa: pascalsAbsolute(pressureOn(refrigerant, most_K)),
  };
};

/** Lowest and highest temperature of the line, K, with their pressures, Pa absolute. */
export const saturationRange = (refrigerant: Refrigerant): SaturationRange => RANGES[refrigerant];

function pressureOn(refrigerant: Refrigerant, kelvin: number): number {
  const { critical_K, critical_Pa, terms } = LINES[refrigerant];
  // At the critical point itself a hair may be missing.
  const away = Math.max(0, 1 - kelvin / critical_K);
  return (
    critical_Pa * Math.exp((critical_K / kelvin) * terms.reduce((sum, [a, t]) => sum + a * away ** t, 0))
  );
}

const ROUNDING_K = 1e-9;

/** Saturation pressure, Pa absolute, from a temperature, K. Nothing outside the range of `saturationRange`. */
export function boilingPressure(refrigerant: Refrigerant, kelvin: number): AbsolutePressure | undefined {
  const { least_K, most_K } = LINES[refrigerant];
  // −50 °C comes out as a hair under 223.15 K.
  const inside = kelvin >= least_K - ROUNDING_K && kelvin <= most_K + ROUNDING_K;
  return inside ? pascalsAbsolute(pressureOn(refrigerant, kelvin)) : undefined;
}

/** ln p over 1/T is nearly straight, so a handful of secant steps settle the last digits. */
const STEPS = 12;
const SETTLED_K = 1e-10;

/** Saturation temperature, K, from a pressure, Pa absolute: the same line, read the other way. */
export function boilingTemperature(refrigerant: Refrigerant, pascal: AbsolutePressure): number | undefined {
  const { least_K, most_K, least_Pa, most_Pa } = RANGES[refrigerant];
  if (!(pascal >= least_Pa && pascal <= most_Pa)) return undefined;
  const wanted = Math.log(pascal);
  let [x0, y0] = [1 / least_K, Math.log(least_Pa) - wanted];
  let [x1, y1] = [1 / most_K, Math.log(most_Pa) - wanted];
  for (let step = 0; step < STEPS && y1 !== y0; step++) {
    const x2 = x1 - (y1 * (x1 - x0)) / (y1 - y0);
    const settled = Math.abs(1 / x2 - 1 / x1) < SETTLED_K;
    [x0, y0] = [x1, y1];
    [x1, y1] = [x2, Math.log(pressureOn(refrigerant, 1 / x2)) - wanted];
    if (settled) break;
  }
  return Math.min(most_K, Math.max(least_K, 1 / x1));
}

const RANGES: Readonly<Record<Refrigerant, SaturationRange>> = {
  ammonia: rangeOf("ammonia"),
  co2: rangeOf("co2"),
};
