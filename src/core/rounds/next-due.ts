import type { Sheet, Valve } from "../formats";

export interface Due {
  readonly at: number; // ms since the epoch
  readonly interval: string;
  readonly what: string;
  /** What it is counted from, and who says so; nothing when neither service nor installation is on record. */
  readonly counted?: {
    readonly from: "service" | "installation";
    readonly months: number;
    readonly source: string;
  };
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

/**
 * When this valve rings by the calendar: each interval of its sheet counted from the last service, or from when it
 * was installed; a valve of which neither is known is due at once.
 */
export function dues(valve: Valve, sheet: Sheet, now: number): Due[] {
  const since = valve.serviced ?? valve.installed;
  return sheet.intervals
    .map((interval): Due => {
      const at = since === undefined ? now : addMonths(Date.parse(since), interval.every_months);
      return {
        at,
        interval: interval.id,
        what: interval.what,
        ...(since !== undefined && {
          counted: {
            from: valve.serviced === undefined ? "installation" : "service",
            months: interval.every_months,
            source: interval.source,
          },
        }),
      };
    })
    .sort((a, b) => a.at - b.at);
}
