import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  type Dimension,
  formatDuration,
  formatIn,
  fromSI,
  parseQuantity,
  quantityMessage,
  sensibleDigits,
  toSI,
  UNITS,
  unit,
} from ".";

const read = (text: string, wanted: Dimension, assumed: string) => {
  const parsed = parseQuantity(text, wanted, unit(assumed));
  return parsed.ok ? parsed.value.si : quantityMessage(parsed.error);
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

describe("figures", () => {
  it.each([
    [0, "0"],
    [0.4137, "0.414"],
    [4.1, "4.1"],
    [41.37, "41.4"],
    [413.7, "414"],
    [41_370, "41\u2009370"],
    [Number.NaN, "–"],
  ])("%s is shown as %s", (value, text) => {
    expect(sensibleDigits(value)).toBe(text);
  });

  it("carry their unit", () => {
    expect(formatIn(413_685, unit("psi g"))).toBe("60 psi g");
    expect(formatDuration(45)).toBe("45 s");
    expect(formatDuration(7500)).toBe("2 h 05");
  });
});
