import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Force, Length, Torque } from "../quantity";
import {
  crossingOrder,
  evennessOf,
  gradeRange,
  metricStressArea,
  nutHeight,
  proofStress,
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

describe("an order of pulling", () => {
  it("of the pattern is even, with any count", () => {
    for (let count = 3; count <= 64; count++) {
      const evenness = evennessOf(
        crossingOrder(count).map((at) => at + 1),
        count,
      );
      expect(evenness).toMatchObject({ twice: [], missing: [], notOpposite: false, neighbourAt: undefined });
      expect(evenness.oneSided, `${count}`).toBeLessThan(1.3);
      expect(evenness.oval, `${count}`).toBeLessThan(2.3);
    }
  });

  it("round the circle draws it to one side by as much as half the bolts", () => {
    const round = Array.from({ length: 12 }, (_, index) => index + 1);
    // Six neighbours of twelve: 1/sin 15°.
    expect(evennessOf(round, 12).oneSided).toBeCloseTo(1 / Math.sin(Math.PI / 12), 9);
    expect(evennessOf(round, 12)).toMatchObject({ oneSidedAt: 6, neighbourAt: 2, notOpposite: true });
  });

  it("names what is twice in it and what is missing", () => {
    expect(evennessOf([1, 3, 3, 1], 4)).toMatchObject({ twice: [3, 1], missing: [2, 4] });
  });
});

describe("what a bolt bears", () => {
  const inches = (value: number) => (value * 0.0254) as Length;
  const ksi = (stress: number | undefined) =>
    stress === undefined ? undefined : Math.round(stress / 6.894757e6);
  it.each([
    ["SAE 2", 0.75, 55],
    ["SAE 2", 1, 33],
    ["SAE 5", 1, 85],
    ["SAE 5", 1.25, 74],
    ["SAE 5", 2, undefined],
    ["SAE 8", 0.2, undefined],
    ["A193 B7", 2.5, 105],
    ["A193 B7", 3, 95],
    ["A193 B7M", 1, 80],
  ] as const)("%s of %d in: %s ksi (SAE J429, ASTM A193)", (grade, diameter, expected) => {
    expect(ksi(proofStress(grade, inches(diameter)))).toBe(expected);
  });

  it("8.8 bears 580 up to M16 and 600 above (ISO 898-1); A2-70 is tabled up to M24", () => {
    expect(proofStress("8.8", 0.016 as Length)).toBe(580e6);
    expect(proofStress("8.8", 0.02 as Length)).toBe(600e6);
    expect(proofStress("A2-70", 0.03 as Length)).toBeUndefined();
    expect(gradeRange("A2-70").to).toBeCloseTo(0.024, 9);
  });
});

describe("nuts", () => {
  it.each([
    ["iso", 0.016, 0.0148],
    ["iso", 0.01, 0.0084],
    ["heavy", 0.0254, (63 / 64) * 0.0254],
    ["heavy", 1.5 * 0.0254, (1 + 15 / 32) * 0.0254],
    ["hex", 0.5 * 0.0254, (7 / 16) * 0.0254],
    ["hex", 0.0254, (55 / 64) * 0.0254],
  ] as const)("%s for %d m is %d m high (ISO 4032, ASME B18.2.2)", (kind, diameter, height) => {
    expect(nutHeight(kind, diameter)).toBeCloseTo(height, 9);
  });

  it("are none where the standard has none", () => {
    expect(nutHeight("iso", 0.017)).toBeUndefined();
    expect(nutHeight("hex", 2 * 0.0254)).toBeUndefined();
    expect(nutHeight("heavy", 0.1 * 0.0254)).toBeUndefined();
  });
});
