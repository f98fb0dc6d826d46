import {
  chanceBeyond,
  type Drift,
  driftOf,
  normalBelow,
  type Sisters,
  type TimedValue,
  valueAt,
} from "../statistics";

/** When a quantity meets its limit, ms since the epoch; a date beyond what anybody plans is left out. */
export interface Meets {
  readonly limit: number;
  readonly side: "low" | "high";
  /** Of ten such valves one has met it by then: it is looked at before. */
  readonly early: number;
  /** Half of them. */
  readonly likely?: number;
  /** Nine of ten. */
  readonly late?: number;
  /** How many sisters had a say. */
  readonly sisters: number;
}

/** A reading, or a course, that does not fit the others. */
export type Doubt =
  | { readonly kind: "newest"; readonly expected: number; readonly error: number }
  | { readonly kind: "unlike-sisters"; readonly faster: boolean; readonly sisters: number };

export interface Band {
  readonly low?: number;
  readonly high?: number;
}

const YEAR_MS = 365.25 * 86_400_000;
/** years. */
const IN_SIGHT = 10;
/** It is called a trend where chance alone would make it once in twenty. */
const TREND = 0.95;
/** Standard deviations beyond which a reading is asked about. */
const ODD = 4;

/** Years from some moment: figures that a computer does well with. */
const inYears = (readings: readonly TimedValue[], from: number): TimedValue[] =>
  readings.map(({ time, value }) => ({ time: (time - from) / YEAR_MS, value }));

/**
 * When the limit of a quantity is met, with an interval, from its newest reading on; nothing where it is not on its way to
 * one, or outside already.
 *
 * @param readings time in ms, value in SI · @param band SI · @param sisters per year
 */
export function forecast(
  readings: readonly TimedValue[],
  band: Band,
  sisters: Sisters | undefined,
): Meets | undefined {
  if (readings.length === 0) return undefined;
  const newest = readings.reduce((last, each) => (each.time > last.time ? each : last));
  const drift = driftOf(inYears(readings, newest.time), sisters);
  if (drift === undefined) return undefined;
  const rises = drift.slope > 0;
  const side = rises ? "high" : "low";
  const limit = band[side];
  const sure = normalBelow(Math.abs(drift.slope) / drift.slopeError);
  if (limit === undefined || sure < TREND) return undefined;
  if (rises ? newest.value > limit : newest.value < limit) return undefined;
  const at = (share: number) => moment(drift, limit, side, share, newest.time);
  const early = at(0.1);
  if (early === undefined) return undefined;
  const [likely, late] = [at(0.5), at(0.9)];
  return {
    limit,
    side,
    early,
    ...(likely !== undefined && { likely }),
    ...(late !== undefined && { late }),
    sisters: drift.sisters,
  };
}

/** When so many have met the limit, from the newest reading on, by halving: towards its limit the chance only grows. */
function moment(
  drift: Drift,
  limit: number,
  side: "low" | "high",
  share: number,
  newest: number,
): number | undefined {
  if (chanceBeyond(drift, limit, side, 0) >= share) return newest;
  if (chanceBeyond(drift, limit, side, IN_SIGHT) < share) return undefined;
  let [before, after] = [0, IN_SIGHT];
  while (after - before > 1e-5) {
    const middle = (before + after) / 2;
    if (chanceBeyond(drift, limit, side, middle) >= share) after = middle;
    else before = middle;
  }
  return newest + after * YEAR_MS;
}

/** What of it does not fit: the newest reading against those before it, its whole course against its sisters'. */
export function doubts(readings: readonly TimedValue[], sisters: Sisters | undefined): Doubt[] {
  const sorted = [...readings].sort((a, b) => a.time - b.time);
  const newest = sorted.at(-1);
  if (newest === undefined) return [];
  const years = inYears(sorted, newest.time);
  // Sisters say how readings scatter; whether it goes as they do is asked apart.
  const before = driftOf(years.slice(0, -1), sisters && { ...sisters, spread: Number.POSITIVE_INFINITY });
  const odd: Doubt[] = [];
  if (before !== undefined && years.length > 2) {
    const { value, error } = valueAt(before, 0);
    const wide = Math.hypot(error, before.noise);
    if (Math.abs(newest.value - value) > ODD * wide)
      odd.push({ kind: "newest", expected: value, error: wide });
  }
  const own = driftOf(years, undefined);
  if (own !== undefined && sisters !== undefined && sisters.spread > 0) {
    const apart = own.slope - sisters.slope;
    const wide = Math.hypot(sisters.spread, own.slopeError);
    // A newest reading that is odd would make its whole course odd: it is asked about once.
    if (odd.length === 0 && Math.abs(apart) > ODD * wide)
      odd.push({
        kind: "unlike-sisters",
        faster: Math.abs(own.slope) > Math.abs(sisters.slope),
        sisters: sisters.of,
      });
  }
  return odd;
}
