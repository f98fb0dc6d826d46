import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { pascalsAbsolute } from "../quantity";
import { boilingState } from "./refrigerant-states";
import {
  boilingPressure,
  boilingTemperature,
  CO2_TRIPLE,
  REFRIGERANTS,
  saturationRange,
} from "./refrigerants";

const KELVIN = 273.15;

describe("ammonia, against the saturation table of the NIST Chemistry WebBook", () => {
  it.each([
    [-50, 40.84],
    [-40, 71.69],
    [-20, 190.08],
    [0, 429.38],
    [20, 857.48],
    [40, 1554.9],
    [60, 2614.4],
    [80, 4142],
    [100, 6255.3],
    [120, 9112.5],
  ])("%i °C", (celsius, kPa) => {
    expect(Math.abs(boilingPressure("ammonia", celsius + KELVIN)! / 1000 / kPa - 1)).toBeLessThan(0.002);
  });
});

describe("CO2, against Span and Wagner (1996), table 34", () => {
  it.each([
    [-50, 682.34],
    [-40, 1004.5],
    [-20, 1969.6],
    [0, 3485.1],
    [20, 5729.1],
  ])("%i °C", (celsius, kPa) => {
    expect(Math.abs(boilingPressure("co2", celsius + KELVIN)! / 1000 / kPa - 1)).toBeLessThan(0.002);
  });

  it("begins at the triple point", () => {
    expect(boilingPressure("co2", CO2_TRIPLE.kelvin)! / CO2_TRIPLE.pascal).toBeCloseTo(1, 3);
  });
});

describe.each(REFRIGERANTS)("%s", (refrigerant) => {
  const { least_K, most_K, least_Pa, most_Pa } = saturationRange(refrigerant);

  it("there and back is where it began, and it rises all the way", () => {
    fc.assert(
      fc.property(fc.double({ min: least_K, max: most_K - 0.1, noNaN: true }), (kelvin) => {
        const pascal = boilingPressure(refrigerant, kelvin)!;
        expect(boilingTemperature(refrigerant, pascal)!).toBeCloseTo(kelvin, 8);
        expect(boilingPressure(refrigerant, kelvin + 0.05)!).toBeGreaterThan(pascal);
      }),
    );
  });

  it("says nothing outside its range", () => {
    for (const kelvin of [least_K - 0.01, most_K + 0.01, Number.NaN, -1])
      expect(boilingPressure(refrigerant, kelvin)).toBeUndefined();
    for (const pascal of [least_Pa * 0.999, most_Pa * 1.001, Number.NaN, 0])
      expect(boilingTemperature(refrigerant, pascalsAbsolute(pascal))).toBeUndefined();
  });
});

describe("what boils", () => {
  it.each([
    [-40, 690.15, 0.6438, 1388.6],
    [0, 638.57, 3.4567, 1262.2],
    [40, 579.44, 12.034, 1099],
  ])("ammonia at %i °C (ASHRAE, R-717)", (celsius, liquid, vapour, latent) => {
    const state = boilingState("ammonia", KELVIN + celsius)!;
    expect(Math.abs(state.liquid / liquid - 1)).toBeLessThan(0.001);
    expect(Math.abs(state.vapour / vapour - 1)).toBeLessThan(0.003);
    expect(Math.abs(state.latent / 1000 / latent - 1)).toBeLessThan(0.003);
  });

  it.each([
    [-40, 1116.4, 26.121, 322.4],
    [0, 927.43, 97.647, 230.9],
    [20, 773.39, 194.2, 152],
  ])("CO2 at %i °C (Span and Wagner)", (celsius, liquid, vapour, latent) => {
    const state = boilingState("co2", KELVIN + celsius)!;
    expect(Math.abs(state.liquid / liquid - 1)).toBeLessThan(0.001);
    expect(Math.abs(state.vapour / vapour - 1)).toBeLessThan(0.001);
    expect(Math.abs(state.latent / 1000 / latent - 1)).toBeLessThan(0.002);
  });

  it("ends at the critical point of CO2, and where ammonia is not tabled", () => {
    expect(boilingState("co2", 304.1282)).toMatchObject({ liquid: 467.6, vapour: 467.6, latent: 0 });
    expect(boilingState("co2", 305)).toBeUndefined();
    expect(boilingState("ammonia", KELVIN + 51)).toBeUndefined();
    expect(boilingState("ammonia", KELVIN - 51)).toBeUndefined();
  });
});
