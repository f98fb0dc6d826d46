import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Force, Length, Torque } from "../quantity";
import {
  crossingOrder,
  metricStressArea,
  tighteningTorque,
  torqueInCondition,
  unifiedStressArea,
  wrenchSetting,
} from ".";

const gapAround = (a: number, b: number, count: number) =>
  Math.min((a - b + count) % count, (b - a + count) % count);

describe("the crossing pattern", () => {
  it.each([
    [4, [0, 2, 1, 3]],
    [5, [0, 2, 4, 1, 3]],
    [6, [0, 3, 1, 4, 2, 5]],
    [8, [0, 4, 2, 6, 1, 5, 3, 7]],
    [12, [0, 6, 3, 9, 1, 7, 4, 10, 2, 8, 5, 11]],
    // The legacy table of ASME PCC-1 for 16: 1 9 5 13 · 3 11 7 15 · 2 10 6 14 · 4 12 8 16.
    [16, [0, 8, 4, 12, 2, 10, 6, 14, 1, 9, 5, 13, 3, 11, 7, 15]],
  ])("of %i bolts", (count, order) => {
    expect(crossingOrder(count)).toEqual(order);
  });

  it("pulls every bolt once and never two neighbours in turn, from 5 bolts up", () => {
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 64 }), (count) => {
        const order = crossingOrder(count);
        expect([...order].sort((a, b) => a - b)).toEqual(Array.from({ length: count }, (_, index) => index));
        for (let turn = 1; turn < count; turn++)
          expect(
            gapAround(order[turn]!, order[turn - 1]!, count),
            `bolt ${turn} of ${count}`,
          ).toBeGreaterThan(1);
      }),
    );
  });

  it("is a matter of three bolts or more", () => {
    expect(() => crossingOrder(2)).toThrow();
  });
});

describe("torque", () => {
  it("follows T = K·F·d", () => {
    // Shigley, dry K 0.2: 30 kN on M10 takes 0.2 · 30 000 · 0.010 = 60 N·m.
    expect(tighteningTorque(0.2, 30_000 as Force, 0.01 as Length)).toBeCloseTo(60, 9);
  });

  it("takes stress areas from the standards' tables", () => {
    expect(metricStressArea(0.016 as Length, 0.002 as Length) * 1e6).toBeCloseTo(156.7, 0); // ISO 898-1: M16 157 mm²
    expect(unifiedStressArea(0.0127 as Length, (0.0254 / 13) as Length) / 0.0254 ** 2).toBeCloseTo(0.1419, 3); // ASME B1.1: 1/2-13
  });

  it("is lower on a slippery thread for the same preload", () => {
    expect(torqueInCondition(110 as Torque, "dry", "anti-seize")).toBeCloseTo(66, 9);
  });

  it("is set lower with an extension in line, and the same across", () => {
    expect(wrenchSetting(100 as Torque, 0.4 as Length, 0.1 as Length, 0)).toBeCloseTo(80, 9);
    expect(wrenchSetting(100 as Torque, 0.4 as Length, 0.1 as Length, Math.PI / 2)).toBeCloseTo(100, 9);
  });
});
