import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { failureChance, meanLife, meets, trendOf } from ".";

describe("Weibull life", () => {
  it("of shape one forgets its age", () => {
    expect(failureChance(1, 10, 0, 2)).toBeCloseTo(1 - Math.exp(-0.2), 12);
    expect(failureChance(1, 10, 25, 2)).toBeCloseTo(failureChance(1, 10, 0, 2), 12);
  });

  it("agrees with the share of a drawn crowd that dies in between", () => {
    // Lives at evenly spaced quantiles: the same as a very large crowd, without chance.
    const [shape, life, age, horizon] = [2.5, 9, 5, 2];
    const lives = Array.from(
      { length: 100_000 },
      (_, i) => life * (-Math.log(1 - (i + 0.5) / 100_000)) ** (1 / shape),
    );
    const alive = lives.filter((each) => each > age);
    const died = alive.filter((each) => each <= age + horizon);
    expect(failureChance(shape, life, age, horizon)).toBeCloseTo(died.length / alive.length, 4);
    expect(meanLife(shape, life)).toBeCloseTo(lives.reduce((sum, each) => sum + each, 0) / lives.length, 2);
  });

  it("grows with age when the shape is above one, and is a chance", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1.1, max: 4, noNaN: true }),
        fc.double({ min: 0, max: 30, noNaN: true }),
        (shape, age) => {
          const [now, later] = [failureChance(shape, 10, age, 2), failureChance(shape, 10, age + 1, 2)];
          expect(later).toBeGreaterThanOrEqual(now);
          expect(now).toBeGreaterThanOrEqual(0);
          expect(later).toBeLessThanOrEqual(1);
        },
      ),
    );
  });
});

describe("trend", () => {
  it("of points on a line is the line, and meets a limit where the line does", () => {
    fc.assert(
      fc.property(fc.integer({ min: -50, max: 50 }), fc.integer({ min: -50, max: 50 }), (slope, start) => {
        const trend = trendOf([0, 3, 7, 10].map((time) => ({ time, value: start + slope * time })))!;
        expect(trend.slope).toBeCloseTo(slope, 9);
        expect(trend.slopeError).toBeCloseTo(0, 6);
        if (slope !== 0) expect(meets(trend, start + slope * 20)).toBeCloseTo(20, 6);
      }),
    );
  });

  it("agrees with a worked least-squares example: (1, 2), (2, 3), (3, 5): slope 1.5, error 0.2887", () => {
    const trend = trendOf([
      { time: 1, value: 2 },
      { time: 2, value: 3 },
      { time: 3, value: 5 },
    ])!;
    expect(trend.slope).toBeCloseTo(1.5, 12);
    expect(trend.slopeError).toBeCloseTo(Math.sqrt(1 / 6 / 2), 9);
  });

  it("is none with one day, and never meets a limit it runs away from", () => {
    expect(
      trendOf([
        { time: 1, value: 2 },
        { time: 1, value: 3 },
      ]),
    ).toBeUndefined();
    const rising = trendOf([
      { time: 0, value: 5 },
      { time: 1, value: 6 },
    ])!;
    expect(meets(rising, 2)).toBeUndefined();
  });
});
