import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { judgeStanding, LIQUIDS, liquidAt, liquidRange, lockedLiquidRise, STEEL_PIPE } from ".";

const pipe = { ...STEEL_PIPE, diameterToWall: 20 };
const rigid = { modulus: 1e20, expansion: 0, diameterToWall: 1 };

describe("locked liquid", () => {
  it("of water at 20 °C in a rigid shell rises β/κ: 2.068e-4 / 4.589e-10 = 4.5 bar a K (Kell 1975)", () => {
    expect(lockedLiquidRise(liquidAt("water", 20), rigid) / 1e5).toBeCloseTo(4.506, 2);
  });

  it("by hand in steel pipe: (2.068e-4 − 3.6e-5) / (4.589e-10 + 0.95 · 20 / 200e9) = 3.08 bar a K", () => {
    expect(lockedLiquidRise(liquidAt("water", 20), pipe) / 1e5).toBeCloseTo(3.083, 2);
  });

  it("is nothing for water near its greatest density: the pipe swells more", () => {
    expect(lockedLiquidRise(liquidAt("water", 5), pipe)).toBe(0);
  });

  it("is several times worse for refrigerants than for cold water", () => {
    const water = lockedLiquidRise(liquidAt("water", 15), pipe);
    expect(lockedLiquidRise(liquidAt("ammonia", 0), pipe)).toBeGreaterThan(5 * water);
    expect(lockedLiquidRise(liquidAt("co2", -20), pipe)).toBeGreaterThan(2 * water);
  });

  it("is less in a pipe that gives more", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...LIQUIDS),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (liquid, share) => {
          const { least, most } = liquidRange(liquid);
          const state = liquidAt(liquid, least + share * (most - least));
          const stiff = lockedLiquidRise(state, { ...pipe, diameterToWall: 10 });
          expect(lockedLiquidRise(state, { ...pipe, diameterToWall: 40 })).toBeLessThanOrEqual(stiff);
          expect(stiff).toBeLessThanOrEqual(lockedLiquidRise(state, rigid) + 1);
        },
      ),
    );
  });
});

describe("a standing test", () => {
  const BAR = 1e5;
  const air = 101_325;
  const at = (minutes: number, bar: number, celsius?: number) => ({
    seconds: minutes * 60,
    gauge: bar * BAR,
    ...(celsius !== undefined && { kelvin: celsius + 273.15 }),
  });
  const judge = (...readings: ReturnType<typeof at>[]) => judgeStanding(readings, 0.02 * BAR, air);

  it("holds when nothing rose", () => {
    expect(judge(at(0, 0), at(60, 0.01)).kind).toBe("holds");
  });

  it("by hand: from 0 bar g, −10 to 10 °C takes 1.01325 bar · 20 / 263.15 = 0.077 bar by warming alone", () => {
    expect(judge(at(0, 0, -10), at(60, 0.077, 10))).toMatchObject({ kind: "only-warming" });
    expect(judge(at(0, 0, -10), at(60, 0.077, 10)).corrected / BAR).toBeCloseTo(0, 3);
    expect(judge(at(0, 0), at(60, 0.077)).kind).toBe("let-in");
  });

  it("finds what is let in though the section cools", () => {
    expect(judge(at(0, 0, 20), at(60, 0, 5)).kind).toBe("let-in");
  });

  it("tells a residue, which levels off, from a valve that passes, which goes on", () => {
    expect(judge(at(0, 0), at(20, 0.3), at(40, 0.4), at(60, 0.42)).kind).toBe("residue");
    const passing = judge(at(0, 0), at(20, 0.2), at(40, 0.4), at(60, 0.6));
    expect(passing.kind).toBe("let-in");
    expect(passing.perHour / BAR).toBeCloseTo(0.6, 9);
  });

  it("any series that follows p₂ = p₁·T₂/T₁ is only warming or holds", () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 230, max: 330, noNaN: true }), { minLength: 2, maxLength: 6 }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        (temperatures, start) => {
          const first = start * BAR + air;
          const readings = temperatures.map((kelvin, i) => ({
            seconds: i * 600,
            gauge: (first * kelvin) / temperatures[0]! - air,
            kelvin,
          }));
          expect(["holds", "only-warming"]).toContain(judgeStanding(readings, 100, air).kind);
        },
      ),
    );
  });
});
