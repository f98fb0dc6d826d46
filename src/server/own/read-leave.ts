import ICAL from "ical.js";
import { err, ok, type Result } from "@/core/result";

/** Whole days away, both of them too: year-month-day. */
export interface LeaveSpan {
  readonly from: string;
  readonly to: string;
}

/** An entry of a calendar that is no leave, and why. */
export interface NoLeave {
  readonly says: string;
  readonly why: "part-of-a-day" | "cancelled" | "behind";
}

export interface LeaveRead {
  readonly spans: readonly LeaveSpan[];
  readonly left: readonly NoLeave[];
}

/** Of one that comes again and again. */
const MOST_TIMES = 200;
const AHEAD_DAYS = 550;
const DAY_MS = 86_400_000;

/**
 * The whole days of a calendar file (RFC 5545), as far as they are not behind: its all-day entries, and what lasts whole
 * days by the clock. Entries that come again are followed for a year and a half.
 *
 * @param today year-month-day
 */
export function readLeave(text: string, today: string): Result<LeaveRead, "no-calendar"> {
  let events: ICAL.Component[];
  try {
    const read = ICAL.parse(text);
    const calendars = (Array.isArray(read[0]) ? read : [read]) as ConstructorParameters<
      typeof ICAL.Component
    >[0][];
    events = calendars.flatMap((each) => new ICAL.Component(each).getAllSubcomponents("vevent"));
  } catch {
    return err("no-calendar");
  }
  const spans: LeaveSpan[] = [];
  const left: NoLeave[] = [];
  for (const component of events) {
    const event = new ICAL.Event(component);
    const says = event.summary || event.uid || "";
    if (component.getFirstPropertyValue("status") === "CANCELLED") left.push({ says, why: "cancelled" });
    // One that is moved out of its series stands under the series.
    else if (!event.isRecurrenceException()) {
      const found = timesOf(event, today).map(({ start, end }) => wholeDays(start, end));
      const whole = found.flatMap((span) => span ?? []);
      const ahead = whole.filter(({ to }) => to >= today);
      if (whole.length === 0) left.push({ says, why: "part-of-a-day" });
      else if (ahead.length === 0) left.push({ says, why: "behind" });
      spans.push(...ahead);
    }
  }
  return ok({ spans: joined(spans), left });
}

function timesOf(event: ICAL.Event, today: string) {
  if (!event.isRecurring()) return [{ start: event.startDate, end: event.endDate }];
  const until = dateAfter(today, AHEAD_DAYS);
  const times: { start: ICAL.Time; end: ICAL.Time }[] = [];
  const next = event.iterator();
  for (let at = next.next(); at && times.length < MOST_TIMES && dateOf(at) <= until; at = next.next()) {
    const { startDate, endDate } = event.getOccurrenceDetails(at);
    if (dateOf(endDate) >= today) times.push({ start: startDate, end: endDate });
  }
  return times;
}

/** An entry ends before its end begins. */
function wholeDays(start: ICAL.Time, end: ICAL.Time): LeaveSpan | undefined {
  const from = isMidnight(start) ? dateOf(start) : dateAfter(dateOf(start), 1);
  const to = dateAfter(dateOf(end), -1);
  return to >= from ? { from, to } : undefined;
}

const isMidnight = ({ isDate, hour, minute }: ICAL.Time): boolean => isDate || (hour === 0 && minute === 0);

const dateOf = ({ year, month, day }: ICAL.Time): string =>
  `${year}-${String(month).padStart(2, "0")}-${String(day).padStart(2, "0")}`;

export const dateAfter = (date: string, days: number): string =>
  new Date(Date.parse(date) + days * DAY_MS).toISOString().slice(0, 10);

/** What overlaps or follows the day after is one. */
export function joined(spans: readonly LeaveSpan[]): LeaveSpan[] {
  const all: LeaveSpan[] = [];
  for (const span of [...spans].sort((a, b) => (a.from < b.from ? -1 : 1))) {
    const last = all.at(-1);
    if (last === undefined || span.from > dateAfter(last.to, 1)) all.push(span);
    else if (span.to > last.to) all[all.length - 1] = { from: last.from, to: span.to };
  }
  return all;
}
