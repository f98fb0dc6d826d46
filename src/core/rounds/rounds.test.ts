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
  seasonWithin,
  shortages,
  worstCourse,
} from ".";
import { beforeSeasonEnds } from "./season";

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

  it("rings on a date that is set from outside, and says so", () => {
    const valve = { tag: "X", name: "x", place: "y", sheet: sheet.id, serviced: "2027-01-10T00:00:00Z" };
    const [first] = dues({ ...valve, set: { "2027-04-01": "Insurer's test" } }, sheet, NOW);
    expect(first).toEqual({
      at: Date.UTC(2027, 3, 1),
      interval: "set:2027-04-01",
      what: "Insurer's test",
      set: true,
    });
  });

  it("rings before its season ends, and where it is due within it on its day", () => {
    const valve = { tag: "X", name: "x", place: "y", sheet: sheet.id };
    const rings = (serviced: string, from: string, to: string) => {
      const season = { from, to, why: "Frost" };
      const inSeason = { ...sheet, intervals: [{ ...sheet.intervals[0]!, season }] };
      const [due] = dues({ ...valve, serviced }, inSeason, NOW);
      return [new Date(due!.at).toISOString().slice(0, 10), due!.season !== undefined];
    };
    expect(rings("2026-12-20T00:00:00Z", "03-01", "11-15")).toEqual(["2027-11-15", true]);
    expect(rings("2027-01-20T00:00:00Z", "03-01", "11-15")).toEqual(["2027-11-15", true]);
    expect(rings("2026-06-20T00:00:00Z", "03-01", "11-15")).toEqual(["2027-06-20", false]);
    // Over the new year.
    expect(rings("2026-12-20T00:00:00Z", "10-01", "04-30")).toEqual(["2027-12-20", false]);
    expect(rings("2026-07-20T00:00:00Z", "10-01", "04-30")).toEqual(["2027-04-30", true]);
  });

  it("never rings out of season, and never later than its date", () => {
    const monthDay = fc
      .tuple(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 31 }))
      .map(([month, day]) => `${String(month).padStart(2, "0")}-${String(day).padStart(2, "0")}`);
    const YEAR = 365 * DAY;
    fc.assert(
      fc.property(monthDay, monthDay, fc.integer({ min: 0, max: 10 * YEAR }), (from, to, off) => {
        const season = { from, to, why: "Frost" };
        const due = NOW + off;
        const at = beforeSeasonEnds(season, due);
        expect(at).toBeLessThanOrEqual(due);
        expect(due - at).toBeLessThanOrEqual(YEAR + DAY);
        expect(seasonWithin(season, at, at + 1)).toHaveLength(1);
      }),
    );
  });

  it("counts from the last service, or from when it was built in, and says from which", () => {
    const valve = { tag: "X", name: "x", place: "y", sheet: sheet.id };
    const built = "2024-02-29T00:00:00Z";
    const [yearly] = sheet.intervals.filter(({ id }) => id === "yearly");
    const found = (more: object) =>
      dues({ ...valve, ...more }, sheet, NOW).find(({ interval }) => interval === "yearly")!;
    expect(found({ installed: built })).toEqual({
      at: Date.UTC(2025, 1, 28),
      interval: "yearly",
      what: yearly!.what,
      counted: { from: "installation", months: 12, source: yearly!.source },
    });
    expect(found({ installed: built, serviced: "2026-06-01T00:00:00Z" })).toMatchObject({
      at: Date.UTC(2027, 5, 1),
      counted: { from: "service", months: 12 },
    });
    expect(found({}).counted).toBeUndefined();
  });

  it("puts the earliest first, in whatever order the sheet names them", () => {
    const valve = { tag: "X", name: "x", place: "y", sheet: sheet.id, serviced: "2026-01-01T00:00:00Z" };
    const turned = { ...sheet, intervals: [...sheet.intervals].reverse() };
    expect(dues(valve, turned, 0)).toEqual(dues(valve, sheet, 0));
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
    // Seven and a half hours, nine, and none.
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

  it("gives none to what rings later, though there is room", () => {
    expect(dueList(ringing, NOW, 9)).toEqual({ now: ringing.slice(0, 3), later: ringing.slice(3) });
    expect(dueList(ringing, NOW - 3 * DAY, 9).now).toEqual([]);
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

  it("of one kind grows with the valves, of a part by its pieces, and names it", () => {
    const none: Store = { ...store, id: "none", stock: [] };
    const [one, three] = [shortages(due(1), [none]), shortages(due(3), [none])];
    expect(one.length).toBeGreaterThan(3);
    for (const lack of one) {
      const part = sheet.parts.find(({ id }) => id === lack.id)!;
      expect(lack).toMatchObject({ name: part.name, need: part.quantity });
      expect(three.find(({ id }) => id === lack.id)?.need).toBe(3 * part.quantity);
    }
  });

  it("is no part that lasts, and no kit that is just enough", () => {
    const none: Store = { ...store, id: "none", stock: [] };
    const worn = sheet.parts.filter((part) => part.soft || part.oneUse !== undefined).map(({ id }) => id);
    expect(shortages(due(1), [none]).every(({ id }) => worn.includes(id))).toBe(true);
    const [kit] = shortages(due(9), [store]).filter(({ item }) => item === "kit");
    expect(kit!.have).toBeGreaterThan(0);
    const enough = shortages(due(kit!.have), [store]);
    expect(enough.filter(({ id }) => id === kit!.id)).toEqual([]);
  });

  it("is told apart by generation, and the largest lack stands first", () => {
    const none: Store = { ...store, id: "none", stock: [] };
    const mixed = shortages([...due(1), ...due(9, "no such generation")], [store, none]);
    const lack = mixed.map(({ need, have }) => need - have);
    expect(lack).toEqual([...lack].sort((a, b) => b - a));
    expect(shortages(due(1, "no such generation"), [none])).toEqual(shortages(due(1), [none]));
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

  const daysTo = (course: ReturnType<typeof worstCourse>) => (course!.meets!.likely! - NOW) / DAY;

  it("meets its limit where the straight line does", () => {
    // From 10 to 8 in a hundred days: 5 is met 150 days on.
    const course = worstCourse([reading(-100, 10), reading(-50, 9), reading(0, 8)], banded(5, undefined));
    expect(course).toMatchObject({ values: [10, 9, 8], low: 5 });
    expect(daysTo(course)).toBeCloseTo(150, 1);
  });

  it("is out of its band since that was read, and on no way to it when it stands still or rises from it", () => {
    expect(worstCourse([reading(-100, 6), reading(0, 4)], banded(5, undefined))?.outside).toBe(NOW);
    const three = (...values: readonly number[]) =>
      worstCourse(
        values.map((si, index) => reading(index * 50 - 100, si)),
        banded(5, undefined),
      );
    expect(three(8, 8, 8)?.meets).toBeUndefined();
    expect(three(7, 7.5, 8)?.meets).toBeUndefined();
  });

  it("meets the upper limit as well, and takes readings in any order", () => {
    const course = worstCourse([reading(0, 8), reading(-100, 6), reading(-50, 7)], banded(5, 10));
    expect(daysTo(course)).toBeCloseTo(100, 1);
    expect(course!.values).toEqual([6, 7, 8]);
  });

  it("is none without readings of what the test measures, and has no line with one", () => {
    expect(worstCourse([], sheet)).toBeUndefined();
    expect(worstCourse([{ what: "something-else", at: NOW, si: 1 }], sheet)).toBeUndefined();
    expect(worstCourse([reading(0, 8)], banded(5, undefined))).toMatchObject({ values: [8] });
  });

  it("lies on the edge of its band as long as it does not leave it", () => {
    expect(worstCourse([reading(0, 5)], banded(5, 10))?.outside).toBeUndefined();
    expect(worstCourse([reading(0, 10)], banded(5, 10))?.outside).toBeUndefined();
    expect(worstCourse([reading(-3, 11)], banded(5, 10))?.outside).toBe(NOW - 3 * DAY);
    expect(worstCourse([reading(0, 11)], banded(undefined, 10))).toEqual({
      what: first.what,
      values: [11],
      high: 10,
      outside: NOW,
      doubts: [],
    });
    expect(worstCourse([reading(0, 9)], banded(undefined, undefined))).toEqual({
      what: first.what,
      values: [9],
      doubts: [],
    });
  });

  it("is only of a test, in a unit that is known", () => {
    const as = (change: object): Sheet => ({
      ...sheet,
      checks: [{ ...banded(5, 10).checks.find(({ id }) => id === first.id)!, ...change } as typeof first],
    });
    expect(worstCourse([reading(0, 9)], as({}))).toBeDefined();
    expect(worstCourse([reading(0, 9)], as({ phase: "inspect" }))).toBeUndefined();
    expect(worstCourse([reading(0, 9)], as({ unit: "furlong" }))).toBeUndefined();
  });

  describe("of several", () => {
    const both = (second: { low?: number; high?: number }): Sheet => {
      const one = banded(5, 10).checks.find(({ id }) => id === first.id) as typeof first;
      const { low: _low, high: _high, ...rest } = one;
      return { ...sheet, checks: [one, { ...rest, id: "second", what: "second", ...second }] };
    };
    const of = (what: string, days: number, si: number): DatedReading => ({ what, at: NOW + days * DAY, si });

    it("is the one that meets its limit soonest", () => {
      const slow = [of(first.what, -100, 8), of(first.what, -50, 7.5), of(first.what, 0, 7)];
      const fast = [of("second", -100, 8), of("second", -50, 7), of("second", 0, 6)];
      expect(worstCourse([...slow, ...fast], both({ low: 5 }))?.what).toBe("second");
      expect(worstCourse([...slow, of("second", 0, 8)], both({ low: 5 }))?.what).toBe(first.what);
    });

    it.each([
      [{ low: 6 }, 6.1],
      [{ high: 8 }, 7.9],
      [{ low: 6, high: 20 }, 6.1],
      [{ low: -20, high: 8 }, 7.9],
    ])("where none is on its way, is the nearest to a limit: %j", (band, si) => {
      // 2 of 5 away from its lower limit, 3 of 10 from its upper.
      const steady = [of(first.what, -100, 7), of(first.what, 0, 7)];
      expect(worstCourse([...steady, of("second", 0, si)], both(band))?.what).toBe("second");
    });

    it.each([
      [{ low: 2 }, 5],
      [{ high: 20 }, 10],
      [{}, 7],
      [{ low: 0, high: 0.5 }, 0.5 - 0.2],
    ])("is not the one that lies farther from it: %j", (band, si) => {
      const steady = [of(first.what, -100, 9.5), of(first.what, 0, 9.5)];
      expect(worstCourse([...steady, of("second", 0, si)], both(band))?.what).toBe(first.what);
    });

    it("measures the way to a limit of nothing as it is", () => {
      const steady = [of(first.what, -100, 7), of(first.what, 0, 7)];
      expect(worstCourse([...steady, of("second", 0, 0.01)], both({ low: 0 }))?.what).toBe("second");
      expect(worstCourse([...steady, of("second", 0, -0.01)], both({ high: 0 }))?.what).toBe("second");
    });

    it("counts the edge that is met first", () => {
      const rising = [of(first.what, -100, 6), of(first.what, -50, 7), of(first.what, 0, 8)];
      expect(daysTo(worstCourse(rising, both({})))).toBeCloseTo(100, 1);
    });
  });

  it("never lies before the newest reading", () => {
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
          );
          const newest = NOW + Math.max(...pairs.map(([days]) => days)) * DAY;
          expect(course?.meets?.early ?? newest).toBeGreaterThanOrEqual(newest);
        },
      ),
    );
  });
});
