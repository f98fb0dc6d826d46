import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { chanceBeyond, driftOf, normalBelow, sistersOf, valueAt } from ".";

const line = (slope: number, noise: readonly number[] = [0.1, -0.1, -0.1, 0.1], from = 10) =>
  noise.map((off, year) => ({ time: year, value: from + slope * year + off }));

describe("the normal distribution", () => {
  it("has its published values", () => {
    for (const [z, below] of [
      [0, 0.5],
      [1, 0.841344746],
      [1.281551566, 0.9],
      [1.959963985, 0.975],
      [3, 0.998650102],
    ] as const) {
      expect(normalBelow(z)).toBeCloseTo(below, 6);
      expect(normalBelow(-z)).toBeCloseTo(1 - below, 6);
    }
  });
});

describe("what sisters teach", () => {
  it("is their mean slope and their scatter, and nothing from fewer than three", () => {
    const of = sistersOf([line(1), line(2), line(3)])!;
    expect(of.of).toBe(3);
    expect(of.slope).toBeCloseTo(2, 9);
    // Four residuals of 0.1 each on two free degrees, alike for all three.
    expect(of.noise).toBeCloseTo(Math.sqrt((3 * 4 * 0.01) / 6), 9);
    // Slopes scatter by 1; of that 0.02 / 5 is what the noise makes.
    expect(of.spread).toBeCloseTo(Math.sqrt(1 - 0.02 / 5), 9);
    expect(sistersOf([line(1), line(2)])).toBeUndefined();
    expect(sistersOf([line(1), line(2), [{ time: 0, value: 1 }]])).toBeUndefined();
  });

  it("pulls an own slope towards theirs, the more the less its own readings say", () => {
    const sisters = sistersOf([line(1), line(1.1), line(0.9), line(1)])!;
    const few = driftOf(line(3, [0.1, -0.1]), sisters)!;
    const many = driftOf(line(3, [0.1, -0.1, -0.1, 0.1, 0, 0, 0.1, -0.1]), sisters)!;
    expect(few.slope).toBeGreaterThan(sisters.slope);
    expect(few.slope).toBeLessThan(many.slope);
    expect(many.slope).toBeLessThan(3);
    expect(few.sisters).toBe(4);
  });

  it("one reading goes as its sisters do; with none nobody knows", () => {
    const sisters = sistersOf([line(1), line(2), line(3)])!;
    expect(driftOf([{ time: 0, value: 5 }], sisters)).toMatchObject({
      slope: expect.closeTo(2, 9),
      slopeError: expect.closeTo(sisters.spread, 9),
    });
    expect(driftOf([{ time: 0, value: 5 }], undefined)).toBeUndefined();
    expect(driftOf(line(1, [0, 0]), undefined)).toBeUndefined();
    expect(driftOf([], sisters)).toBeUndefined();
  });

  it("is between its own slope and theirs, and never less sure than either alone", () => {
    const noise = fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 3, maxLength: 8 });
    const slope = fc.double({ min: -5, max: 5, noNaN: true });
    fc.assert(
      fc.property(
        slope,
        noise,
        fc.array(fc.tuple(slope, noise), { minLength: 3, maxLength: 6 }),
        (own, off, others) => {
          const sisters = sistersOf(others.map(([each, with_]) => line(each, with_)));
          fc.pre(sisters !== undefined && sisters.spread > 1e-6 && sisters.noise > 1e-6);
          const readings = line(own, off);
          const alone = driftOf(readings, { ...sisters!, spread: Number.POSITIVE_INFINITY })!;
          const both = driftOf(readings, sisters)!;
          const [low, high] = [Math.min(alone.slope, sisters!.slope), Math.max(alone.slope, sisters!.slope)];
          expect(both.slope).toBeGreaterThanOrEqual(low - 1e-9);
          expect(both.slope).toBeLessThanOrEqual(high + 1e-9);
          expect(both.slopeError).toBeLessThanOrEqual(Math.min(alone.slopeError, sisters!.spread) + 1e-9);
        },
      ),
    );
  });
});

describe("the chance to be beyond a limit", () => {
  it("is one half where the line meets it, and the rest beyond the other side", () => {
    const drift = driftOf(line(1), undefined)!;
    const { value } = valueAt(drift, 6);
    expect(chanceBeyond(drift, value, "high", 6)).toBeCloseTo(0.5, 6);
    expect(chanceBeyond(drift, 15, "high", 6) + chanceBeyond(drift, 15, "low", 6)).toBeCloseTo(1, 9);
    expect(valueAt(drift, 20).error).toBeGreaterThan(valueAt(drift, 6).error);
  });
});
