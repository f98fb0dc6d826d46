import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { librarySheet } from "../job/job.fixtures";
import { dues } from ".";
import { countedSince } from "./count";

const DAY = 86_400_000;
const START = Date.UTC(2026, 0, 1);
const reading = (day: number, si: number) => ({ what: "cycles", at: START + day * DAY, si });
const counts = { what: "cycles", every: 1000 };

describe("a counter", () => {
  it("counts from the act, evenly between two readings, and foresees when it is met", () => {
    const even = [0, 100, 200, 300].map((day) => reading(day, 5000 + 2 * day));
    const counted = countedSince(even, counts, START + 50 * DAY, undefined)!;
    expect(counted.done).toBeCloseTo(500, 6);
    // Two a day: 1000 after the 50th day is day 550.
    expect((counted.meets!.likely! - START) / DAY).toBeCloseTo(550, 0);
    expect(counted.meets!.early).toBeLessThanOrEqual(counted.meets!.likely!);
  });

  it("goes on where a new counter began at nought", () => {
    const counted = countedSince(
      [reading(0, 900), reading(10, 950), reading(20, 30), reading(30, 80)],
      counts,
      START,
      undefined,
    )!;
    expect(counted.done).toBe(50 + 30 + 50);
  });

  it("is none without readings of its name, and foresees nothing from one", () => {
    expect(countedSince([{ ...reading(0, 5), what: "litres" }], counts, START, undefined)).toBeUndefined();
    expect(countedSince([reading(0, 5)], counts, START, undefined)).toMatchObject({ done: 0 });
    expect(countedSince([reading(0, 5)], counts, START, undefined)!.meets).toBeUndefined();
  });

  it("never counts less for a later reading, whatever counters were changed", () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 5000 }), { minLength: 2, maxLength: 12 }), (values) => {
        const readings = values.map((si, at) => reading(at * 10, si));
        const done = readings.map(
          (_, at) => countedSince(readings.slice(0, at + 1), counts, undefined, undefined)!.done,
        );
        for (const [at, each] of done.entries()) expect(each).toBeGreaterThanOrEqual(done[at - 1] ?? 0);
      }),
    );
  });
});

describe("an interval that has a counter, too", () => {
  const sheet = librarySheet("ottermouth-brook-20");
  const valve = {
    tag: "X",
    name: "x",
    place: "y",
    sheet: sheet.id,
    installed: "2020-01-01",
    last: { stack: "2026-01-01" },
  };
  const stack = (readings: Parameters<typeof countedSince>[0]) =>
    dues(valve, sheet, START, { readings }).find(({ interval }) => interval === "stack")!;
  const own = (day: number, si: number) => ({ ...reading(day, si), what: "regenerations" });

  it("rings by whichever is first", () => {
    const slow = stack([own(0, 0), own(100, 2), own(200, 4)]);
    expect(slow).toMatchObject({ at: Date.UTC(2031, 0, 1), counted: { months: 60 } });
    const quick = stack([own(0, 0), own(100, 100), own(200, 200)]);
    expect(quick.count).toMatchObject({ every: 300, done: 200 });
    expect((quick.at - START) / DAY).toBeLessThan(302);
  });

  it("has rung since the reading that met it", () => {
    expect(stack([own(0, 0), own(100, 360)])).toMatchObject({ at: START + 100 * DAY, count: { done: 360 } });
  });
});
