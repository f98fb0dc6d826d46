import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { UNITS, unitsOf } from "@/core/quantity";
import { blankFigure, type Figure, isEmpty, readFigure, refuseFigure, turned, typedByHand } from "./figure";

const typed = (text: string, unit: string): Figure => typedByHand(blankFigure(unit), text);

describe("a figure in a field", () => {
  it.each([
    ["0,4", "bar g", "gauge pressure", 40_000, "0,4 bar g"],
    [" 6 psi ", "bar g", "gauge pressure", 41_368.5, "6 psi"],
    ['1 1/4"', "mm", "length", 0.03175, '1 1/4"'],
    ["5' 6\"", "mm", "length", 1.6764, "5' 6\""],
    ["12", "", "number", 12, "12"],
    ["75 %", "", "number", 0.75, "75 %"],
  ] as const)("%j in %s is kept as typed with its unit", (text, unit, dimension, si, says) => {
    const read = readFigure(typed(text, unit), dimension);
    if (!read.ok) throw new Error(read.error);
    expect(read.value.si).toBeCloseTo(si, si > 1000 ? 0 : 6);
    expect(read.value.typed).toBe(says);
    expect(read.value.source).toEqual({ kind: "hand" });
  });

  it("says what is wrong with it, and nothing of one that can be read", () => {
    expect(refuseFigure("length")(typed("soon", "mm"))).toContain('"soon" is not a figure');
    expect(refuseFigure("length")(typed("4 V", "mm"))).toContain("unit of voltage");
    expect(refuseFigure("length")(blankFigure("mm"))).toContain("Enter a length");
    expect(refuseFigure("length")(typed("4", "mm"))).toBeUndefined();
  });

  it("is empty with blanks in it, and not with a nought", () => {
    expect(isEmpty(typed("  ", "mm"))).toBe(true);
    expect(isEmpty(typed("0", "mm"))).toBe(false);
  });

  it("is of a hand as soon as one types over the usual one", () => {
    const usual: Figure = { text: "3", unit: "mm", source: { kind: "usual" } };
    expect(typedByHand(usual, "3.1")).toEqual({ text: "3.1", unit: "mm", source: { kind: "hand" } });
    const read = readFigure(usual, "length");
    expect(read.ok && read.value.source).toEqual({ kind: "usual" });
  });

  it("keeps as much of what was typed as a record does", () => {
    const long = readFigure(typed(`1.${"0".repeat(120)}`, "mm"), "length");
    expect(long.ok && long.value.typed.length).toBe(80);
  });
});

describe("a figure that is turned into another unit", () => {
  it("stays as it is where it cannot be read", () => {
    expect(turned(typed("soon", "mm"), "length", "in")).toMatchObject({ text: "soon", unit: "in" });
  });

  it("measures the same, and comes back as it was typed", () => {
    let turns = 0;
    const cases = fc
      .constantFrom(...UNITS)
      .chain((from) =>
        fc.tuple(
          fc.constant(from),
          fc.constantFrom(...unitsOf(from.dimension)),
          fc.integer({ min: 1, max: 9999 }),
        ),
      );
    fc.assert(
      fc.property(cases, ([from, to, value]) => {
        const first = typed(`${value}`, from.id);
        const there = turned(first, from.dimension, to.id);
        const back = turned(there, from.dimension, from.id);
        expect(there.unit).toBe(to.id);
        // Six digits of a temperature far from its nought do not hold what was typed to the last.
        if (from.dimension === "temperature") return;
        turns += 1;
        expect(Number(back.text)).toBeCloseTo(value, value > 1000 ? 1 : 2);
      }),
      { numRuns: 300 },
    );
    expect(turns).toBeGreaterThan(200);
  });
});
