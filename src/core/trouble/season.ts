import type { TroubleFacts } from "../formats";

const SEASONS = ["winter", "spring", "summer", "autumn"] as const;
const DAY_MS = 86_400_000;
/** Months in which there is frost, north of the equator, from 0. */
const FROSTY = [10, 11, 0, 1, 2];

const monthAt = (at: number, south: boolean): number => (new Date(at).getUTCMonth() + (south ? 6 : 0)) % 12;

/** The season by its months, December to February being the winter of the north. @param at ms, UTC */
export function seasonAt(at: number, south = false): NonNullable<TroubleFacts["season"]> {
  const month = monthAt(at, south);
  return SEASONS[Math.floor(((month + 1) % 12) / 3)]!;
}

/** Whether a month of frost lies between two moments, the second one counted; no more than a year back is looked. */
export function frostBetween(from: number, to: number, south = false): boolean {
  for (let at = Math.max(from, to - 365 * DAY_MS); at <= to; at += 15 * DAY_MS)
    if (FROSTY.includes(monthAt(at, south))) return true;
  return FROSTY.includes(monthAt(to, south));
}
