import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { wordsOf } from "..";
import { answerTo, figure, figureOf, type Typed } from "../calculators.fixtures";

const G = 9.80665;

describe("what pushes on a cover", () => {
  it("2 bar on 150 mm push with 3.53 kN, as 360 kg would", () => {
    const answer = answerTo("cover-force");
    expect(figureOf(answer, "force", "kN")).toBeCloseTo((200 * Math.PI * 0.15 ** 2) / 4, 6);
    expect(figureOf(answer, "weight", "kg")).toBeCloseTo(360.4, 0);
    expect(figureOf(answer, "each", "kN") * 8).toBeCloseTo(figureOf(answer, "force", "kN"), 9);
  });

  it("fewer bolts carry more, never less than their even share", () => {
    let last = 0;
    for (let slack = 0; slack < 8; slack++) {
      const each = figure("cover-force", { slack: `${slack}` }, "slackEach", "kN");
      const force = figure("cover-force", {}, "force", "kN");
      expect(each).toBeGreaterThanOrEqual(force / (8 - slack) - 1e-9);
      expect(each).toBeGreaterThan(last);
      last = each;
    }
  });

  it("gas throws, water does not: energy grows with what is shut in", () => {
    const energy = (typed: Typed) => figure("cover-force", typed, "energy", "kJ");
    expect(energy({ gas: "0 L" })).toBe(0);
    expect(energy({ gas: "40 L" })).toBeCloseTo(2 * energy({ gas: "20 L" }), 9);
    expect(energy({ pressure: "4 bar g" })).toBeGreaterThan(2 * energy({ pressure: "2 bar g" }));
    // Adiabatic work by hand: p·V/(k−1)·(1 − (pa/p)^((k−1)/k)), 3.01325 bar abs, 20 L, k = 1.4.
    const byHand = ((3.01325e5 * 0.02) / 0.4) * (1 - (1.01325 / 3.01325) ** (0.4 / 1.4));
    expect(energy({}) * 1000).toBeCloseTo(byHand, -1);
  });

  it("any pressure at all is let down first: only none passes", () => {
    let seen = 0;
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 2000 }), (hundredths) => {
        expect(answerTo("cover-force", { pressure: `${hundredths / 100} bar g` }).verdict).not.toBe("pass");
        seen++;
      }),
    );
    expect(seen).toBeGreaterThan(50);
    expect(answerTo("cover-force", { pressure: "0 bar g" }).verdict).toBe("pass");
  });
});

describe("a meter on a circuit", () => {
  const FIT = {
    place: "3",
    category: "3",
    rated: "600 V",
    leadCategory: "3",
    leadRated: "600 V",
    voltage: "400 V",
  };

  it("fits where meter and leads both bear the place and the voltage, and not where either does not", () => {
    let [fit, unfit] = [0, 0];
    fc.assert(
      fc.property(
        fc.constantFrom("2", "3", "4"),
        fc.constantFrom("2", "3", "4"),
        fc.constantFrom("2", "3", "4"),
        fc.constantFrom(300, 600, 1000),
        fc.constantFrom(300, 600, 1000),
        fc.integer({ min: 60, max: 1000 }),
        (place, category, leadCategory, rated, leadRated, voltage) => {
          const typed = { place, category, leadCategory, voltage: `${voltage} V` };
          const answer = answerTo("meter-fitness", {
            ...typed,
            rated: `${rated} V`,
            leadRated: `${leadRated} V`,
          });
          const good =
            Number(category) >= Number(place) &&
            Number(leadCategory) >= Number(place) &&
            Math.min(rated, leadRated) >= voltage;
          expect(answer.verdict).toBe(good ? "pass" : "stop");
          if (good) fit++;
          else unfit++;
        },
      ),
    );
    expect(Math.min(fit, unfit)).toBeGreaterThan(3);
  });

  it("live, dead, live stands on every answer, fit or not", () => {
    for (const state of ["sound", "worn"]) {
      const { outputs } = answerTo("meter-fitness", { ...FIT, state });
      expect([wordsOf(outputs, "first"), wordsOf(outputs, "second"), wordsOf(outputs, "third")]).toEqual([
        expect.stringContaining("Live:"),
        expect.stringContaining("Dead:"),
        expect.stringContaining("Live:"),
      ]);
    }
  });
});

describe("exposure", () => {
  const read = (reading: string, typed: Typed = {}) => answerTo("exposure", { reading, ...typed });

  it.each([
    // NIOSH: day, 15 minutes, immediately dangerous.
    ["ammonia", "25 ppm", "under the day's limit"],
    ["ammonia", "26 ppm", "over the day's limit"],
    ["ammonia", "36 ppm", "over the 15-minute limit"],
    ["ammonia", "300 ppm", "immediately dangerous"],
    ["co2", "5000 ppm", "under the day's limit"],
    ["co2", "30001 ppm", "over the 15-minute limit"],
    ["co2", "40000 ppm", "immediately dangerous"],
  ])("%s at %s is %s", (gas, reading, means) => {
    expect(wordsOf(read(reading, { gas }).outputs, "means")).toBe(means);
  });

  it("no gear makes a higher reading milder", () => {
    const RANK = ["pass", "watch", "fail", "stop"];
    for (const gas of ["ammonia", "co2"])
      for (const gear of ["none", "half", "full", "air"]) {
        let last = 0;
        for (const ppm of [0, 10, 25, 26, 36, 100, 250, 251, 299, 300, 5001, 30_001, 40_000, 150_000]) {
          const now = RANK.indexOf(read(`${ppm} ppm`, { gas, gear }).verdict!);
          expect(now, `${gas} ${gear} ${ppm}`).toBeGreaterThanOrEqual(last);
          last = now;
        }
      }
  });

  it("airing is a falling exponential: ten times the limit takes ln 10 over the changes that count", () => {
    const minutes = figureOf(read("250 ppm", { gear: "full", changes: "12", mixing: "50 %" }), "time", "min");
    expect(minutes).toBeCloseTo((Math.log(10) / 6) * 60, 6);
  });

  it("45.4 kg of ammonia are reported, a gram less is not; CO2 by the site", () => {
    const report = (typed: Typed) => wordsOf(read("10 ppm", typed).outputs, "report");
    expect(report({ released: "45.36 kg" })).toContain("at once to the authorities");
    expect(report({ released: "45.3 kg" })).toContain("under 100 lb");
    expect(report({ gas: "co2", released: "80 kg" })).toContain("by your site's procedure");
    expect(report({})).toBe("nothing released yet");
  });

  it("a pound of ammonia wants a gallon of water, and warms it", () => {
    const dump = read("10 ppm", { released: "1 lb", water: "1 US gal" });
    expect(figureOf(dump, "needed", "US gal")).toBeCloseTo(1, 6);
    // 34.2 kJ/mol: 2017 kJ/kg · 0.4536 kg into 3.785 kg of water.
    expect(figureOf(dump, "warms", "ΔK")).toBeCloseTo((2017 * 0.4536) / (3.785 * 4.19), 0);
  });
});

describe("what a gauge can prove", () => {
  it("error is class and half a mark, and weather where the bound is absolute", () => {
    const error = (typed: Typed) =>
      figure("gauge-fitness", { full: "10 bar g", mark: "0.2 bar", class: "1 %", ...typed }, "error", "bar");
    expect(error({})).toBeCloseTo(0.1 + 0.1 + 0.03, 6);
    expect(error({ kind: "gauge" })).toBeCloseTo(0.1 + 0.1, 6);
  });

  it("turns exactly at the bound and its error, above and below", () => {
    const typed = { full: "10 bar g", mark: "0.2 bar", class: "1 %", kind: "gauge", boundGauge: "2 bar g" };
    const at = (prove: string, reading: number) =>
      answerTo("gauge-fitness", { ...typed, prove, reading: `${reading} bar g` }).verdict;
    expect([at("above", 2.21), at("above", 2.19)]).toEqual(["pass", "fail"]);
    expect([at("below", 1.79), at("below", 1.81)]).toEqual(["pass", "fail"]);
  });

  it("zero is not proven on a large gauge", () => {
    const zero = (full: string, mark: string) =>
      answerTo("gauge-fitness", {
        prove: "below",
        kind: "gauge",
        boundGauge: "0.1 bar g",
        reading: "0 bar g",
        full,
        mark,
      });
    expect(zero("160 bar g", "5 bar").verdict).not.toBe("pass");
    expect(zero("1 bar g", "0.02 bar").verdict).toBe("pass");
  });
});

describe("lifting", () => {
  it("two legs at 60° from upright carry the whole load each; four count as two", () => {
    const leg = (typed: Typed) => figure("lift", { known: "given", mass: "100 kg", ...typed }, "leg", "kN");
    expect(leg({ legs: "1", angle: "0 °" })).toBeCloseTo(0.1 * G, 6);
    expect(leg({ legs: "2", angle: "0 °" })).toBeCloseTo(0.05 * G, 6);
    expect(leg({ legs: "2", angle: "60 °" })).toBeCloseTo(0.1 * G, 6);
    expect(leg({ legs: "4", angle: "30 °" })).toBeCloseTo(leg({ legs: "2", angle: "30 °" }), 9);
  });

  it("flatter than 60° is forbidden, however light", () => {
    expect(answerTo("lift", { known: "given", mass: "5 kg", angle: "61 °" }).verdict).toBe("stop");
    expect(answerTo("lift", { known: "given", mass: "5 kg", angle: "60 °" }).verdict).toBe("pass");
  });

  it("a spring under a cover is warned of, a guess says that it is one", () => {
    expect(answerTo("lift", { spring: "1 kN" }).cautions.join(" ")).toContain("throws the cover");
    expect(answerTo("lift", { known: "guess" }).cautions.join(" ")).toContain(
      "Guessed from demonstration figures",
    );
    expect(answerTo("lift", { known: "given" }).cautions.join(" ")).not.toContain("Guessed");
  });

  it("larger, heavier class, whole body before cover", () => {
    const mass = (typed: Typed) => figure("lift", typed, "mass", "kg");
    expect(mass({ size: "200 mm" })).toBeGreaterThan(mass({ size: "100 mm" }));
    expect(mass({ class: "pn40" })).toBeGreaterThan(mass({ class: "pn16" }));
    expect(mass({ what: "cover" })).toBeLessThan(mass({ what: "body" }));
  });
});

describe("a balanced actuator", () => {
  it("trips where diaphragm and seat push alike: areas 4 to 1 hold 7 bar with 1.75", () => {
    const answer = answerTo("actuator-balance");
    expect(figureOf(answer, "trip", "bar g")).toBeCloseTo(7 / 4, 9);
    expect(figureOf(answer, "margin", "%")).toBeCloseTo(100, 6);
    expect(figureOf(answer, "bears", "bar g")).toBeCloseTo(14, 6);
  });

  it("just below its trip it is a stop, just above a watch", () => {
    expect(answerTo("actuator-balance", { supply: "1.74 bar g" }).verdict).toBe("stop");
    expect(answerTo("actuator-balance", { supply: "1.76 bar g" }).verdict).toBe("watch");
    expect(answerTo("actuator-balance", { supply: "2.2 bar g" }).verdict).toBe("pass");
  });
});

describe("a relief valve's vent", () => {
  it("a wider line reaches farther, more capacity less far", () => {
    const longest = (typed: Typed) => figure("relief-vent", typed, "longest", "m");
    let last = 0;
    for (const size of ["DN40", "DN50", "DN65", "DN80", "DN100"]) {
      expect(longest({ size }), size).toBeGreaterThan(last);
      last = longest({ size });
    }
    expect(longest({ capacity: "1368 kg/h" })).toBeLessThan(longest({}) / 3);
  });

  it("the size it names next is long enough, and the one before it is not", () => {
    const sizes = ["DN15", "DN20", "DN25", "DN32", "DN40", "DN50", "DN65", "DN80", "DN90", "DN100"];
    for (const length of ["5 m", "18 m", "60 m", "200 m"]) {
      const answer = answerTo("relief-vent", { size: "DN15", length });
      expect(answer.verdict, length).toBe("fail");
      const at = sizes.indexOf(`DN${/DN (\d+)/.exec(wordsOf(answer.outputs, "next"))![1]}`);
      expect(at, length).toBeGreaterThan(0);
      expect(answerTo("relief-vent", { size: sizes[at]!, length }).verdict, length).toBe("pass");
      expect(answerTo("relief-vent", { size: sizes[at - 1]!, length }).verdict, length).toBe("fail");
    }
  });
});
