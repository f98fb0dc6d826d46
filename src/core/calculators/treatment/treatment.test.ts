import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { siOf } from "..";
import { answerTo, figure, figureOf, type Typed } from "../calculators.fixtures";
import { resinCapacity } from "./softener";

describe("a softener", () => {
  it("runs as many litres as its bed takes hardness, less the reserve", () => {
    let seen = 0;
    fc.assert(
      fc.property(
        fc.integer({ min: 50, max: 800 }),
        fc.integer({ min: 10, max: 200 }),
        fc.integer({ min: 0, max: 50 }),
        fc.integer({ min: 100, max: 3000 }),
        (hardness, resin, reserve, use) => {
          const { outputs } = answerTo("softener", {
            hardness: `${hardness} mg/L`,
            resin: `${resin} L`,
            reserve: `${reserve} %`,
            use: `${use} L`,
          });
          // All in SI: kg of hardness over kg/m³.
          const between = (siOf(outputs, "capacity") * (1 - reserve / 100)) / siOf(outputs, "load");
          expect(siOf(outputs, "between")).toBeCloseTo(between, 9);
          expect(siOf(outputs, "days")).toBeCloseTo((between / (use / 1000)) * 86_400, 3);
          expect(siOf(outputs, "saltYear")).toBeCloseTo(
            (siOf(outputs, "saltEach") * 365.25 * 86_400) / siOf(outputs, "days"),
            6,
          );
          seen++;
        },
      ),
    );
    expect(seen).toBeGreaterThan(50);
  });

  it.each([
    // Usual of strong-acid resin: lb of salt for a cubic foot, kilograins it then takes.
    [6, 20],
    [10, 24],
    [15, 30],
  ])("%d lb/ft³ of salt give %d kgr/ft³", (pounds, kilograins) => {
    const litres = 28.316846592;
    const grams = (pounds * 453.59237) / litres;
    const takes = (kilograins * 1000 * 0.06479891) / litres / 1000;
    expect(resinCapacity(grams / 1000) / takes).toBeCloseTo(1, 1);
  });

  it("more salt always takes more, and each kilogram less than the one before", () => {
    let [last, lastGain] = [0, Number.POSITIVE_INFINITY];
    for (let grams = 40; grams <= 320; grams += 40) {
      const now = resinCapacity(grams / 1000);
      expect(now).toBeGreaterThan(last);
      expect(now - last).toBeLessThanOrEqual(lastGain + 0.003);
      [last, lastGain] = [now, now - last];
    }
  });

  it("iron counts by the school: 3, 4 or 5 grains a gallon for each ppm", () => {
    const load = (school: string) => figure("softener", { iron: "1 mg/L", school }, "load", "mg/L") - 300;
    // A grain a US gallon is 17.118 mg/L.
    expect(load("3")).toBeCloseTo(3 * 17.118, 1);
    expect(load("4")).toBeCloseTo(4 * 17.118, 1);
    expect(load("5")).toBeCloseTo(5 * 17.118, 1);
  });

  it("over 2 mg/L of iron is refused whatever its size, and at 2 not", () => {
    expect(answerTo("softener", { iron: "2.1 mg/L" }).verdict).toBe("fail");
    expect(answerTo("softener", { iron: "2 mg/L" }).verdict).toBe("pass");
  });
});

describe("its brine", () => {
  it("by definition: a gallon of water dissolves 3 lb of salt, so 12 lb at 0.5 gpm refill in 8 min", () => {
    expect(figure("brine", { salt: "12 lb", refill: "0.5 US gpm" }, "refillTime", "min")).toBeCloseTo(8, 1);
  });

  it("the phases follow on each other without a gap, and their water is what the cycle uses", () => {
    const { outputs, tables } = answerTo("brine");
    let [at, water] = [0, 0];
    for (const phase of tables.phases!) {
      expect(siOf(phase, "starts")).toBeCloseTo(at, 9);
      at += siOf(phase, "minutes");
      water += siOf(phase, "minutes") * siOf(phase, "flow");
    }
    expect(siOf(outputs, "whole")).toBeCloseTo(at, 9);
    // What is drawn as brine was refilled before: it counts once.
    const drawn = siOf(outputs, "brine");
    expect(water - drawn).toBeCloseTo(siOf(outputs, "water"), 6);
  });

  it("an injector at four times its pressure draws twice as fast", () => {
    const draw = (typed: Typed) => figure("brine", typed, "drawTime", "min");
    expect(draw({ pressure: "8 bar g", curve: "2 bar g" })).toBeCloseTo(draw({}) / 2, 6);
  });

  it("cold water lifts the bed with less: the backwash is set lower in winter", () => {
    const flow = (water: string) => figure("brine", { water }, "flow", "L/min");
    expect(flow("2 °C")).toBeLessThan(flow("10 °C"));
    expect(flow("10 °C")).toBeLessThan(flow("25 °C"));
  });

  it("a wider tank wants a backwash by its area", () => {
    const flow = (tank: string) => figureOf(answerTo("brine", { tank }), "flow", "L/min");
    expect(flow("500 mm")).toBeCloseTo(4 * flow("250 mm"), 6);
  });
});
