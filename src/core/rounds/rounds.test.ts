import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Sheet, Store } from "../formats";
import { demoDocument, librarySheet } from "../job/job.fixtures";
import {
  addMonths,
  CREW_HOURS,
  type DatedReading,
  dueList,
  dues,
  endsOfDays,
  hoursByDay,
  shortages,
  worstCourse,
} from ".";

const sheet = librarySheet("brae-quaywall-4");
const store = demoDocument<Store>("stores/works-store.json");
const DAY = 86_400_000;
const NOW = Date.UTC(2027, 2, 1);

describe("the calendar", () => {
  it("keeps the day of the month, or the last one there is", () => {
    expect(new Date(addMonths(Date.UTC(2026, 0, 31), 1)).toISOString()).toBe("2026-02-28T00:00:00.000Z");
    expect(new Date(addMonths(Date.UTC(2026, 4, 15, 9), 12)).toISOString()).toBe("2027-05-15T09:00:00.000Z");
  });

  it("never runs backwards", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 4e12 }),
        fc.integer({ min: 1, max: 240 }),
        (from, months) => addMonths(from, months) > from,
      ),
    );
  });

  it("rings a valve without a history at once, and the earliest interval first", () => {
    const valve = { tag: "X", name: "x", place: "y", sheet: sheet.id };
    expect(dues(valve, sheet, 1000)[0]?.at).toBe(1000);
    const served = dues({ ...valve, serviced: "2026-01-01T00:00:00Z" }, sheet, 0);
    expect(served.map((due) => due.interval)).toEqual(["yearly", "disc"]);
  });
});

describe("hours of the fortnight", () => {
  it("are an hour and a half for each valve, what is late today", () => {
    // Two were due by yesterday, one more today, three the day after.
    const dueBy = [2, 3, 6, ...Array.from({ length: 12 }, () => 6)];
    const days = hoursByDay(NOW, dueBy);
    expect(days.map(({ hours }) => hours).slice(0, 4)).toEqual([4.5, 4.5, 0, 0]);
    expect(days.map(({ at }) => at)).toEqual(Array.from({ length: 14 }, (_, day) => NOW + day * DAY));
  });

  it("are too many for one crew above its day", () => {
    const dueBy = [0, 5, 11, ...Array.from({ length: 12 }, () => 11)];
    expect(
      hoursByDay(NOW, dueBy)
        .map(({ over }) => over)
        .slice(0, 3),
    ).toEqual([false, true, false]);
    expect(CREW_HOURS).toBe(8);
  });

  it("count every valve that is due by the last day once", () => {
    fc.assert(
      fc.property(fc.array(fc.nat({ max: 40 }), { minLength: 15, maxLength: 15 }), (counts) => {
        let sum = 0;
        const dueBy = counts.map((count) => (sum += count));
        const hours = hoursByDay(NOW, dueBy).reduce((total, day) => total + day.hours, 0);
        expect(hours).toBeCloseTo(sum * 1.5, 9);
      }),
    );
  });

  it("end a moment before each midnight", () => {
    const ends = endsOfDays(NOW);
    expect(ends).toHaveLength(15);
    expect(ends[0]).toBe(NOW - 1);
    expect(ends[14]).toBe(NOW + 14 * DAY - 1);
  });
});

describe("the due list", () => {
  const ringing = [-2, -1, 0, 5].map((days) => ({ bell: { at: NOW + days * DAY } }));
  it("gives a card to what is due by now, as far as there is room, and lists the rest", () => {
    expect(dueList(ringing, NOW, 3)).toEqual({ now: ringing.slice(0, 3), later: ringing.slice(3) });
    expect(dueList(ringing, NOW, 1)).toEqual({ now: ringing.slice(0, 1), later: ringing.slice(1) });
    expect(dueList(ringing, NOW, -2)).toEqual({ now: [], later: ringing });
  });
});

describe("what the due work may lack", () => {
  const due = (count: number, generation = "C") => [{ sheet, generation, count }];

  it("is nothing when each is there as often as it may be needed", () => {
    expect(shortages(due(1), [store]).filter(({ item }) => item === "kit")).toEqual([]);
    expect(shortages([], [store])).toEqual([]);
  });

  it("is a kit that lies there less often than valves are due, counted in all stores", () => {
    const [kit] = shortages(due(9), [store]).filter(({ item }) => item === "kit");
    expect(kit).toMatchObject({ need: 9 });
    const second: Store = { ...store, id: "second" };
    const [both] = shortages(due(9), [store, second]).filter(({ item }) => item === "kit");
    expect(both?.have).toBe(2 * kit!.have);
  });

  it("is a part that no place has, with the valve it is for; the largest lack first", () => {
    const none: Store = { ...store, id: "none", stock: [] };
    const lacks = shortages(due(2), [none]);
    expect(lacks.length).toBeGreaterThan(3);
    expect(lacks.every(({ item, have }) => item === "part" && have === 0)).toBe(true);
    expect(lacks[0]).toMatchObject({ sheet: sheet.title });
    expect(lacks.map(({ need }) => need)).toEqual(lacks.map(({ need }) => need).sort((a, b) => b - a));
  });

  it("of two kinds adds up", () => {
    const once = shortages([...due(5), ...due(4)], [store]);
    expect(once).toEqual(shortages(due(9), [store]));
  });
});

describe("the course that is looked at first", () => {
  const measured = sheet.checks.filter((each) => each.kind === "measure" && each.phase === "test");
  const [first] = measured;
  if (first?.kind !== "measure") throw new Error("the sheet measures nothing at its test");
  const reading = (days: number, si: number): DatedReading => ({
    what: first.what,
    at: NOW + days * DAY,
    si,
  });
  const banded = (low: number | undefined, high: number | undefined): Sheet => ({
    ...sheet,
    checks: sheet.checks.map((each) => {
      if (each !== first) return each;
      const { low: _low, high: _high, ...rest } = first;
      return {
        ...rest,
        dimension: "number",
        unit: "",
        ...(low !== undefined && { low }),
        ...(high !== undefined && { high }),
      } as typeof first;
    }),
  });

  it("meets its limit where the straight line does", () => {
    // From 10 to 8 in a hundred days: 5 is met 150 days on.
    const course = worstCourse([reading(-100, 10), reading(0, 8)], banded(5, undefined), NOW);
    expect(course).toMatchObject({ values: [10, 8], low: 5 });
    expect((course!.meets! - NOW) / DAY).toBeCloseTo(150, 6);
  });

  it("is out of its band now, and on no way to it when it stands still or rises from it", () => {
    expect(worstCourse([reading(-100, 6), reading(0, 4)], banded(5, undefined), NOW)?.meets).toBe(NOW);
    expect(worstCourse([reading(-100, 8), reading(0, 8)], banded(5, undefined), NOW)?.meets).toBeUndefined();
    expect(worstCourse([reading(-100, 7), reading(0, 8)], banded(5, undefined), NOW)?.meets).toBeUndefined();
  });

  it("meets the upper limit as well, and takes readings in any order", () => {
    const course = worstCourse([reading(0, 8), reading(-100, 6)], banded(5, 10), NOW);
    expect((course!.meets! - NOW) / DAY).toBeCloseTo(100, 6);
    expect(course!.values).toEqual([6, 8]);
  });

  it("is none without readings of what the test measures, and has no line with one", () => {
    expect(worstCourse([], sheet, NOW)).toBeUndefined();
    expect(worstCourse([{ what: "something-else", at: NOW, si: 1 }], sheet, NOW)).toBeUndefined();
    expect(worstCourse([reading(0, 8)], banded(5, undefined), NOW)).toMatchObject({ values: [8] });
  });

  it("never lies in the past", () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: -900, max: 0 }), fc.double({ min: 0, max: 20, noNaN: true })), {
          minLength: 1,
          maxLength: 6,
        }),
        (pairs) => {
          const course = worstCourse(
            pairs.map(([days, si]) => reading(days, si)),
            banded(5, 15),
            NOW,
          );
          expect(course?.meets ?? NOW).toBeGreaterThanOrEqual(NOW);
        },
      ),
    );
  });
});
