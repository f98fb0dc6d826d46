/** One look at the gauge while a section stands shut in. */
export interface StandingReading {
  /** s since the test began. */
  readonly seconds: number;
  /** Pa above the surroundings. */
  readonly gauge: number;
  /** Temperature of the section's wall, K; without it nothing can be corrected. */
  readonly kelvin?: number;
}

export type StandingVerdict =
  /** Nothing rose beyond what the gauge can show. */
  | { readonly kind: "holds"; readonly rise: number; readonly corrected: number; readonly perHour: number }
  /** It rose, and warming explains all of it: the closures hold. */
  | {
      readonly kind: "only-warming";
      readonly rise: number;
      readonly corrected: number;
      readonly perHour: number;
    }
  /** It rose and is levelling off: liquid left behind boils away. */
  | { readonly kind: "residue"; readonly rise: number; readonly corrected: number; readonly perHour: number }
  /** It rises on and on: something is let in. */
  | { readonly kind: "let-in"; readonly rise: number; readonly corrected: number; readonly perHour: number };

/** Share of its first slope below which a rise counts as levelling off. */
const LEVELS_OFF = 0.4;

/**
 * Judges a shut-in section by its pressure over time. A gas at constant volume follows p₂ = p₁·T₂/T₁ (absolute); only
 * what is above that was let in or boiled off.
 *
 * @param readings two or more, in order of time
 * @param bound Pa: the least rise that counts, from the gauge's resolution and the sheet
 * @param surroundings Pa absolute
 * @see ideal gas at constant volume; the correction is what any pressure-decay standard makes for temperature
 */
export function judgeStanding(
  readings: readonly StandingReading[],
  bound: number,
  surroundings: number,
): StandingVerdict {
  const [first, last] = [readings[0], readings.at(-1)];
  if (first === undefined || last === undefined || readings.length < 2)
    throw new Error(`a standing test needs two readings, not ${readings.length}`);
  const excess = (reading: StandingReading) => {
    const warmed =
      first.kelvin === undefined || reading.kelvin === undefined ? 1 : reading.kelvin / first.kelvin;
    return reading.gauge + surroundings - (first.gauge + surroundings) * warmed;
  };
  const corrected = excess(last);
  const rise = last.gauge - first.gauge;
  const hours = (last.seconds - first.seconds) / 3600;
  const figures = { rise, corrected, perHour: hours > 0 ? corrected / hours : 0 };
  if (corrected <= bound) return { kind: rise > bound ? "only-warming" : "holds", ...figures };
  return { kind: levelsOff(readings, excess) ? "residue" : "let-in", ...figures };
}

/** Whether the last interval rises much less steeply than the first; two readings cannot tell. */
function levelsOff(
  readings: readonly StandingReading[],
  excess: (reading: StandingReading) => number,
): boolean {
  if (readings.length < 3) return false;
  const slope = (a: StandingReading, b: StandingReading) => (excess(b) - excess(a)) / (b.seconds - a.seconds);
  return slope(readings.at(-2)!, readings.at(-1)!) < LEVELS_OFF * slope(readings[0]!, readings[1]!);
}
