import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { crossingOrder } from "../../fastening";
import { siOf, wordsOf } from "..";
import { answerTo, figure, figureOf, type Typed } from "../calculators.fixtures";

const boltUp = (typed: Typed) => answerTo("bolt-up", typed);

describe("bolt-up", () => {
  it.each([
    // ISO 898-1:2013, tables 4 and 6: thread, stress area mm², proof load of 8.8 in kN.
    ["6 mm", "1 mm", 20.1, 11.6],
    ["8 mm", "1.25 mm", 36.6, 21.2],
    ["10 mm", "1.5 mm", 58.0, 33.7],
    ["12 mm", "1.75 mm", 84.3, 48.9],
    ["16 mm", "2 mm", 157, 91.0],
    ["20 mm", "2.5 mm", 245, 147],
    ["24 mm", "3 mm", 353, 212],
    ["30 mm", "3.5 mm", 561, 337],
    ["36 mm", "4 mm", 817, 490],
  ])("M%s x %s has the stress area and the proof load of ISO 898-1", (diameter, pitch, area, proof) => {
    const answer = boltUp({ diameter, pitch, grade: "8.8", share: "100 %" });
    expect(figureOf(answer, "stressArea", "mm2") / area).toBeCloseTo(1, 2);
    // The standard rounds to three digits.
    expect(Math.abs(figureOf(answer, "preload", "kN") / proof - 1)).toBeLessThan(0.01);
  });

  it.each([
    // ASME B1.1, table of tensile stress areas, in².
    ["1/4 in", "1/20 in", 0.0318],
    ["3/8 in", "1/16 in", 0.0775],
    ["5/8 in", "1/11 in", 0.226],
    ["3/4 in", "1/10 in", 0.334],
    ["7/8 in", "1/9 in", 0.462],
    ["1 in", "1/8 in", 0.606],
  ])("%s with a pitch of %s has the stress area of ASME B1.1", (diameter, pitch, area) => {
    const answer = boltUp({ thread: "inch", grade: "SAE 5", diameter, pitch });
    expect(figureOf(answer, "stressArea", "in2") / area).toBeCloseTo(1, 2);
  });

  it("pulls in proportion: torque to share, to nut factor, and a third and two thirds before it", () => {
    let seen = 0;
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 100 }),
        fc.constantFrom("oiled", "grease", "anti-seize"),
        (share, on) => {
          const [dry, slippery] = ["dry", on].map((condition) => boltUp({ share: `${share} %`, condition }));
          const full = figureOf(dry!, "torque", "N·m");
          expect(full).toBeCloseTo((figure("bolt-up", { share: "50 %" }, "torque", "N·m") * share) / 50, 6);
          expect(figureOf(dry!, "first", "N·m")).toBeCloseTo(0.3 * full, 9);
          expect(figureOf(dry!, "second", "N·m")).toBeCloseTo(0.6 * full, 9);
          // The bolt is stretched as much, with less on the wrench.
          expect(figureOf(slippery!, "torque", "N·m")).toBeLessThan(full);
          expect(figureOf(slippery!, "preload", "kN")).toBeCloseTo(figureOf(dry!, "preload", "kN"), 9);
          seen++;
        },
      ),
    );
    expect(seen).toBeGreaterThan(50);
  });

  it("no figure of the sheet is ever passed, whatever lies on the thread", () => {
    let capped = 0;
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400 }),
        fc.constantFrom("dry", "oiled", "grease", "anti-seize", "PTFE-coated"),
        fc.constantFrom("as it is", "dry", "oiled", "grease", "anti-seize", "PTFE-coated"),
        (limit, condition, statedFor) => {
          const answer = boltUp({ limit: `${limit} N·m`, condition, statedFor, share: "70 %" });
          const torque = figureOf(answer, "torque", "N·m");
          expect(torque).toBeLessThanOrEqual(limit + 1e-9);
          if (torque > limit - 1e-9) capped++;
          // The preload is that of the sheet's thread, never more.
          if (statedFor === "as it is") return;
          const stated = boltUp({ by: "sheet", limit: `${limit} N·m`, condition: statedFor });
          expect(figureOf(answer, "preload", "kN")).toBeLessThanOrEqual(
            figureOf(stated, "preload", "kN") * (1 + 1e-9),
          );
        },
      ),
    );
    expect(capped).toBeGreaterThan(5);
  });

  it("an extension across the wrench changes nothing, in line it makes the lever longer", () => {
    const set = (typed: Typed) => figure("bolt-up", { wrench: "400 mm", ...typed }, "setting", "N·m");
    const plain = set({});
    expect(set({ extension: "100 mm", angle: "90 °" })).toBeCloseTo(plain, 9);
    expect(set({ extension: "100 mm" })).toBeCloseTo((plain * 400) / 500, 9);
    expect(set({ extension: "100 mm", angle: "45 °" })).toBeGreaterThan(set({ extension: "100 mm" }));
  });

  it("two bolts have no order; from three each stands in it once", () => {
    expect(boltUp({ bolts: "2" }).tables.order).toEqual([]);
    for (let bolts = 3; bolts <= 64; bolts++) {
      const order = boltUp({ bolts: `${bolts}` }).tables.order!.map((row) => siOf(row, "bolt"));
      expect([...order].sort((a, b) => a - b)).toEqual(Array.from({ length: bolts }, (_, at) => at + 1));
    }
  });
});

describe("a tightening order", () => {
  const judge = (order: readonly number[], bolts: number) =>
    answerTo("tightening-order", { order: order.join(" "), bolts: `${bolts}` });
  const around = (bolts: number) => Array.from({ length: bolts }, (_, at) => at + 1);

  it("across is passed, round the circle is not, with any count", () => {
    for (let bolts = 4; bolts <= 32; bolts++) {
      const across = judge(
        crossingOrder(bolts).map((at) => at + 1),
        bolts,
      );
      expect(across.verdict, `${bolts} across`).toBe("pass");
      if (bolts > 4) expect(judge(around(bolts), bolts).verdict, `${bolts} around`).toBe("fail");
    }
  });

  it("is judged alike wherever the count begins and whichever way round it goes", () => {
    let seen = 0;
    const bolts = 8;
    const shuffled = fc.shuffledSubarray(around(bolts), { minLength: bolts });
    fc.assert(
      fc.property(shuffled, fc.integer({ min: 1, max: 7 }), (order, by) => {
        const turned = order.map((bolt) => ((bolt - 1 + by) % bolts) + 1);
        const mirrored = order.map((bolt) => bolts + 1 - bolt);
        const [a, b, c] = [order, turned, mirrored].map((each) => judge(each, bolts));
        for (const other of [b!, c!]) {
          expect(other.verdict).toBe(a!.verdict);
          expect(siOf(other.outputs, "oneSided")).toBeCloseTo(siOf(a!.outputs, "oneSided"), 9);
          expect(siOf(other.outputs, "oval")).toBeCloseTo(siOf(a!.outputs, "oval"), 9);
        }
        seen++;
      }),
    );
    expect(seen).toBeGreaterThan(50);
  });

  it("eight in turn draw the joint aside by 1 / sin(π/8) bolts, half way round", () => {
    const { outputs } = judge(around(8), 8);
    expect(siOf(outputs, "oneSided")).toBeCloseTo(1 / Math.sin(Math.PI / 8), 9);
    expect(siOf(outputs, "at")).toBe(4);
  });

  it("a bolt left out or pulled twice fails and is named", () => {
    const { verdict, reasons } = judge([1, 5, 3, 7, 2, 6, 4, 4], 8);
    expect(verdict).toBe("fail");
    expect(reasons.join(" ")).toMatch(/\b8\b/);
    expect(reasons.join(" ")).toMatch(/\b4\b/);
  });
});

describe("studs and room", () => {
  it("a stud's length is what it clamps, its nuts and what shows", () => {
    // Two flanges of 22, a body of 60, two gaskets of 1.5, two washers of 3, ISO nuts of M20 (ISO 4032: 18 mm).
    const answer = answerTo("stud-length", {
      flange: "22 mm",
      valve: "60 mm",
      gasket: "1.5 mm",
      gaskets: "2",
      diameter: "20 mm",
      pitch: "2.5 mm",
    });
    expect(figureOf(answer, "clamped", "mm")).toBeCloseTo(2 * 22 + 60 + 2 * 1.5 + 2 * 3, 9);
    expect(figureOf(answer, "nutHeight", "mm")).toBeCloseTo(18, 9);
    expect(figureOf(answer, "needed", "mm")).toBeCloseTo(113 + 2 * 18 + 2 * 2 * 2.5, 9);
    expect(figureOf(answer, "stocked", "mm")).toBeGreaterThanOrEqual(figureOf(answer, "needed", "mm"));
  });

  it("what is stocked is never too short, and less than one step of stock too long", () => {
    let seen = 0;
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 90 }), fc.integer({ min: 0, max: 200 }), (flange, valve) => {
        for (const stock of ["metric", "inch"]) {
          const answer = answerTo("stud-length", { flange: `${flange} mm`, valve: `${valve} mm`, stock });
          const spare = figureOf(answer, "stocked", "mm") - figureOf(answer, "needed", "mm");
          expect(spare).toBeGreaterThanOrEqual(-1e-9);
          expect(spare).toBeLessThan(25.4);
          expect(siOf(answer.outputs, "showing")).toBeGreaterThanOrEqual(2 - 1e-9);
          seen++;
        }
      }),
    );
    expect(seen).toBeGreaterThan(100);
  });

  it("a bolt needs one nut and the threads of one end less", () => {
    const needed = (kind: string) => figure("stud-length", { kind }, "needed", "mm");
    const nut = figure("stud-length", {}, "nutHeight", "mm");
    expect(needed("stud") - needed("bolt")).toBeCloseTo(nut + 2 * 2, 9);
  });

  it("a body caught at both ends needs both registers free, and the freer neighbour goes first", () => {
    const short = answerTo("draw-out", { gap: "140 mm", left: "2 mm", right: "5 mm" });
    expect(figureOf(short, "spare", "mm")).toBeCloseTo(140 + 7 - 158, 9);
    expect(short.verdict).toBe("fail");
    expect(short.reasons[0]).toContain("right neighbour first");
    expect(figure("draw-out", { ends: "one" }, "needed", "mm")).toBeCloseTo(154, 9);
    expect(figure("draw-out", { ends: "none" }, "needed", "mm")).toBeCloseTo(150, 9);
  });
});

describe("threads in the hand", () => {
  it.each([
    ["19.0 mm", "10", "3/4-10 UNC"],
    ["0.249 in", "20", "1/4-20 UNC"],
    ["0.312 in", "24", "5/16-24 UNF"],
    ["1.121 in", "8", "1 1/8-8 8UN"],
  ])("%s over the crests with %s to the inch is %s", (diameter, perInch, thread) => {
    expect(wordsOf(answerTo("thread-finder", { diameter, perInch }).outputs, "thread")).toBe(thread);
  });

  it.each([
    ["11.9 mm", "1.75 mm", "M12"],
    ["23.9 mm", "1 mm", "M24 × 1"],
    ["9.9 mm", "1.25 mm", "M10 × 1.25"],
  ])("%s with a pitch of %s is %s", (diameter, pitch, thread) => {
    expect(wordsOf(answerTo("thread-finder", { by: "metric", diameter, pitch }).outputs, "thread")).toBe(
      thread,
    );
  });

  it("G 1/2 and 1/2 NPT have 14 to the inch both: only flanks and form part them", () => {
    const seen = (typed: Typed) =>
      answerTo("thread-finder", { diameter: "20.9 mm", perInch: "14", ...typed });
    expect(seen({}).verdict).toBe("watch");
    expect(wordsOf(seen({ form: "straight", flanks: "fiftyFive" }).outputs, "thread")).toBe("G 1/2");
    expect(wordsOf(seen({ form: "taper", flanks: "sixty" }).outputs, "thread")).toBe("1/2-14 NPT");
  });

  it("M12 and 1/2-13: the pitches are 0.204 mm apart, and it binds", () => {
    const answer = answerTo("two-threads", {});
    expect(figureOf(answer, "pitchDifference", "mm")).toBeCloseTo(1.75 - 25.4 / 13, 9);
    expect(figureOf(answer, "diameterDifference", "mm")).toBeCloseTo(12 - 12.7, 9);
    expect(answer.verdict).toBe("fail");
  });

  it("a thread passes with itself alone: every other pair is at least doubted", () => {
    const names = ["M10", "M10 × 1.25", "3/8-16 UNC", "G 1/2", "1/2-14 NPT", "1 1/2-9 NH, fire hose"];
    for (const screw of names)
      for (const nut of names)
        expect(answerTo("two-threads", { screw, nut }).verdict === "pass", `${screw} in ${nut}`).toBe(
          screw === nut,
        );
  });

  it("a taper thread goes in by its hand-tight length and the wrench's turns", () => {
    // ASME B1.20.1: 1/2-14 NPT, L1 = 0.320 in.
    const answer = answerTo("taper-thread", { size: "1/2" });
    expect(figureOf(answer, "handTight", "mm")).toBeCloseTo(0.32 * 25.4, 6);
    const turns = siOf(answer.outputs, "leastTurns");
    expect(figureOf(answer, "depth", "mm")).toBeCloseTo(0.32 * 25.4 + (turns * 25.4) / 14, 6);
    expect(siOf(answer.outputs, "mostTurns")).toBeGreaterThan(siOf(answer.outputs, "leastTurns"));
  });

  it("paste alone asks for no tape", () => {
    expect(answerTo("taper-thread", { seal: "paste" }).outputs.wraps).toBeUndefined();
    expect(siOf(answerTo("taper-thread", { seal: "tape", size: "2" }).outputs, "wraps")).toBe(5);
  });
});

describe("what holds the bolt", () => {
  it("a spanner that is too small is never the one named", () => {
    let seen = 0;
    fc.assert(
      fc.property(
        fc.integer({ min: 60, max: 600 }),
        fc.constantFrom("both", "inch", "metric"),
        (tenths, set) => {
          const answer = answerTo("spanner-finder", { flats: `${tenths / 10} mm`, set });
          expect(figureOf(answer, "slack", "mm")).toBeGreaterThan(-0.05);
          seen++;
        },
      ),
    );
    expect(seen).toBeGreaterThan(50);
  });

  it("of both sets the tighter of the two is named", () => {
    const slack = (set: string) => figure("spanner-finder", { flats: "18.8 mm", set }, "slack", "mm");
    expect(slack("both")).toBeCloseTo(Math.min(slack("inch"), slack("metric")), 9);
  });

  it("a locker takes twice as long ten kelvin colder, and longer in a wider gap, never shorter", () => {
    const hours = (typed: Typed) => figure("locker-cure", typed, "full", "h");
    expect(hours({ temperature: "22 °C" })).toBeCloseTo(24, 6);
    expect(hours({ temperature: "12 °C" })).toBeCloseTo(48, 6);
    expect(hours({ temperature: "22 °C", gap: "0.1 mm" })).toBeCloseTo(48, 6);
    expect(hours({ temperature: "22 °C", gap: "0.01 mm" })).toBeCloseTo(24, 6);
    expect(hours({ temperature: "22 °C", material: "stainless" })).toBeGreaterThan(24);
  });

  it("too cold sets no bell: there is nothing to wait for", () => {
    expect(answerTo("locker-cure", { temperature: "0 °C" }).bell).toBeUndefined();
    expect(answerTo("locker-cure", {}).bell).toMatchObject({ kind: "in" });
  });
});
