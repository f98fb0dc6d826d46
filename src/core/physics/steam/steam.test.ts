import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { pascalsAbsolute as abs } from "../../quantity";
import { boiling, oneState } from "./boiling";
import { region1 } from "./region-1";
import { region2 } from "./region-2";
import { pressure3, region3 } from "./region-3";
import { CRITICAL_PA, LEAST_PA, saturationPressure, saturationTemperature } from "./saturation";

const MPA = 1e6;
/** The release prints nine significant digits. */
const digits = (value: number) => Number(value.toPrecision(9));

describe("region 1, the verification values of IAPWS R7-97(2012), table 5", () => {
  it.each([
    [300, 3, 0.100215168e-2, 115331.273, 112324.818, 392.294792, 4173.01218, 1507.73921],
    [300, 80, 0.971180894e-3, 184142.828, 106448.356, 368.563852, 4010.08987, 1634.69054],
    [500, 3, 0.1202418e-2, 975542.239, 971934.985, 2580.41912, 4655.80682, 1240.71337],
  ])("%i K, %i MPa", (T, p, v, h, u, s, cp, w) => {
    const found = region1(p * MPA, T);
    expect(digits(found.volume)).toBe(v);
    expect(digits(found.enthalpy)).toBe(h);
    expect(digits(found.energy)).toBe(u);
    expect(digits(found.entropy)).toBe(s);
    expect(digits(found.heatCapacity)).toBe(cp);
    expect(digits(found.soundSpeed)).toBe(w);
  });
});

describe("region 2, table 15", () => {
  it.each([
    [300, 0.0035, 0.394913866e2, 2549911.45, 2411691.6, 8522.38967, 1913.00162, 427.920172],
    [700, 0.0035, 0.923015898e2, 3335683.75, 3012628.19, 10174.9996, 2081.41274, 644.289068],
    [700, 30, 0.542946619e-2, 2631494.74, 2468610.76, 5175.40298, 10350.5092, 480.386523],
  ])("%i K, %f MPa", (T, p, v, h, u, s, cp, w) => {
    const found = region2(p * MPA, T);
    expect(digits(found.volume)).toBe(v);
    expect(digits(found.enthalpy)).toBe(h);
    expect(digits(found.energy)).toBe(u);
    expect(digits(found.entropy)).toBe(s);
    expect(digits(found.heatCapacity)).toBe(cp);
    expect(digits(found.soundSpeed)).toBe(w);
  });
});

describe("saturation", () => {
  it.each([
    [300, 0.353658941e-2],
    [500, 2.63889776],
    [600, 12.3443146],
  ])("pressure at %i K, table 35", (T, p) => {
    expect(digits(saturationPressure(T)! / MPA)).toBe(p);
  });

  it.each([
    [0.1, 372.755919],
    [1, 453.035632],
    [10, 584.149488],
  ])("temperature at %f MPa, table 36", (p, T) => {
    expect(digits(saturationTemperature(abs(p * MPA))!)).toBe(T);
  });

  it("there and back is where it began, and it rises all the way", () => {
    fc.assert(
      fc.property(fc.double({ min: LEAST_PA, max: CRITICAL_PA * 0.9999, noNaN: true }), (p) => {
        const T = saturationTemperature(abs(p))!;
        expect(saturationPressure(T)! / p).toBeCloseTo(1, 7);
        expect(saturationTemperature(abs(p * 1.00005))!).toBeGreaterThan(T);
      }),
    );
  });

  it.each([[Number.NaN], [0], [-5], [273], [647.2]])("has no pressure at %s K", (value) => {
    expect(saturationPressure(value)).toBeUndefined();
  });

  it.each([[Number.NaN], [0], [-5], [611], [22.07e6]])("has no temperature at %s Pa", (value) => {
    expect(saturationTemperature(abs(value))).toBeUndefined();
  });

  it("both phases have the same Gibbs energy on the line, as they must", () => {
    for (const T of [300, 400, 500, 600]) {
      const p = saturationPressure(T)!;
      const [water, steam] = [region1(p, T), region2(p, T)];
      const gibbs = (each: typeof water) => each.enthalpy - T * each.entropy;
      expect(Math.abs(gibbs(water) - gibbs(steam))).toBeLessThan(60);
      expect(steam.enthalpy).toBeGreaterThan(water.enthalpy);
    }
  });
});

describe("region 3, near the critical point", () => {
  it.each([
    [650, 500, 25.5837018, 1863.43019, 4.05427273, 13.8935717, 502.005554],
    [650, 200, 22.2930643, 2375.12401, 4.85438792, 44.6579342, 383.444594],
    [750, 500, 78.3095639, 2258.68845, 4.46971906, 6.34165359, 760.696041],
  ])("at %i K and %i kg/m³, table 33", (T, density, p, h, s, cp, w) => {
    const state = region3(density, T);
    expect(digits(pressure3(density, T) / MPA)).toBe(p);
    expect(digits(state.enthalpy / 1000)).toBe(h);
    expect(digits(state.entropy / 1000)).toBe(s);
    expect(digits(state.heatCapacity / 1000)).toBe(cp);
    expect(digits(state.soundSpeed)).toBe(w);
  });

  it("takes over at 350 °C where regions 1 and 2 end, within what the release allows", () => {
    const [below, above] = [623.15, 623.1501].map((T) => boiling(saturationPressure(T)!, T));
    expect(above!.water.volume / below!.water.volume).toBeCloseTo(1, 3);
    expect(above!.steam.volume / below!.steam.volume).toBeCloseTo(1, 3);
    expect(above!.steam.enthalpy / below!.steam.enthalpy).toBeCloseTo(1, 3);
  });

  it("water and steam come nearer and nearer up to the critical point", () => {
    const parts = [630, 640, 645, 647, 647.09].map((T) => {
      const { water, steam } = boiling(saturationPressure(T)!, T);
      return steam.enthalpy - water.enthalpy;
    });
    expect(parts).toEqual([...parts].sort((a, b) => b - a));
    const { water, steam } = boiling(CRITICAL_PA, 647.096);
    expect(1 / water.volume).toBeCloseTo(322, 6);
    expect(steam.enthalpy).toBe(water.enthalpy);
  });

  it("beside the line water is heavier and steam lighter than on it, and steam joins region 2 at its edge", () => {
    const [p, boils] = [abs(20e6), saturationTemperature(abs(20e6))!];
    const { water, steam } = boiling(p, boils);
    expect(oneState(p, boils - 5, boils).volume).toBeLessThan(water.volume);
    expect(oneState(p, boils + 5, boils).volume).toBeGreaterThan(steam.volume);
    const [inside, outside] = [653.5, 654.5].map((T) => oneState(p, T, boils).volume);
    expect(outside! / inside!).toBeLessThan(1.02);
    expect(outside! / inside!).toBeGreaterThan(1);
  });
});
