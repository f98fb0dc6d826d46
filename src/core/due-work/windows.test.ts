import { describe, expect, it } from "vitest";
import type { HouseDay } from "./crews-on";
import { windowsOf } from "./windows";

const MONDAY = Date.UTC(2026, 5, 1);
const DAY = 86_400_000;
const now = MONDAY + 9 * 3_600_000;
const until = MONDAY + 14 * DAY;
const NAMES = ["mon", "tue", "wed", "thu", "fri", "sat", "sun"] as const;
const days = Array.from(
  { length: 14 },
  (_, at): HouseDay => ({
    date: new Date(MONDAY + at * DAY).toISOString().slice(0, 10),
    weekday: NAMES[at % 7]!,
    at: (clock) =>
      Math.max(now, Date.parse(`${new Date(MONDAY + at * DAY).toISOString().slice(0, 10)}T${clock}:00Z`)),
  }),
);
const windows = (may: Partial<Parameters<typeof windowsOf>[0]>) =>
  windowsOf({ noticeDays: 0, ...may }, days, { now, until }).map(
    ({ from, to }) => `${from.slice(5, 16)} ${to.slice(5, 16)}`,
  );

describe("when work may be done", () => {
  it("is any time, or once those were told who want to know", () => {
    expect(windows({})).toEqual(["06-01T09:00 06-15T00:00"]);
    expect(windows({ noticeDays: 3 })).toEqual(["06-04T09:00 06-15T00:00"]);
  });

  it("is in the hours of its place, of today what is left of them, and on no day that has none", () => {
    expect(windows({ hours: { mon: "07:30-12:00", thu: "13:00-15:00" } })).toEqual([
      "06-01T09:00 06-01T12:00",
      "06-04T13:00 06-04T15:00",
      "06-08T07:30 06-08T12:00",
      "06-11T13:00 06-11T15:00",
    ]);
    expect(windows({ hours: { mon: "06:00-08:00" } })).toEqual(["06-08T06:00 06-08T08:00"]);
  });

  it("is within its season, and none of this plan where that is over", () => {
    expect(windows({ season: { from: "06-10", to: "09-30", why: "" } })).toEqual(["06-10T00:00 06-15T00:00"]);
    const [never] = windows({ season: { from: "10-01", to: "12-31", why: "" } });
    expect(never! >= "06-15T00:00").toBe(true);
    const [told] = windows({ noticeDays: 30 });
    expect(told! >= "06-15T00:00").toBe(true);
  });
});
