const DAY_MS = 86_400_000;
/** How far ahead the days are looked at. */
export const FORTNIGHT_DAYS = 14;
export const FORTNIGHT_MS = FORTNIGHT_DAYS * DAY_MS;
/** Hours one crew can work in a day. */
export const CREW_HOURS = 8;
/** Minutes a job takes when nothing better is known. */
const USUAL_MIN = 90;

/** Work that is due on a day. */
export interface DayOfWork {
  /** Its midnight, ms since the epoch. */
  readonly at: number;
  readonly hours: number;
  /** More than one crew can do. */
  readonly over: boolean;
}

/** The last moments of yesterday and of each of the fourteen days: what is due by them is counted. @param midnight today's */
export const endsOfDays = (midnight: number): number[] =>
  Array.from({ length: FORTNIGHT_DAYS + 1 }, (_, day) => midnight + day * DAY_MS - 1);

/**
 * Hours due on each of the next fourteen days; what is late counts today.
 *
 * @param dueBy valves due by each of the moments of `endsOfDays`
 */
export function hoursByDay(midnight: number, dueBy: readonly number[]): DayOfWork[] {
  return Array.from({ length: FORTNIGHT_DAYS }, (_, day) => {
    const valves = dueBy[day + 1]! - (day === 0 ? 0 : dueBy[day]!);
    const hours = (valves * USUAL_MIN) / 60;
    return { at: midnight + day * DAY_MS, hours, over: hours > CREW_HOURS };
  });
}
