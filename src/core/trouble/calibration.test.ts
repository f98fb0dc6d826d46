import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { seeded } from "../seeded";
import { calibration } from "./calibration";

describe("calibration", () => {
  it("is nothing without cases", () => {
    expect(calibration([])).toEqual({ bands: [], cases: 0, likeliest: 0, brier: 0 });
  });

  it("is worked out by hand", () => {
    const odds = { cock: 0.7, coil: 0.3 };
    const { bands, cases, likeliest, brier } = calibration([
      { odds, found: "cock" },
      { odds, found: "cock" },
      { odds, found: "coil" },
    ]);
    expect([cases, likeliest]).toEqual([3, 2]);
    expect(bands).toMatchObject([
      { from: 0.2, to: 0.4, given: 3, said: expect.closeTo(0.3), was: expect.closeTo(1 / 3) },
      { from: 0.6, to: 0.8, given: 3, said: expect.closeTo(0.7), was: expect.closeTo(2 / 3) },
    ]);
    // Twice 2 · 0.3², once 2 · 0.7².
    expect(brier).toBeCloseTo((4 * 0.09 + 2 * 0.49) / 3);
  });

  it("has Wilson's published interval: 2 of 3 lies between 0.208 and 0.939", () => {
    const odds = { cock: 0.7 };
    const [band] = calibration(["cock", "cock", "other"].map((found) => ({ odds, found }))).bands;
    expect(band!.low).toBeCloseTo(0.2077, 3);
    expect(band!.high).toBeCloseTo(0.9385, 3);
  });

  it("finds odds right that are drawn by their own chances, and too sure ones wrong", () => {
    const random = seeded(5);
    const drawn = Array.from({ length: 3000 }, () => {
      const chance = random();
      return { odds: { cock: chance, coil: 1 - chance }, found: random() < chance ? "cock" : "coil" };
    });
    for (const { said, low, high, given } of calibration(drawn).bands)
      if (given > 100) {
        expect(said).toBeGreaterThan(low - 0.02);
        expect(said).toBeLessThan(high + 0.02);
      }
    const tooSure = drawn.map(({ odds, found }) => {
      const cock = odds.cock > 0.5 ? 0.97 : 0.03;
      return { odds: { cock, coil: 1 - cock }, found };
    });
    expect(calibration(tooSure).bands.some(({ said, high }) => said > high)).toBe(true);
  });

  it("counts every chance once, and no share leaves its interval", () => {
    const odds = fc.dictionary(fc.constantFrom("a", "b", "c"), fc.double({ min: 0, max: 1, noNaN: true }));
    fc.assert(
      fc.property(
        fc.array(fc.record({ odds, found: fc.constantFrom("a", "b", "c", "d") }), { maxLength: 20 }),
        (cases) => {
          const { bands } = calibration(cases);
          const all = cases.reduce((sum, each) => sum + Object.keys(each.odds).length, 0);
          expect(bands.reduce((sum, { given }) => sum + given, 0)).toBe(all);
          for (const { was, low, high } of bands) {
            expect(was).toBeGreaterThanOrEqual(low - 1e-12);
            expect(was).toBeLessThanOrEqual(high + 1e-12);
          }
        },
      ),
    );
  });
});
