import type { Sheet } from "../formats";
import { toSI, unitNamed } from "../quantity";
import { meets, trendOf } from "../statistics";

/** A reading of a valve: what was measured, when (ms since the epoch), SI. */
export interface DatedReading {
  readonly what: string;
  readonly at: number;
  readonly si: number;
}

/** How one measured quantity of a valve went, with the band its sheet allows, SI. */
export interface Course {
  readonly what: string;
  readonly values: readonly number[];
  readonly low?: number;
  readonly high?: number;
  /** When its straight line meets the band's edge, ms since the epoch: past when it lies outside already. */
  readonly meets?: number;
}

/**
 * The course that needs to be looked at first: the one that meets a limit soonest by the straight line through its
 * readings; where none is on its way, the one whose newest reading lies nearest to a limit.
 *
 * @param readings of one valve, in any order
 */
export function worstCourse(
  readings: readonly DatedReading[],
  sheet: Sheet,
  now: number,
): Course | undefined {
  return coursesOf(readings, sheet, now).sort((a, b) => soonest(a) - soonest(b) || margin(a) - margin(b))[0];
}

const soonest = ({ meets: at }: Course) => at ?? Number.MAX_VALUE;

function coursesOf(readings: readonly DatedReading[], sheet: Sheet, now: number): Course[] {
  return sheet.checks.flatMap((check): Course[] => {
    if (check.kind !== "measure" || check.phase !== "test") return [];
    const taken = readings.filter(({ what }) => what === check.what).sort((a, b) => a.at - b.at);
    const unit = unitNamed(check.unit, check.dimension);
    if (taken.length === 0 || unit === undefined) return [];
    const [low, high] = [check.low, check.high].map((limit) =>
      limit === undefined ? undefined : toSI(limit, unit),
    );
    const at = crossing(taken, low, high, now);
    return [
      {
        what: check.what,
        values: taken.map(({ si }) => si),
        ...(low !== undefined && { low }),
        ...(high !== undefined && { high }),
        ...(at !== undefined && { meets: at }),
      },
    ];
  });
}

/** When it leaves the band; now when the newest reading lies outside; nothing when it stays or comes back. */
function crossing(
  taken: readonly DatedReading[],
  low: number | undefined,
  high: number | undefined,
  now: number,
): number | undefined {
  const last = taken.at(-1)!.si;
  if ((low !== undefined && last < low) || (high !== undefined && last > high)) return now;
  const trend = trendOf(taken.map(({ at, si }) => ({ time: at, value: si })));
  if (trend === undefined) return undefined;
  const ahead = [low, high].flatMap((limit) => {
    const at = limit === undefined ? undefined : meets(trend, limit);
    return at === undefined ? [] : [Math.max(at, now)];
  });
  return ahead.length === 0 ? undefined : Math.min(...ahead);
}

/** How far the newest reading lies from the nearer limit, as a share of that limit. */
function margin({ values, low, high }: Course): number {
  const last = values.at(-1)!;
  const toLow = low === undefined ? Number.POSITIVE_INFINITY : (last - low) / Math.abs(low || 1);
  const toHigh = high === undefined ? Number.POSITIVE_INFINITY : (high - last) / Math.abs(high || 1);
  return Math.min(toLow, toHigh);
}
