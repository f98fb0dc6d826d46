import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { siOf, wordsOf } from "..";
import { answerTo, figure, figureOf, type Typed } from "../calculators.fixtures";

const AIR = 1.01325;

describe("hydrant flow", () => {
  it.each([
    // NFPA 291, 4.10.1: Q = 29.84·c·d²·√p, for a 2 1/2 in rounded outlet (c = 0.9).
    ["10 psi", 530.8],
    ["20 psi", 750.6],
    ["30 psi", 919.3],
    ["50 psi", 1186.8],
  ])("a pitot of %s on a rounded 2 1/2 in outlet flows %d US gpm", (pitot1, gpm) => {
    expect(figure("hydrant-flow", { pitot1, diameter1: "2.5 in" }, "flow", "US gpm")).toBeCloseTo(gpm, 0);
  });

  it("outlets add up, each by its shape", () => {
    const one = (typed: Typed) => figure("hydrant-flow", typed, "flow", "US gpm");
    const both = one({ outlets: "2", shape2: "projecting" });
    expect(both).toBeCloseTo(one({}) + one({ shape1: "projecting" }), 6);
    // c = 0.9, 0.8, 0.7.
    expect(one({ shape1: "square" }) / one({})).toBeCloseTo(0.8 / 0.9, 9);
    expect(one({ shape1: "projecting" }) / one({})).toBeCloseTo(0.7 / 0.9, 9);
  });

  it.each([
    // Rated at 20 psi, classes of NFPA 291, 5.1: AA from 1500, A from 1000, B from 500, C below.
    ["40 psi", /AA/],
    ["8 psi", /^A\b/],
    ["5 psi", /^B\b/],
    ["1 psi", /^C\b/],
  ])("with %s at the pitot, 80 psi static and 70 residual, the class is %s", (pitot1, name) => {
    const answer = answerTo("hydrant-flow", {
      static: "80 psi",
      residual: "70 psi",
      rated: "20 psi",
      pitot1,
    });
    const rated = figureOf(answer, "flow", "US gpm") * (60 / 10) ** 0.54;
    expect(figureOf(answer, "rated", "US gpm")).toBeCloseTo(rated, 3);
    expect(wordsOf(answer.outputs, "class")).toMatch(name);
  });

  it("rated at the residual it measured, the flow is the one it measured", () => {
    let seen = 0;
    fc.assert(
      fc.property(fc.integer({ min: 30, max: 120 }), fc.integer({ min: 5, max: 25 }), (still, drop) => {
        const residual = `${still - drop} psi`;
        const answer = answerTo("hydrant-flow", { static: `${still} psi`, residual, rated: residual });
        expect(siOf(answer.outputs, "rated")).toBeCloseTo(siOf(answer.outputs, "flow"), 9);
        seen++;
      }),
    );
    expect(seen).toBeGreaterThan(50);
  });

  it("a drop that proves nothing is no test: under a tenth and under 10 psi", () => {
    const test = (still: number, residual: number) =>
      answerTo("hydrant-flow", { static: `${still} psi`, residual: `${residual} psi` });
    expect(test(120, 111).verdict).toBe("watch");
    expect(test(120, 109.9).verdict).toBe("pass");
    expect(test(60, 53).verdict).toBe("pass");
  });

  it("a fifth less than the last test looks for a valve part shut, a tenth less does not", () => {
    const now = figure("hydrant-flow", {}, "rated", "US gpm");
    const later = (share: number) => answerTo("hydrant-flow", { before: `${now / share} US gpm` });
    expect(later(0.79).verdict).toBe("fail");
    expect(later(0.9).verdict).toBe("pass");
    expect(figureOf(later(0.9), "change", "%")).toBeCloseTo(-10, 6);
  });
});

describe("draining and filling", () => {
  it("by hand: 31.8 L in a 150 mm barrel leave through 8 mm in 5 min 44 s (Torricelli)", () => {
    const answer = answerTo("drain-down");
    const volume = (Math.PI / 4) * 0.15 ** 2 * 1.8;
    const seconds = (2 * volume) / (0.62 * (Math.PI / 4) * 0.008 ** 2 * Math.sqrt(2 * 9.80665 * 1.8));
    expect(figureOf(answer, "volume", "L")).toBeCloseTo(volume * 1000, 6);
    expect(figureOf(answer, "time", "s")).toBeCloseTo(seconds, 6);
    expect(seconds).toBeCloseTo(343.6, 0);
  });

  it("a level in between is reached in between, and with it so much is out", () => {
    let seen = 0;
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 179 }), (left) => {
        const answer = answerTo("drain-down", { left: `${left} cm` });
        expect(figureOf(answer, "toLevel", "min")).toBeLessThan(figureOf(answer, "time", "min"));
        expect(figureOf(answer, "drained", "L") / figureOf(answer, "volume", "L")).toBeCloseTo(
          1 - left / 180,
          9,
        );
        seen++;
      }),
    );
    expect(seen).toBeGreaterThan(50);
    expect(figure("drain-down", { left: "0.45 m" }, "toLevel", "min")).toBeCloseTo(
      figure("drain-down", {}, "time", "min") / 2,
      9,
    );
  });

  it("says there is no verdict only where no limit was given", () => {
    const words = (typed: Typed) => {
      const { reasons, cautions } = answerTo("drain-down", typed);
      return [...reasons, ...cautions].join(" ");
    };
    expect(words({})).toContain("there is no verdict");
    expect(words({ limit: "10 min" })).not.toContain("no verdict");
    expect(words({ vent: "none" })).toContain("glugs");
  });

  it("a pipe size and its bore drain alike (ASME B36.10M: DN100 schedule 40 is 102.26 mm inside)", () => {
    const bySize = figure("drain-down", { by: "size", size: "DN100", schedule: "40" }, "volume", "L");
    expect(bySize).toBeCloseTo(figure("drain-down", { bore: "102.26 mm" }, "volume", "L"), 2);
  });

  it("a vessel holds all of itself when full, half when half full, and its heads are those of the books", () => {
    const inside = 0.9;
    for (const [head, volume] of [
      ["elliptical", (Math.PI * inside ** 3) / 24],
      ["hemispherical", (Math.PI * inside ** 3) / 12],
      ["flat", 0],
    ] as const)
      for (const way of ["lying", "standing"]) {
        const whole = answerTo("vessel-content", { head, way });
        expect(figureOf(whole, "heads", "m3")).toBeCloseTo(2 * volume, 9);
        const top = figureOf(whole, "height", "m");
        const at = (level: number) =>
          figure("vessel-content", { head, way, level: `${level} m` }, "full", "%");
        expect(at(top)).toBeCloseTo(100, 6);
        expect(at(top / 2)).toBeCloseTo(50, 6);
        expect(at(0.3 * top) + at(0.7 * top), `${head} ${way}`).toBeCloseTo(100, 6);
      }
  });

  it("what is let out is what it held above the lower level", () => {
    const answer = answerTo("vessel-content", { level: "0.6 m", down: "0.2 m" });
    const held = (level: string) => figure("vessel-content", { level }, "held", "L");
    expect(figureOf(answer, "out", "L")).toBeCloseTo(held("0.6 m") - held("0.2 m"), 6);
  });

  it("the slowest of vents, speed and supply sets the pace", () => {
    const fill = (typed: Typed) => answerTo("fill-and-vent", typed);
    const pipe = (Math.PI / 4) * 0.15 ** 2;
    const free = fill({ supply: "100000 L/min", orifice: "100 mm" });
    expect(figureOf(free, "rate", "L/min")).toBeCloseTo(0.3 * pipe * 60_000, 6);
    expect(free.reasons[0]).toContain("0.3 m/s");
    expect(figureOf(fill({ supply: "60 L/min" }), "rate", "L/min")).toBeCloseTo(60, 9);
    expect(fill({ orifice: "3 mm" }).reasons[0]).toContain("vents set the pace");
    expect(figureOf(fill({ supply: "60 L/min" }), "time", "min")).toBeCloseTo((pipe * 420 * 1000) / 60, 6);
  });
});

describe("water hammer", () => {
  it("is ρ·a·Δv at once, and falls in proportion once slower than the wave's way there and back", () => {
    const whole = answerTo("hammer", { closing: "0.01 s" });
    const [wave, rise] = [figureOf(whole, "wave", "m/s"), figureOf(whole, "rise", "bar")];
    expect(rise).toBeCloseTo((999.1 * wave * 1.5) / 1e5, 2);
    const critical = figureOf(whole, "critical", "s");
    expect(critical).toBeCloseTo(840 / wave, 9);
    const slow = figure("hammer", { closing: `${4 * critical} s` }, "rise", "bar");
    expect(slow).toBeCloseTo(rise / 4, 6);
  });

  it("in a soft pipe runs slower and strikes less: steel, iron, copper before PVC before PE", () => {
    const waves = ["steel", "pvc", "pe"].map((pipe) => figure("hammer", { pipe }, "wave", "m/s"));
    expect(waves[0]).toBeGreaterThan(waves[1]!);
    expect(waves[1]).toBeGreaterThan(waves[2]!);
    // No faster than sound in open water at 15 °C.
    for (const wave of waves) expect(wave).toBeLessThan(1467);
  });

  it("no closing is slow enough where the pressure is at the rating already", () => {
    const answer = answerTo("hammer", { running: "16 bar g" });
    expect(answer.verdict).toBe("stop");
    expect(answer.reasons[0]).toContain("already at the rating");
  });
});

describe("what leaks by", () => {
  it("by Boyle: 80 L on 3 bar g, from 5 to 4.5 bar g in 10 min, lose 0.484 L/min", () => {
    const held = (gauge: number) => 80 * (1 - (3 + AIR) / (gauge + AIR));
    const answer = answerTo("leak-by");
    expect(figureOf(answer, "lost", "L")).toBeCloseTo(held(5) - held(4.5), 6);
    expect(figureOf(answer, "leak", "L/min")).toBeCloseTo((held(5) - held(4.5)) / 10, 6);
    expect(figureOf(answer, "sleep", "min")).toBeCloseTo(
      ((held(5) - held(4)) / (held(5) - held(4.5))) * 10,
      6,
    );
  });

  it("a pump that only churns heats its water by its power: 2 kW at 85 % in 12 L are 2 K a minute", () => {
    const churn = figure("leak-by", { power: "2 kW" }, "churn", "ΔK");
    expect(churn).toBeCloseTo((60 * 2000 * 0.85) / (12 * 0.9991 * 4186), 1);
    expect(answerTo("leak-by", { power: "2 kW" }).cautions.join(" ")).toContain("heats its water");
  });

  it.each([
    ["10 m", "15 °C", 0.9798],
    ["100 ft", "60 °F", 2.986],
    ["10 m", "80 °C", 0.953],
  ])("%s of water at %s press with %d bar", (height, temperature, bar) => {
    expect(figure("head", { height, temperature }, "pressure", "bar")).toBeCloseTo(bar, 3);
  });

  it("height and pressure lead back to each other in every fluid", () => {
    for (const fluid of ["water", "glycol", "oil", "ammonia", "brine", "other"]) {
      const pressure = figure("head", { fluid, height: "7 m" }, "pressure", "bar");
      const height = figure("head", { fluid, known: "pressure", pressure: `${pressure} bar` }, "height", "m");
      expect(height, fluid).toBeCloseTo(7, 9);
    }
  });
});

describe("decay test", () => {
  const decay = (typed: Typed) => answerTo("decay-test", typed);

  it("5 L of trapped air from 3 bar g to nothing have let 14.8 L of water out (Boyle)", () => {
    const answer = decay({
      fill: "water",
      volume: "1000 L",
      trapped: "0.5 %",
      first: "3 bar g",
      last: "0 bar g",
    });
    // The water gives 0.15 L by itself: 1000 L · 3 bar / 2.1 GPa.
    expect(figureOf(answer, "leak", "L/min") * 10).toBeCloseTo(5 * ((3 + AIR) / AIR - 1) + 0.15, 1);
    expect(answer.verdict).toBe("fail");
  });

  it("a gas that only warmed or cooled has lost nothing (p₂ = p₁·T₂/T₁)", () => {
    let seen = 0;
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 20 }), fc.integer({ min: -15, max: 30 }), (bar, celsius) => {
        const risen = ((bar + AIR) * (celsius + 273.15)) / 288.15 - AIR;
        const answer = decay({
          first: `${bar} bar g`,
          last: `${risen} bar g`,
          lastTemperature: `${celsius} °C`,
          allowed: "1 L/min",
        });
        expect(figureOf(answer, "leak", "L/min")).toBeCloseTo(0, 6);
        expect(answer.verdict).toBe("pass");
        seen++;
      }),
    );
    expect(seen).toBeGreaterThan(50);
  });

  it("the same fall in twice the time leaks half as much", () => {
    const leak = (time: string) => figureOf(decay({ time }), "leak", "L/min");
    expect(leak("20 min")).toBeCloseTo(leak("10 min") / 2, 9);
  });

  it("without a reading of the temperature nothing is passed, in whatever time", () => {
    for (const time of ["10 min", "60 min", "600 min"])
      expect(decay({ time, last: "6 bar g", lastTemperature: "", allowed: "1 L/min" }).verdict).toBe("watch");
  });
});
