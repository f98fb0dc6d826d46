const DAY = /^(\d{4})-(\d{2})-(\d{2})$/;
const INSTANT = /^(\d{4}-\d{2}-\d{2})[Tt]\d{2}:\d{2}:\d{2}(\.\d+)?([Zz]|[+-]\d{2}:\d{2})$/;
/** Nothing that is serviced was built before these, and nothing planned lies beyond. */
const YEARS = { first: 1800, last: 2199 } as const;

/** A day of the calendar: year-month-day, 31 April is none. */
export function isDay(text: string): boolean {
  const [, year, month, day] = DAY.exec(text) ?? [];
  if (year === undefined || Number(year) < YEARS.first || Number(year) > YEARS.last) return false;
  const date = new Date(0);
  date.setUTCFullYear(Number(year), Number(month) - 1, Number(day));
  return date.getUTCMonth() === Number(month) - 1 && date.getUTCDate() === Number(day);
}

/**
 * A date and time with its zone (RFC 3339) that the clock of this program can hold. A leap second is none: it would be
 * no number, and every comparison with it would be false.
 */
export function isInstant(text: string): boolean {
  const [, day] = INSTANT.exec(text) ?? [];
  return day !== undefined && isDay(day) && !Number.isNaN(Date.parse(text));
}

export const isDayOrInstant = (text: string): boolean => isDay(text) || isInstant(text);
