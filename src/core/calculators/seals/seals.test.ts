import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { siOf, wordsOf } from "..";
import { answerTo, figure, figureOf, type Typed } from "../calculators.fixtures";

describe("O-ring", () => {
  it.each([
    // SAE AS568: dash number, inside and section in inches.
    ["0.489 in", "0.070 in", "AS568-014"],
    ["0.984 in", "0.139 in", "AS568-214"],
    ["0.612 in", "0.103 in", "AS568-114"],
    ["1.475 in", "0.210 in", "AS568-325"],
    ["4.475 in", "0.275 in", "AS568-425"],
  ])("%s by %s is %s", (inside, section, ring) => {
    const answer = answerTo("o-ring", { inside, section, seat: inside, depth: section });
    expect(wordsOf(answer.outputs, "ring")).toBe(ring);
  });

  it("stretching thins the section and keeps its volume", () => {
    // Torus of constant volume: section area by mean circumference; the mean circumference follows the seat.
    const answer = answerTo("o-ring", {
      inside: "24.99 mm",
      section: "3.53 mm",
      seat: "26.24 mm",
      depth: "2.8 mm",
    });
    expect(figureOf(answer, "stretch", "%")).toBeCloseTo((26.24 / 24.994 - 1) * 100, 1);
    const thinned = 3.53 / Math.sqrt(26.24 / 24.994);
    expect(figureOf(answer, "squeeze", "%")).toBeCloseTo((1 - 2.8 / thinned) * 100, 1);
    expect(figureOf(answer, "fill", "%")).toBeCloseTo(((Math.PI / 4) * thinned ** 2 * 100) / (2.8 * 4.8), 1);
  });

  it("a shallower groove squeezes more and fills more, always", () => {
    let seen = 0;
    fc.assert(
      fc.property(fc.integer({ min: 240, max: 340 }), fc.integer({ min: 1, max: 20 }), (hundredths, by) => {
        const [deep, shallow] = [hundredths + by, hundredths].map((depth) =>
          answerTo("o-ring", { depth: `${depth / 100} mm` }),
        );
        expect(siOf(shallow!.outputs, "squeeze")).toBeGreaterThan(siOf(deep!.outputs, "squeeze"));
        expect(siOf(shallow!.outputs, "fill")).toBeGreaterThan(siOf(deep!.outputs, "fill"));
        seen++;
      }),
    );
    expect(seen).toBeGreaterThan(50);
  });

  it.each([
    ["epdm", "mineral oil"],
    ["epdm", "fuel gas"],
    ["nbr", "steam"],
    ["vmq", "steam"],
    ["fkm", "ammonia"],
  ])("%s is stopped in %s, however well it sits", (material, medium) => {
    expect(answerTo("o-ring", { material, medium, grease: "none" }).verdict).toBe("stop");
  });

  it("what stops is told before what only fails", () => {
    const both = answerTo("o-ring", { depth: "3.4 mm", medium: "mineral oil" });
    expect(both.verdict).toBe("stop");
    expect(both.reasons.length).toBeGreaterThan(1);
  });
});

describe("gland packing", () => {
  it("rings fill the room and never more than it", () => {
    let seen = 0;
    fc.assert(
      fc.property(
        fc.integer({ min: 6, max: 80 }),
        fc.integer({ min: 3, max: 20 }),
        fc.integer({ min: 40, max: 200 }),
        fc.integer({ min: 0, max: 30 }),
        (stem, section, depth, press) => {
          const answer = answerTo("packing", {
            stem: `${stem} mm`,
            box: `${stem + 2 * section} mm`,
            depth: `${depth} mm`,
            press: `${press} %`,
            waste: "0 %",
          });
          const [rings, ring] = [siOf(answer.outputs, "rings"), figureOf(answer, "ring", "mm")];
          const pressed = section * (1 - press / 100);
          expect(rings * pressed).toBeLessThanOrEqual(depth - 3 + 1e-6);
          expect((rings + 1) * pressed).toBeGreaterThan(depth - 3 - 1e-6);
          expect(ring).toBeCloseTo(Math.PI * (stem + section), 6);
          expect(figureOf(answer, "total", "mm")).toBeCloseTo(rings * ring, 6);
          seen++;
        },
      ),
    );
    expect(seen).toBeGreaterThan(50);
  });

  it("two rings stand half a turn apart, more a quarter", () => {
    expect(figure("packing", { depth: "14 mm" }, "stagger", "°")).toBeCloseTo(180, 9);
    expect(figure("packing", {}, "stagger", "°")).toBeCloseTo(90, 9);
  });
});

describe("gaskets", () => {
  it.each([
    // Face, body, what is cut.
    ["raised", "steel", "ring inside the bolts", "pass"],
    ["flat", "steel", "full-face gasket", "pass"],
    ["raised", "cast iron", "full-face gasket", "watch"],
    ["raised", "plastic", "full-face gasket", "watch"],
    ["tongue", "cast iron", "ring for the groove: measure the groove itself", "pass"],
  ])("a %s face of %s takes: %s", (face, metal, kind, verdict) => {
    const answer = answerTo("gasket-cutter", { face, metal });
    expect(wordsOf(answer.outputs, "kind")).toBe(kind);
    expect(answer.verdict).toBe(verdict);
  });

  it("a ring is centred by its bolts and stands clear of the bore", () => {
    const answer = answerTo("gasket-cutter", {});
    expect(figureOf(answer, "outer", "mm")).toBeCloseTo(180 - 16, 9);
    expect(figureOf(answer, "inner", "mm")).toBeGreaterThan(102.3);
  });

  it("a full face has its bolt holes taken off its area", () => {
    const answer = answerTo("gasket-cutter", { face: "flat" });
    const [inner, outer, hole] = ["inner", "outer", "hole"].map((name) => figureOf(answer, name, "mm"));
    const area = (Math.PI / 4) * (outer! ** 2 - inner! ** 2 - 8 * hole! ** 2);
    expect(figureOf(answer, "area", "mm2")).toBeCloseTo(area, 3);
  });

  it("ASME VIII-1, appendix 2, by hand: a spiral ring 6 × 8 in at 300 psi", () => {
    // N = 1 in, b0 = 0.5 in, b = 0.5·√0.5 = 0.35355 in, G = 8 − 2b = 7.29289 in; stainless spiral m = 3, y = 10,000 psi.
    const answer = answerTo("gasket-load", {
      kind: "spiral stainless",
      inside: "6 in",
      outside: "8 in",
      pressure: "300 psi",
    });
    const [b, g] = [0.5 * Math.sqrt(0.5), 8 - Math.sqrt(0.5)];
    const thrust = (Math.PI / 4) * g ** 2 * 300;
    const operating = thrust + 2 * b * Math.PI * g * 3 * 300;
    const seating = Math.PI * b * g * 10_000;
    expect(figureOf(answer, "operating", "lbf") / operating).toBeCloseTo(1, 3);
    // The metric table of the code rounds y to 69 MPa.
    expect(figureOf(answer, "seating", "lbf") / seating).toBeCloseTo(1, 2);
    expect((figureOf(answer, "each", "lbf") * 8) / Math.max(operating, seating)).toBeCloseTo(1, 2);
  });

  it("more pressure never asks for less of a bolt, and twice the bolts for half", () => {
    const each = (typed: Typed) => figure("gasket-load", typed, "each", "kN");
    let last = 0;
    for (const bar of [0, 4, 16, 40, 100, 250]) {
      const now = each({ pressure: `${bar} bar` });
      expect(now).toBeGreaterThanOrEqual(last);
      last = now;
    }
    expect(each({ bolts: "16" })).toBeCloseTo(each({ bolts: "8" }) / 2, 9);
  });

  it("gaps round the clock tell how far the faces lean, and where", () => {
    const gaps = (typed: Typed) => answerTo("gasket-load", typed);
    const leaning = gaps({ at12: "2.0 mm", at3: "1.5 mm", at6: "1.0 mm", at9: "1.4 mm" });
    expect(figureOf(leaning, "tilt", "mm")).toBeCloseTo(1, 9);
    expect(wordsOf(leaning.outputs, "tiltAt")).toBe("12 o'clock");
    expect(leaning.verdict).toBe("fail");
    expect(gaps({ at12: "1.5 mm", at6: "1.0 mm" }).verdict).not.toBe("fail");
    expect(gaps({ at12: "3 mm" }).outputs.tilt, "one gap alone leans nowhere").toBeUndefined();
  });
});

describe("stack depth", () => {
  it("every reading inside the band of one guess is that guess, and a piece off is never passed", () => {
    let seen = 0;
    // One seal 4 mm, one spacer 7 mm, band 1.25 mm: the guesses at 1, 5, 8, −3 and −6 mm do not touch.
    fc.assert(
      fc.property(fc.integer({ min: -124, max: 124 }), (hundredths) => {
        const at = (free: number) => answerTo("stack-depth", { reading: `${free + hundredths / 100} mm` });
        expect(at(1).verdict).toBe("pass");
        for (const [free, says] of [
          [5, "one seal missing"],
          [8, "one spacer missing"],
          [-3, "one seal too many, or one not home"],
          [-6, "one spacer too many, or one not home"],
        ] as const) {
          expect(at(free).verdict).toBe("fail");
          expect(wordsOf(at(free).outputs, "looksLike")).toBe(says);
        }
        seen++;
      }),
    );
    expect(seen).toBeGreaterThan(50);
  });

  it("a band as wide as a piece is not trusted: count", () => {
    const blind = answerTo("stack-depth", { seal: "2 mm", seals: "12", reading: "" });
    expect(blind.verdict).toBe("watch");
    expect(blind.reasons[0]).toContain("count too");
  });

  it("bands add up: worst in line, likely by squares", () => {
    const answer = answerTo("stack-depth", { seals: "3", spacers: "0" });
    expect(figureOf(answer, "worst", "mm")).toBeCloseTo(0.1 + 3 * 0.15, 9);
    expect(figureOf(answer, "likely", "mm")).toBeCloseTo(Math.hypot(0.1, Math.sqrt(3) * 0.15), 9);
    expect(figureOf(answer, "likely", "mm")).toBeLessThan(figureOf(answer, "worst", "mm"));
  });
});
