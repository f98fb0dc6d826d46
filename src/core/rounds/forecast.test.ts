import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { seeded } from "../seeded";
import { sistersOf } from "../statistics";
import { doubts, forecast } from "./forecast";

const YEAR = 365.25 * 86_400_000;
const NOW = Date.parse("2027-03-01T00:00:00Z");
const at = (years: number, value: number) => ({ time: NOW + years * YEAR, value });
const years = (moment: number | undefined) => (moment! - NOW) / YEAR;
/** Rises by two a year, with a scatter of a tenth. */
const rising = [at(-4, 2.1), at(-3, 3.9), at(-2, 6), at(-1, 8.1), at(0, 9.9)];

describe("when a limit is met", () => {
  it("is where the line meets it, with an interval about it", () => {
    const meets = forecast(rising, { high: 14 }, undefined)!;
    expect(years(meets.likely)).toBeCloseTo(2.03, 1);
    expect(meets.early).toBeLessThan(meets.likely!);
    expect(meets.late).toBeGreaterThan(meets.likely!);
    expect(meets).toMatchObject({ side: "high", limit: 14, sisters: 0 });
  });

  it("is nothing where it goes away from the limit, stands still, scatters only, or is outside already", () => {
    expect(forecast(rising, { low: 0 }, undefined)).toBeUndefined();
    expect(forecast([at(-2, 5.1), at(-1, 4.9), at(0, 5)], { high: 6, low: 4 }, undefined)).toBeUndefined();
    expect(forecast(rising, { high: 9 }, undefined)).toBeUndefined();
    expect(forecast([at(-1, 5)], { high: 6 }, undefined)).toBeUndefined();
  });

  it("is nothing beyond what anybody plans", () => {
    expect(forecast(rising, { high: 1000 }, undefined)).toBeUndefined();
  });

  it("is told of a single reading by its sisters alone, and more surely than by two of its own", () => {
    const sisters = sistersOf(
      [1.8, 2, 2.2, 2].map((slope) =>
        [0, 1, 2, 3].map((time) => ({ time, value: slope * time + (time % 2) / 10 })),
      ),
    )!;
    const one = forecast([at(0, 10)], { high: 14 }, sisters)!;
    expect(one.sisters).toBe(4);
    expect(years(one.likely)).toBeCloseTo(2, 0);
  });

  it("changes nothing by the unit it is read in, nor by the order of the readings", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 1000, noNaN: true }), (unit) => {
        const other = [...rising].reverse().map(({ time, value }) => ({ time, value: value * unit }));
        const [one, two] = [
          forecast(rising, { high: 14 }, undefined)!,
          forecast(other, { high: 14 * unit }, undefined)!,
        ];
        for (const when of ["early", "likely", "late"] as const)
          expect(Math.abs(one[when]! - two[when]!)).toBeLessThan(86_400_000);
      }),
    );
  });

  it("holds: of many valves about one in ten has met it by the early date, half by the likely one", () => {
    const random = seeded(7);
    const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const valve = () => {
      const slope = 2 + 0.3 * normal();
      const start = 2 + normal();
      return {
        slope,
        start,
        readings: [-4, -3, -2, -1, 0].map((year) => at(year, start + slope * (year + 4) + 0.4 * normal())),
      };
    };
    const sisters = sistersOf(
      Array.from({ length: 40 }, () =>
        valve().readings.map(({ time, value }) => ({ time: (time - NOW) / YEAR, value })),
      ),
    )!;
    let [early, likely, late, all] = [0, 0, 0, 0];
    for (let count = 0; count < 600; count++) {
      const { slope, start, readings } = valve();
      const meets = forecast(readings, { high: 16 }, sisters);
      if (meets === undefined) continue;
      const truly = (16 - start) / slope - 4;
      all += 1;
      if (truly <= years(meets.early)) early += 1;
      if (truly <= years(meets.likely)) likely += 1;
      if (truly <= years(meets.late)) late += 1;
    }
    expect(all).toBeGreaterThan(550);
    expect(early / all).toBeGreaterThan(0.06);
    expect(early / all).toBeLessThan(0.15);
    expect(likely / all).toBeGreaterThan(0.44);
    expect(likely / all).toBeLessThan(0.56);
    expect(late / all).toBeGreaterThan(0.85);
    expect(late / all).toBeLessThan(0.94);
  });
});

describe("what does not fit the others", () => {
  it("is a newest reading far from what those before it say", () => {
    const [odd] = doubts([...rising, at(1, 4)], undefined);
    expect(odd).toMatchObject({ kind: "newest" });
    expect(odd?.kind === "newest" && odd.expected).toBeCloseTo(12, 0);
    expect(doubts([...rising, at(1, 12)], undefined)).toEqual([]);
  });

  it("is a course that no sister goes", () => {
    const sisters = sistersOf(
      [0.9, 1, 1.1, 1].map((slope) =>
        [0, 1, 2, 3].map((time) => ({ time, value: slope * time + (time % 2) / 10 })),
      ),
    )!;
    const steep = [0, 1, 2, 3, 4].map((year) => at(year, 5 * year + (year % 2) / 10));
    expect(doubts(steep, sisters).map(({ kind }) => kind)).toContain("unlike-sisters");
    const usual = [0, 1, 2, 3, 4].map((year) => at(year, year + (year % 2) / 10));
    expect(doubts(usual, sisters)).toEqual([]);
  });
});
