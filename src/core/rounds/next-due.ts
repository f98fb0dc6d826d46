import type { Sheet, Valve } from "../formats";
import { type Counted, countedSince } from "./count";
import type { Course, DatedReading, SistersBy } from "./course";
import type { Meets } from "./forecast";
import { beforeSeasonEnds, type Season } from "./season";

type Interval = Sheet["intervals"][number];

/** What an interval is counted from. */
export type CountedFrom = "service" | "act" | "installation";

export interface Due {
  readonly at: number; // ms since the epoch
  readonly interval: string;
  /** In the words of the sheet; of a trend what is measured. */
  readonly what: string;
  /** What it is counted from, and who says so; nothing when none of it is on record, or when it is due at once. */
  readonly counted?: {
    readonly from: CountedFrom;
    readonly months: number;
    readonly source: string;
    /** Months of the sheet or the site, where what was found on this valve made it shorter. */
    readonly shortenedFrom?: number;
    /** Months of the sheet, where the site has set its own for this valve; `source` says on whose word. */
    readonly sheetMonths?: number;
  };
  /** Looked at once more after a job: so many days, and why. */
  readonly again?: { readonly days: number; readonly why: string };
  /** Its readings go towards a limit: it is looked at before one of ten such valves has met it. */
  readonly trend?: { readonly what: string; readonly meets: Meets };
  /** Set by an authority, an insurer or a contract for this valve. */
  readonly set?: true;
  /** By a counter: it is met before the date, or has been. */
  readonly count?: Counted;
  /** Its season ends before its date: it rings before. */
  readonly season?: Season;
  /** Due whatever its date says: since then (ms), or because of what is reported of it. */
  readonly atOnce?: { readonly since: number } | { readonly reported: string };
}

/** What was measured of a valve. */
export interface Measured {
  readonly courses?: readonly Course[];
  /** For counters. */
  readonly readings?: readonly DatedReading[];
  /** How others of its model go. */
  readonly sisters?: SistersBy;
}

/** The same day of the month so many months later (the last day of a shorter month), UTC. */
export function addMonths(from: number, months: number): number {
  const date = new Date(from);
  const day = date.getUTCDate();
  date.setUTCDate(1);
  date.setUTCMonth(date.getUTCMonth() + Math.trunc(months));
  const last = new Date(Date.UTC(date.getUTCFullYear(), date.getUTCMonth() + 1, 0)).getUTCDate();
  date.setUTCDate(Math.min(day, last));
  return date.getTime();
}

/** The act that an interval counts from; none when any service does. */
export function actOf({ renews, opens, does }: Interval): "renewed" | "opened" | "done" | undefined {
  if (renews !== undefined && renews.length > 0) return "renewed";
  if (opens !== undefined && opens.length > 0) return "opened";
  return does !== undefined && does.length > 0 ? "done" : undefined;
}

/** The complaint of the sheet that is reported of this valve, if it is one of them. */
export const reportedOf = (valve: Valve, sheet: Sheet): Sheet["symptoms"][number] | undefined =>
  valve.symptom === undefined ? undefined : sheet.symptoms.find(({ says }) => says === valve.symptom);

/**
 * When this valve rings by the calendar. An interval of an act of its own (an exchange, a renewal) counts from when that
 * act was last done, or from when the valve was built in: a look in between does not put it off. Any other counts from
 * the last service. What is made due at once (a relief valve that has lifted) is due now; so is one of which nothing is
 * known. A course of readings that goes towards a limit makes it due before that. The earliest first.
 *
 * @param measured of this valve; nothing rings by its readings when absent
 */
export function dues(
  valve: Valve,
  sheet: Sheet,
  now: number,
  { courses = [], readings = [], sisters = () => undefined }: Measured = {},
): Due[] {
  const reported = reportedOf(valve, sheet);
  const again = (sheet.rechecks ?? []).flatMap(({ id, what, why, after_days: days }): Due[] => {
    const at = valve.recheck?.[id];
    return at === undefined ? [] : [{ at: Date.parse(at), interval: id, what, again: { days, why } }];
  });
  const byCalendar = sheet.intervals.map((interval): Due => {
    const { id, what, every_months, source, atOnceAfter, season, counts } = interval;
    const own = valve.months?.[id];
    const planned = own ?? every_months;
    const months = Math.min(planned, valve.shorter?.[id] ?? planned);
    const since = valve.dueSince?.[id];
    if (since !== undefined)
      return { at: Date.parse(since), interval: id, what, atOnce: { since: Date.parse(since) } };
    if (reported !== undefined && atOnceAfter?.includes(reported.id))
      return { at: now, interval: id, what, atOnce: { reported: reported.says } };
    const counted = countedFrom(valve, interval);
    const date = counted && addMonths(Date.parse(counted.at), months);
    const count =
      counts && countedSince(readings, counts, counted && Date.parse(counted.at), sisters(counts.what));
    const met = count && (count.done >= count.every ? count.at : count.meets?.early);
    if (met !== undefined && (date === undefined || met < date))
      return { at: met, interval: id, what, count: count! };
    if (counted === undefined || date === undefined) return { at: now, interval: id, what };
    const at = season === undefined ? date : beforeSeasonEnds(season, date);
    return {
      at,
      ...(at < date && { season: season! }),
      interval: id,
      what,
      counted: {
        from: counted.from,
        months,
        source: own === undefined ? source : (valve.monthsWhy ?? source),
        ...(months < planned && { shortenedFrom: planned }),
        ...(own !== undefined && own !== every_months && { sheetMonths: every_months }),
      },
    };
  });
  const bySet = Object.entries(valve.set ?? {}).map(
    ([day, what]): Due => ({ at: Date.parse(day), interval: `set:${day}`, what, set: true }),
  );
  const byTrend = courses.flatMap(({ what, meets }): Due[] =>
    meets === undefined ? [] : [{ at: meets.early, interval: `trend:${what}`, what, trend: { what, meets } }],
  );
  return [...again, ...byCalendar, ...bySet, ...byTrend].sort((a, b) => a.at - b.at);
}

function countedFrom(
  { last, installed, serviced }: Valve,
  interval: Interval,
): { readonly from: CountedFrom; readonly at: string } | undefined {
  const act = actOf(interval) !== undefined;
  // A look that takes nothing off is no service, and puts off only what it is the work of.
  const looked = last?.[interval.id];
  const done = act
    ? looked
    : looked !== undefined && Date.parse(looked) > Date.parse(serviced ?? looked)
      ? looked
      : (serviced ?? looked);
  if (done !== undefined) return { from: act ? "act" : "service", at: done };
  if (installed !== undefined) return { from: "installation", at: installed };
  return serviced === undefined ? undefined : { from: "service", at: serviced };
}
