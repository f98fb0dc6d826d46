import type { Place, RoundsTask } from "../formats";
import { type Season, seasonWithin } from "../rounds";
import type { HouseDay } from "./crews-on";

/** When some work may be done. */
export interface MayBeDone {
  /** Who is told before has to know it so many days before. */
  readonly noticeDays: number;
  /** Hours of its place, by weekday: on no other day, where there are any. */
  readonly hours?: Place["hours"];
  /** Its interval is done in this part of the year alone. */
  readonly season?: Season;
}

interface Span {
  readonly from: number;
  readonly to: number;
}

const DAY_MS = 86_400_000;
/** Later than any plan: what has no time left in it is in none of its shifts. */
const never = (until: number): Span => ({ from: until, to: until + DAY_MS });

/**
 * The times in which it may be done, earliest first: none before those have been told who want to know, none out of its
 * season, none out of the hours of its place.
 *
 * @param days of the house, within now and until, ms
 */
export function windowsOf(
  { noticeDays, hours, season }: MayBeDone,
  days: readonly HouseDay[],
  { now, until }: { readonly now: number; readonly until: number },
): NonNullable<RoundsTask["windows"]> {
  const told = now + noticeDays * DAY_MS;
  const whole = told < until ? [{ from: told, to: until }] : [];
  const inSeason = season === undefined ? whole : shared(whole, seasonWithin(season, now, until));
  const open = hours === undefined ? inSeason : shared(inSeason, hoursOf(hours, days));
  return (open.length === 0 ? [never(Math.max(until, told))] : open).map(({ from, to }) => ({
    from: new Date(from).toISOString(),
    to: new Date(to).toISOString(),
  }));
}

/** The hours of each day on which there are any. */
function hoursOf(hours: NonNullable<Place["hours"]>, days: readonly HouseDay[]): Span[] {
  return days.flatMap(({ weekday, at }) => {
    const span = (hours as Partial<Record<string, string>>)[weekday];
    if (span === undefined) return [];
    const [opens, shuts] = span.split("-");
    const [from, to] = [at(opens!), at(shuts!)];
    return to > from ? [{ from, to }] : [];
  });
}

const shared = (some: readonly Span[], others: readonly Span[]): Span[] =>
  some.flatMap((a) =>
    others.flatMap((b) => {
      const [from, to] = [Math.max(a.from, b.from), Math.min(a.to, b.to)];
      return to > from ? [{ from, to }] : [];
    }),
  );
