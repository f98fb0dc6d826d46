import fc from "fast-check";
import { describe, expect, it } from "vitest";
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
      expect(boilingTemperature(refrigerant, pascal)).toBeUndefined();
  });
});
