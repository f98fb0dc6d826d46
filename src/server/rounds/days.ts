import type { HouseDay } from "@/core/due-work";
import { WEEKDAYS } from "@/core/formats";

/** Weeks that are planned ahead: a quarter. */
export const WEEKS = 13;

/** The same hour so many days later, by the clock on the wall of the server. */
export function dayAfter(midnight: number, days: number): number {
  const date = new Date(midnight);
  date.setDate(date.getDate() + days);
  return date.getTime();
}

export function mondayBefore(now: number): number {
  const date = new Date(now);
  date.setHours(0, 0, 0, 0);
  return dayAfter(date.getTime(), -((date.getDay() + 6) % 7));
}

/** Year-month-day, by the clock on the wall of the server. */
export function dateOf(ms: number): string {
  const date = new Date(ms);
  const two = (figure: number) => String(figure).padStart(2, "0");
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
}

/** Days from now on: of today what is left of it. */
export function daysFrom(now: number, until: number): HouseDay[] {
  const days: HouseDay[] = [];
  const first = new Date(now).setHours(0, 0, 0, 0);
  for (let midnight = first; midnight < until; midnight = dayAfter(midnight, 1))
    days.push({
      date: dateOf(midnight),
      weekday: WEEKDAYS[(new Date(midnight).getDay() + 6) % 7]!,
      at: (clock) => {
        const [hours, minutes] = clock.split(":").map(Number);
        return Math.max(now, new Date(midnight).setHours(hours!, minutes!, 0, 0));
      },
    });
  return days;
}
