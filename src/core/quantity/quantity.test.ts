import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  DIMENSIONS,
  type Dimension,
  fixed,
  formatDuration,
  formatIn,
  formatQuantity,
  fromSI,
  grouped,
  isBare,
  isDimension,
  notationOf,
  parseQuantity,
  quantityMessage,
  sensibleDigits,
  toSI,
  UNITS,
  unit,
  unitNamed,
} from ".";

const read = (text: string, wanted: Dimension, assumed: string) => {
  const parsed = parseQuantity(text, wanted, unit(assumed));
  return parsed.ok ? parsed.value.si : quantityMessage(parsed.error, unit(assumed));
};

describe("what people type", () => {
  it.each([
    ["3/16 in", "length", "mm", 0.0047625],
    ['1 1/4"', "length", "mm", 0.03175],
    ["1-1/4 in", "length", "mm", 0.03175],
    ["1¼ in", "length", "mm", 0.03175],
    ["5' 6\"", "length", "mm", 1.6764],
    ["5 ft 6 in", "length", "mm", 1.6764],
    ["12", "length", "mm", 0.012],
    ["60 psi", "gauge pressure", "bar g", 413_685.4],
    ["60psig", "gauge pressure", "bar g", 413_685.4],
    ["4 bar g", "gauge pressure", "psi g", 400_000],
    ["4 bar abs", "absolute pressure", "bar abs", 400_000],
    ["0,4 bar", "gauge pressure", "bar g", 40_000],
    ["-0.1 bar", "gauge pressure", "bar g", -10_000],
    ["182 ohm", "resistance", "Ω", 182],
    ["1.2 kΩ", "resistance", "Ω", 1200],
    ["60 ft-lb", "torque", "N·m", 81.349077],
    ["212 °F", "temperature", "°C", 373.15],
    ["-40 F", "temperature", "°C", 233.15],
    ["10 m3/h", "volume flow", "L/s", 1 / 360],
    ["8 mm2", "area", "mm2", 8e-6],
    ["75 %", "number", "", 0.75],
    ["  7  ", "length", "mm", 0.007],
    ["−0.1 bar", "gauge pressure", "bar g", -10_000],
    ["5’ 6”", "length", "mm", 1.6764],
    ["5′ 6″", "length", "mm", 1.6764],
    ["-5' 6\"", "length", "mm", -1.6764],
    ["0' 6\"", "length", "mm", 0.1524],
    ["3⁄4 in", "length", "mm", 0.01905],
  ] as const)("%s as %s", (text, wanted, assumed, si) => {
    expect(read(text, wanted, assumed)).toBeCloseTo(si, si > 1000 ? 0 : 6);
  });

  it.each([
    ["", "gauge pressure", "bar g", "Enter a gauge pressure, in bar g"],
    ["lots", "gauge pressure", "bar g", "is not a figure"],
    ["4 furlong", "length", "mm", "not a unit known here"],
    ["4 mm", "gauge pressure", "bar g", "is a unit of length; this asks for a gauge pressure"],
    ["4 bar abs", "gauge pressure", "bar g", "unit of absolute pressure"],
    ["1/0 in", "length", "mm", "is not a figure"],
    ["3 4", "gauge pressure", "bar g", "not a figure"],
    ["1.2.3", "gauge pressure", "bar g", '"1.2.3" is not a figure'],
    ["1,000,5", "gauge pressure", "bar g", "not a figure"],
    ["5' 6 furlong", "length", "mm", '"furlong" is not a unit known here'],
    ["1/0' 6\"", "length", "mm", "not a figure"],
  ] as const)("%s is refused with what to do", (text, wanted, assumed, message) => {
    expect(read(text, wanted, assumed)).toContain(message);
  });

  it("never gives a value that is not finite, whatever is typed", () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 20 }), (text) => {
        const parsed = parseQuantity(text, "length", unit("mm"));
        return !parsed.ok || Number.isFinite(parsed.value.si);
      }),
    );
  });
});

describe("a refusal", () => {
  it.each([
    ["", "length", "mm", "Enter a length, in mm, cm, m, in."],
    ["", "gauge pressure", "psi g", "Enter a gauge pressure, in psi g, bar g, kPa g, MPa g."],
    ["", "angle", "°", "Enter an angle, in °."],
    ["many", "number", "", '"many" is not a figure. Type a number and a unit such as %, ppm.'],
    ["4 furlong", "angle", "°", '"furlong" is not a unit known here. Use °.'],
    ["4 mm", "angle", "°", '"mm" is a unit of length; this asks for an angle. Use °.'],
  ] as const)("of %j for a %s says which units it takes", (text, wanted, assumed, message) => {
    expect(read(text, wanted, assumed)).toBe(message);
  });
});

describe("a figure without a unit", () => {
  it.each([
    ["7", "length", "mm", true],
    ["7,5", "length", "in", true],
    ["7 mm", "length", "mm", false],
    ["7 mm", "length", "in", false],
    ["5' 6\"", "length", "mm", false],
    ["75 %", "number", "", false],
    ["lots", "length", "mm", false],
    ["", "length", "mm", false],
  ] as const)("%j of %s in %s: %s", (text, wanted, assumed, bare) => {
    expect(isBare(text, wanted, unit(assumed))).toBe(bare);
  });

  it("is in whichever the field assumes", () => {
    fc.assert(
      fc.property(fc.constantFrom(...UNITS), fc.integer({ min: -999, max: 999 }), (each, value) => {
        expect(isBare(`${value}`, each.dimension, each)).toBe(true);
      }),
    );
  });
});

describe("units", () => {
  it("go to SI and back unchanged", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...UNITS),
        fc.double({ min: -1e4, max: 1e4, noNaN: true }),
        (each, value) => {
          expect(fromSI(toSI(value, each), each)).toBeCloseTo(value, 6);
        },
      ),
    );
  });

  it("are spelled in one way only within a dimension", () => {
    for (const each of UNITS) {
      if (each.id === "") continue;
      expect(read(`7 ${each.id}`, each.dimension, each.id), each.id).toBeCloseTo(toSI(7, each), 6);
    }
  });
});

describe("a unit by name", () => {
  it.each([
    ["PSI", "gauge pressure", "psi g"],
    ["ft lb", "torque", "ft·lbf"],
    ["US  gal", "volume", "US gal"],
    ["ppm", "number", "ppm"],
    ["ppm", "concentration", "mg/L"],
    [" kPa ", "gauge pressure", "kPa g"],
    ["lb", "mass", "lb"],
    ["lb", "force", "lbf"],
    ["m³/h", "volume flow", "m3/h"],
  ] as const)("%j as a %s is %s", (text, dimension, id) => {
    expect(unitNamed(text, dimension)?.id).toBe(id);
  });

  it("is none of another dimension", () => {
    expect(unitNamed("mm", "torque")).toBeUndefined();
    expect(unitNamed("furlong", "length")).toBeUndefined();
  });

  it("that is not there is a fault of ours, and says which", () => {
    expect(() => unit("furlong")).toThrow('no unit "furlong"');
  });

  it("measures one of the dimensions", () => {
    expect(DIMENSIONS.every(isDimension)).toBe(true);
    expect(isDimension("colour")).toBe(false);
  });
});

describe("figures", () => {
  it.each([
    [0, "0"],
    [0.4137, "0.414"],
    [4.1, "4.1"],
    [41.37, "41.4"],
    [413.7, "414"],
    [41_370, "41\u2009370"],
    [Number.NaN, "–"],
    [1e-10, "0"],
    [0.000_12, "1.20e-4"],
    [0.001, "0.001"],
    [1, "1"],
    [1.005, "1"],
    [1.5, "1.5"],
    [0.05, "0.05"],
    [10.04, "10"],
    [10.55, "10.6"],
    [100, "100"],
    [100.6, "101"],
    [1000, "1\u2009000"],
    [9_999_999, "9\u2009999\u2009999"],
    [1e7, "1.00e+7"],
    [-41_370, "-41\u2009370"],
  ])("%s is shown as %s", (value, text) => {
    expect(sensibleDigits(value)).toBe(text);
  });

  it("are read back as what they are, whichever mark they are written with", () => {
    fc.assert(
      fc.property(fc.double({ min: 1e-3, max: 999, noNaN: true }), (value) => {
        const read = (mark: "point" | "comma") => {
          const parsed = parseQuantity(formatIn(value, unit("m"), mark), "length", unit("m"));
          return parsed.ok ? parsed.value.si : Number.NaN;
        };
        expect(read("comma")).toBe(read("point"));
        expect(read("comma")).toBeCloseTo(value, value < 1 ? 3 : 0);
      }),
    );
    expect(sensibleDigits(0.4, "comma")).toBe("0,4");
    expect(sensibleDigits(1e7, "comma")).toBe("1,00e+7");
    expect(fixed(2.5, 2, "comma")).toBe("2,50");
    expect(fixed(-11_047.7, 2, "point")).toBe("-11\u2009047.70");
    expect(fixed(1234.4, 0, "comma")).toBe("1\u2009234");
    expect(grouped(-1_234_567)).toBe("-1\u2009234\u2009567");
    expect(formatQuantity(0.0254, "length", notationOf("metric", "comma"))).toBe("25,4 mm");
  });

  it("carry their unit", () => {
    expect(formatIn(413_685, unit("psi g"))).toBe("60 psi g");
    expect(formatIn(3, unit(""))).toBe("3");
    expect(formatIn(0.75, unit("%"))).toBe("75%");
    expect(formatIn(Math.PI / 2, unit("°"))).toBe("90°");
    expect(formatQuantity(0.0254, "length", notationOf("us"))).toBe("1 in");
    expect(formatQuantity(0.0254, "length", notationOf("metric"))).toBe("25.4 mm");
  });

  it.each([
    [45, "45 s"],
    [-45, "45 s"],
    [89, "89 s"],
    [90, "2 min"],
    [5940, "99 min"],
    [6000, "1 h 40"],
    [7500, "2 h 05"],
    [47 * 3600, "47 h 00"],
    [48 * 3600, "2 d"],
    [60 * 3600, "3 d"],
  ])("%d seconds last %s", (seconds, text) => {
    expect(formatDuration(seconds)).toBe(text);
  });
});
