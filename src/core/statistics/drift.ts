import { normalBelow } from "./normal";
import { type TimedValue, trendOf } from "./trend";

/** How a quantity goes on valves of one kind, per unit of time: how fast, how differently, and how readings scatter. */
export interface Sisters {
  readonly slope: number;
  /** Standard deviation of the slope from one to the next. */
  readonly spread: number;
  /** Standard deviation of a reading about its line. */
  readonly noise: number;
  /** How many it was learnt from. */
  readonly of: number;
}

/** What is believed of one quantity of one valve: a straight line, how sure of it, and how readings scatter. */
export interface Drift {
  readonly middle: number;
  readonly at: number;
  readonly atError: number;
  readonly slope: number;
  readonly slopeError: number;
  readonly noise: number;
  /** How many sisters had a say; 0 where its own history speaks alone. */
  readonly sisters: number;
}

/** So many sisters make a prior. */
const FEWEST = 3;
/** The scatter of sisters counts like so many readings more. */
const NOISE_HELD = 6;

/** Learns how a quantity usually goes from whole histories; none of fewer than three with two readings each. */
export function sistersOf(histories: readonly (readonly TimedValue[])[]): Sisters | undefined {
  const lines = histories.flatMap((readings) => {
    const line = trendOf(readings);
    if (line === undefined) return [];
    const rest = readings.reduce(
      (sum, { time, value }) => sum + (value - line.at - line.slope * (time - line.middle)) ** 2,
      0,
    );
    return [{ slope: line.slope, rest, free: readings.length - 2, wide: spreadOf(readings) }];
  });
  if (lines.length < FEWEST) return undefined;
  const free = lines.reduce((sum, each) => sum + each.free, 0);
  if (free === 0) return undefined;
  const noise = Math.sqrt(lines.reduce((sum, { rest }) => sum + rest, 0) / free);
  const slope = lines.reduce((sum, each) => sum + each.slope, 0) / lines.length;
  const seen = lines.reduce((sum, each) => sum + (each.slope - slope) ** 2, 0) / (lines.length - 1);
  // What scatter alone makes of equal slopes is not theirs.
  const byNoise = lines.reduce((sum, { wide }) => sum + noise ** 2 / wide, 0) / lines.length;
  // They may look equal by chance: a quarter of what is seen is kept as theirs.
  const spread = Math.sqrt(Math.max(seen - byNoise, seen / 4));
  return { slope, spread, noise, of: lines.length };
}

const spreadOf = (readings: readonly TimedValue[]): number => {
  const middle = readings.reduce((sum, { time }) => sum + time, 0) / readings.length;
  return readings.reduce((sum, { time }) => sum + (time - middle) ** 2, 0);
};

/**
 * The line through a valve's own readings, with what its sisters do as the prior of its slope (a conjugate normal).
 * Nothing where neither says anything: one reading and no sisters, two readings and nobody to tell how they scatter.
 */
export function driftOf(readings: readonly TimedValue[], sisters: Sisters | undefined): Drift | undefined {
  const count = readings.length;
  if (count === 0) return undefined;
  const middle = readings.reduce((sum, { time }) => sum + time, 0) / count;
  const at = readings.reduce((sum, { value }) => sum + value, 0) / count;
  const wide = spreadOf(readings);
  const own = trendOf(readings);
  const noise = noiseOf(readings, sisters);
  if (noise === undefined) return undefined;
  const known = own === undefined ? 0 : wide / noise ** 2;
  const usual = sisters === undefined || sisters.spread === 0 ? 0 : 1 / sisters.spread ** 2;
  if (known + usual === 0) return undefined;
  const slope = (known * (own?.slope ?? 0) + usual * (sisters?.slope ?? 0)) / (known + usual);
  return {
    middle,
    at,
    atError: noise / Math.sqrt(count),
    slope,
    slopeError: 1 / Math.sqrt(known + usual),
    noise,
    sisters: usual === 0 ? 0 : sisters!.of,
  };
}

/** Own scatter and that of the sisters, each for as many readings as speak for it; never quite none. */
function noiseOf(readings: readonly TimedValue[], sisters: Sisters | undefined): number | undefined {
  const line = trendOf(readings);
  const free = Math.max(0, readings.length - 2);
  const rest =
    line === undefined
      ? 0
      : readings.reduce(
          (sum, { time, value }) => sum + (value - line.at - line.slope * (time - line.middle)) ** 2,
          0,
        );
  const held = sisters === undefined ? 0 : NOISE_HELD;
  if (free + held === 0) return undefined;
  const variance = (rest + held * (sisters?.noise ?? 0) ** 2) / (free + held);
  const finest = Math.max(...readings.map(({ value }) => Math.abs(value))) * 1e-6;
  return Math.max(Math.sqrt(variance), finest, Number.MIN_VALUE);
}

/** What the quantity is believed to be at a time, and how sure. */
export function valueAt({ at, atError, middle, slope, slopeError }: Drift, time: number) {
  return {
    value: at + slope * (time - middle),
    error: Math.sqrt(atError ** 2 + ((time - middle) * slopeError) ** 2),
  };
}

/** Chance that it lies beyond a limit by then. @param side where the limit is */
export function chanceBeyond(drift: Drift, limit: number, side: "low" | "high", time: number): number {
  const { value, error } = valueAt(drift, time);
  const z = (value - limit) / error;
  return normalBelow(side === "high" ? z : -z);
}
