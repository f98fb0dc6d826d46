import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Area, Duration, Length, Volume } from "../quantity";
import {
  circleArea,
  contentUpTo,
  drainTime,
  GRAVITY,
  HEADS,
  pipeVolume,
  shareOfHeadLeft,
  vesselHeight,
  vesselVolume,
} from ".";

describe("running out", () => {
  it("agrees with stepping the level down in small times", () => {
    // A tank of 0.5 m² and 2 m head through 400 mm² with C = 0.62, by explicit steps of 10 ms.
    const [floor, opening, c] = [0.5, 4e-4, 0.62];
    let [level, seconds] = [2, 0];
    for (; level > 1e-6 && seconds < 1e5; seconds += 0.01)
      level -= ((c * opening * Math.sqrt(2 * GRAVITY * level)) / floor) * 0.01;
    const closed = drainTime((floor * 2) as Volume, 2 as Length, opening as Area, c);
    expect(closed).toBeCloseTo(seconds, -1);
    expect(Math.abs(closed - seconds) / closed).toBeLessThan(0.002);
  });

  it("takes longer for more, for a smaller hole, and for a lower head with the same content", () => {
    const positive = fc.double({ min: 0.01, max: 100, noNaN: true });
    fc.assert(
      fc.property(positive, positive, positive, (volume, head, opening) => {
        const time = (v: number, h: number, a: number) =>
          drainTime(v as Volume, h as Length, a as Area, 0.62);
        const base = time(volume, head, opening);
        expect(time(volume * 2, head, opening)).toBeCloseTo(base * 2, 6);
        expect(time(volume, head * 4, opening)).toBeCloseTo(base / 2, 6);
        expect(time(volume, head, opening * 2)).toBeCloseTo(base / 2, 6);
      }),
    );
  });

  it("leaves a quarter of the head at half the time, and nothing after the whole", () => {
    expect(shareOfHeadLeft(50 as Duration, 100 as Duration)).toBeCloseTo(0.25, 9);
    expect(shareOfHeadLeft(100 as Duration, 100 as Duration)).toBe(0);
    expect(shareOfHeadLeft(500 as Duration, 100 as Duration)).toBe(0);
  });
});

it("a 100 mm pipe holds 7.854 L a metre", () => {
  expect(circleArea(0.1 as Length)).toBeCloseTo(7.854e-3, 6);
  expect(pipeVolume(0.1 as Length, 10 as Length) * 1000).toBeCloseTo(78.54, 2);
});

describe("vessels", () => {
  const vessel = fc.record({
    radius: fc.double({ min: 0.05, max: 3, noNaN: true }),
    straight: fc.double({ min: 0.1, max: 10, noNaN: true }),
    head: fc.constantFrom(...HEADS),
  });

  it("hold up to their top what they hold, and half at half their height", () => {
    fc.assert(
      fc.property(vessel, fc.boolean(), (each, lying) => {
        const [whole, height] = [vesselVolume(each), vesselHeight(each, lying)];
        expect(contentUpTo(each, height, lying) / whole).toBeCloseTo(1, 9);
        expect(contentUpTo(each, height / 2, lying) / whole).toBeCloseTo(0.5, 9);
        expect(contentUpTo(each, 0, lying)).toBe(0);
      }),
    );
  });

  it("lying, hold what summing slices gives", () => {
    const each = { radius: 0.5, straight: 2, head: "elliptical" } as const;
    let sum = 0;
    const slices = 20_000;
    for (let slice = 0; slice < slices; slice++) {
      const z = 0.3 * ((slice + 0.5) / slices) - 0.5;
      const half = Math.sqrt(0.25 - z ** 2);
      // Of each slice a rectangle and an ellipse half as deep as it is wide.
      sum += (2 * half * each.straight + Math.PI * half * (half / 2)) * (0.3 / slices);
    }
    expect(contentUpTo(each, 0.3, true)).toBeCloseTo(sum, 6);
  });
});
