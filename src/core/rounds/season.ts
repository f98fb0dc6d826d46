import type { Sheet } from "../formats";

export type Season = NonNullable<Sheet["intervals"][number]["season"]>;

const DAY_MS = 86_400_000;

/** First moment of a day of the year, UTC; the 29th of February is the 1st of March where there is none. */
function dayIn(year: number, monthDay: string): number {
  const [month, day] = monthDay.split("-").map(Number);
  return Date.UTC(year, month! - 1, day!);
}

/** Spans of the season from a year before the first moment to a year after the last, ms; the last day of it too. */
function spansAround({ from, to }: Season, first: number, last: number) {
  const years = [new Date(first).getUTCFullYear() - 1, new Date(last).getUTCFullYear() + 1] as const;
  return Array.from({ length: years[1] - years[0] + 1 }, (_, at) => {
    const year = years[0] + at;
    // One that ends before it begins goes over the new year.
    return { from: dayIn(year, from), to: dayIn(to < from ? year + 1 : year, to) + DAY_MS };
  });
}

/** When it rings so that it is done in its season: what is due out of it, when the season before ends. @param due ms */
export function beforeSeasonEnds(season: Season, due: number): number {
  const before = spansAround(season, due, due).filter(({ from }) => from <= due);
  const last = before.at(-1)!;
  return due < last.to ? due : last.to - 1;
}

/** Spans of the season within a time, ms. */
export const seasonWithin = (season: Season, now: number, until: number): { from: number; to: number }[] =>
  spansAround(season, now, until).flatMap(({ from, to }) =>
    to > now && from < until ? [{ from: Math.max(from, now), to: Math.min(to, until) }] : [],
  );
