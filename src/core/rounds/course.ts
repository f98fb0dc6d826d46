import type { Sheet } from "../formats";
import { toSI, unitNamed } from "../quantity";
import type { Sisters, TimedValue } from "../statistics";
import { type Band, type Doubt, doubts, forecast, type Meets } from "./forecast";

/** A reading of a valve: what was measured, when (ms since the epoch), SI. */
export interface DatedReading {
  readonly what: string;
  readonly at: number;
  readonly si: number;
}

/** How valves of the same kind go, by what is measured; per year. */
export type SistersBy = (what: string) => Sisters | undefined;

/** How one measured quantity of a valve went, with the band its sheet allows, SI. */
export interface Course {
  readonly what: string;
  readonly values: readonly number[];
  readonly low?: number;
  readonly high?: number;
  /** Since when (ms) its newest reading lies outside the band. */
  readonly outside?: number;
  /** When it meets a limit that it is on its way to. */
  readonly meets?: Meets;
  readonly doubts: readonly Doubt[];
}

const nobody: SistersBy = () => undefined;

/**
 * The course that needs to be looked at first: outside its band, else the one that may meet a limit soonest; where none
 * is on its way, the one whose newest reading lies nearest to a limit.
 *
 * @param readings of one valve, in any order
 */
export function worstCourse(
  readings: readonly DatedReading[],
  sheet: Sheet,
  sisters: SistersBy = nobody,
): Course | undefined {
  const soonest = ({ outside, meets }: Course) =>
    outside !== undefined ? 0 : (meets?.early ?? Number.MAX_VALUE);
  return coursesOf(readings, sheet, sisters).sort(
    (a, b) => soonest(a) - soonest(b) || margin(a) - margin(b),
  )[0];
}

/** How everything went that a test of the sheet measures, and where it goes. */
export function coursesOf(
  readings: readonly DatedReading[],
  sheet: Sheet,
  sisters: SistersBy = nobody,
): Course[] {
  return sheet.checks.flatMap((check): Course[] => {
    if (check.kind !== "measure" || check.phase !== "test") return [];
    const taken = readings.filter(({ what }) => what === check.what).sort((a, b) => a.at - b.at);
    const unit = unitNamed(check.unit, check.dimension);
    if (taken.length === 0 || unit === undefined) return [];
    const band: Band = {
      ...(check.low !== undefined && { low: toSI(check.low, unit) }),
      ...(check.high !== undefined && { high: toSI(check.high, unit) }),
    };
    const values = taken.map(({ at, si }): TimedValue => ({ time: at, value: si }));
    const kin = sisters(check.what);
    const meets = forecast(values, band, kin);
    const last = taken.at(-1)!;
    return [
      {
        what: check.what,
        values: taken.map(({ si }) => si),
        ...band,
        ...(isOutside(last.si, band) && { outside: last.at }),
        ...(meets && { meets }),
        doubts: doubts(values, kin),
      },
    ];
  });
}

const isOutside = (value: number, { low, high }: Band): boolean =>
  (low !== undefined && value < low) || (high !== undefined && value > high);

/** How far the newest reading lies from the nearer limit, as a share of that limit. */
function margin({ values, low, high }: Course): number {
  const last = values.at(-1)!;
  const toLow = low === undefined ? Number.POSITIVE_INFINITY : (last - low) / Math.abs(low || 1);
  const toHigh = high === undefined ? Number.POSITIVE_INFINITY : (high - last) / Math.abs(high || 1);
  return Math.min(toLow, toHigh);
}
