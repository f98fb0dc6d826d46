import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { siOf } from "..";
import { answerTo, figure, figureOf, type Typed } from "../calculators.fixtures";

describe("steam table", () => {
  it.each([
    // IAPWS-IF97 steam tables: bar abs, °C, latent kJ/kg, steam m³/kg.
    [1, 99.606, 2257.4, 1.6939],
    [2, 120.21, 2201.5, 0.88568],
    [5, 151.83, 2108.0, 0.3748],
    [10, 179.88, 2014.4, 0.19435],
    [50, 263.94, 1639.6, 0.039446],
    [100, 311.0, 1317.4, 0.018034],
    [200, 365.75, 584.3, 0.0058583],
  ])("at %d bar abs water boils at %d °C, with %d kJ/kg and %d m³/kg", (bar, celsius, latent, volume) => {
    const answer = answerTo("steam-table", { pressure: `${bar - 1.01325} bar g` });
    expect(figureOf(answer, "boilsAt", "°C")).toBeCloseTo(celsius, 1);
    expect(figureOf(answer, "latent", "kJ/kg") / latent).toBeCloseTo(1, 3);
    expect(figureOf(answer, "steamVolume", "m3/kg") / volume).toBeCloseTo(1, 3);
  });

  it("by pressure and by temperature lead to each other, and latent heat falls all the way", () => {
    let [last, seen] = [Number.POSITIVE_INFINITY, 0];
    for (let celsius = 5; celsius <= 370; celsius += 5) {
      const there = answerTo("steam-table", { known: "temperature", temperature: `${celsius} °C` });
      const pressure = `${figureOf(there, "absolute", "bar abs") - 1.01325} bar g`;
      const back = answerTo("steam-table", { pressure });
      expect(figureOf(back, "boilsAt", "°C")).toBeCloseTo(celsius, 5);
      expect(figureOf(there, "latent", "kJ/kg")).toBeLessThan(last);
      last = figureOf(there, "latent", "kJ/kg");
      seen++;
    }
    expect(seen).toBe(74);
  });

  it("at a given pressure hotter steam is lighter and richer", () => {
    const at = (temperature: string) =>
      answerTo("steam-table", { known: "both", pressure: "5 bar g", temperature });
    expect(figureOf(at("300 °C"), "volume", "m3/kg")).toBeGreaterThan(
      figureOf(at("200 °C"), "volume", "m3/kg"),
    );
    expect(figureOf(at("300 °C"), "heat", "kJ/kg")).toBeGreaterThan(figureOf(at("200 °C"), "heat", "kJ/kg"));
    // IF97 verification, table 15 of the release: 3.5 MPa, 300 K is no steam; 0.1 MPa at 200 °C gives 2875.5 kJ/kg.
    const low = answerTo("steam-table", { known: "both", pressure: "-0.01325 bar g", temperature: "200 °C" });
    expect(figureOf(low, "heat", "kJ/kg")).toBeCloseTo(2875.5, 0);
  });

  it("on a mountain the gauge stays and the boiling falls", () => {
    const sea = figure("steam-table", { pressure: "0 bar g" }, "boilsAt", "°C");
    const high = figure("steam-table", { pressure: "0 bar g", surroundings: "0.8 bar abs" }, "boilsAt", "°C");
    expect(sea).toBeCloseTo(99.97, 1);
    expect(high).toBeCloseTo(93.49, 1);
  });
});

describe("a trap stuck open", () => {
  it("Napier by hand: 51.43 lb/h for each in² and psi abs, so 1/8 in at 100 psi g passes 72.4 lb/h", () => {
    const answer = answerTo("trap-loss", { pressure: "100 psi", orifice: "1/8 in", coefficient: "1" });
    const byHand = 51.43 * (Math.PI / 4) * 0.125 ** 2 * 114.7;
    expect(byHand).toBeCloseTo(72.4, 1);
    expect(figureOf(answer, "napier", "lb/h") / byHand).toBeCloseTo(1, 2);
  });

  it("loses by its area: twice the bore four times as much, and the share in proportion", () => {
    const loss = (typed: Typed) => figure("trap-loss", typed, "loss", "kg/h");
    expect(loss({ orifice: "6.4 mm" })).toBeCloseTo(4 * loss({ orifice: "3.2 mm" }), 6);
    expect(loss({ share: "100 %" })).toBeCloseTo(2 * loss({ share: "50 %" }), 6);
  });

  it("a month costs its hours: 1 kg/h is 0.73 t", () => {
    const answer = answerTo("trap-loss", { price: "40" });
    const tonnes = (figureOf(answer, "loss", "kg/h") * 24 * (365.25 / 12)) / 1000;
    expect(siOf(answer.outputs, "cost")).toBeCloseTo(tonnes * 40, 4);
  });

  it("a heater wants three times its load, a main twice", () => {
    const at = (duty: string, capacity: number) =>
      answerTo("trap-loss", { duty, load: "100 kg/h", capacity: `${capacity} kg/h` }).verdict;
    expect(at("heater", 299)).toBe("fail");
    expect(at("heater", 300)).toBe("pass");
    expect(at("main", 199)).toBe("fail");
    expect(at("main", 200)).toBe("pass");
  });

  it("has no verdict where load and capacity were not said", () => {
    expect(answerTo("trap-loss").verdict).toBeUndefined();
  });
});

describe("radiators", () => {
  it("EDR: a square foot gives 240 Btu/h from steam at 215 °F and 150 from water at 170 °F in a room of 70 °F", () => {
    const gives = (typed: Typed) =>
      figure("radiator", { surface: "1 ft2", room: "70 °F", ...typed }, "gives", "Btu/h");
    expect(gives({ mean: "215 °F" })).toBeCloseTo(240, 3);
    expect(gives({ medium: "water", mean: "170 °F" })).toBeCloseTo(150, 3);
  });

  it("half the temperature over the room gives 0.5^1.3 = 41 %", () => {
    const at = (mean: string) => figure("radiator", { medium: "water", mean, room: "20 °C" }, "gives", "kW");
    expect(at("45 °C") / at("70 °C")).toBeCloseTo(0.5 ** 1.3, 9);
  });

  it("a kilowatt condenses 1.6 kg/h at 100 °C, through a plate of fitting size", () => {
    const answer = answerTo("radiator", { loss: "1 kW", mean: "100 °C" });
    expect(figureOf(answer, "steam", "kg/h")).toBeCloseTo(3600 / 2256.5, 2);
    const wider = answerTo("radiator", { loss: "2 kW", mean: "100 °C" });
    expect((figureOf(wider, "orifice", "mm") / figureOf(answer, "orifice", "mm")) ** 2).toBeCloseTo(2, 6);
    expect(answerTo("radiator", { medium: "water" }).outputs.orifice).toBeUndefined();
  });
});

describe("mixing", () => {
  it("hot and cold add up and carry the heat, whatever the supplies", () => {
    let seen = 0;
    fc.assert(
      fc.property(
        fc.integer({ min: 50, max: 90 }),
        fc.integer({ min: 2, max: 25 }),
        fc.integer({ min: 30, max: 45 }),
        (hot, cold, set) => {
          const answer = answerTo("mixing", {
            hot: `${hot} °C`,
            cold: `${cold} °C`,
            set: `${set} °C`,
            found: `${set} °C`,
          });
          const [a, b] = ["hotFlow", "coldFlow"].map((name) => figureOf(answer, name, "L/min"));
          expect(a! + b!).toBeCloseTo(12, 6);
          expect((a! * hot + b! * cold) / 12).toBeCloseTo(set, 6);
          expect(figureOf(answer, "coldFails", "°C")).toBeCloseTo(hot, 6);
          seen++;
        },
      ),
    );
    expect(seen).toBeGreaterThan(50);
  });

  it("an outlet that scalds stops everything else that could be said, up from 48 °C and not below", () => {
    expect(answerTo("mixing", { found: "60 °C", tolerance: "10 ΔK" }).verdict).toBe("stop");
    expect(answerTo("mixing", { found: "45 °C" }).verdict).toBe("fail");
    expect(answerTo("mixing", { found: "39.9 °C" }).verdict).toBe("pass");
  });

  it.each([
    // Moritz and Henriques 1947: seconds to a burn through the skin.
    ["49 °C", 540],
    ["60 °C", 5],
    ["55 °C", 25],
  ])("water of %s burns an adult in about %d s", (hot, seconds) => {
    expect(figure("mixing", { hot, set: "38 °C" }, "scaldFailed", "s")).toBeCloseTo(seconds, 6);
  });

  it("warns of legionella where hot arrives under 60 °C, and not at 60", () => {
    const said = (hot: string) => answerTo("mixing", { hot }).cautions.join(" ").includes("legionella");
    expect(said("59 °C")).toBe(true);
    expect(said("60 °C")).toBe(false);
  });
});

describe("descaling", () => {
  it("lime takes two protons: 100 g need 128 g citric, 194 g sulfamic or 73 g hydrochloric acid", () => {
    const lime = figure("descale", {}, "lime", "g");
    for (const [acid, perLime] of [
      ["citric", (2 / 3) * (192.124 / 100.087)],
      ["sulfamic", 2 * (97.09 / 100.087)],
      ["hydrochloric", 2 * (36.461 / 100.087)],
    ] as const)
      expect(figure("descale", { acid }, "acidNeeded", "g") / lime, acid).toBeCloseTo(perLime, 4);
  });

  it("the bath is water first and then so much concentrate that it comes out as wanted", () => {
    const answer = answerTo("descale", { bath: "10 L", wanted: "5 %", concentrate: "50 %" });
    expect(figureOf(answer, "take", "g")).toBeCloseTo(1000, 6);
    expect(figureOf(answer, "waterFirst", "L")).toBeCloseTo(9, 6);
  });

  it("chlorine beside acid stops it, whatever else is right", () => {
    for (const acid of ["citric", "sulfamic", "hydrochloric"]) {
      const answer = answerTo("descale", { acid, chlorine: "yes" });
      expect(answer.verdict).toBe("stop");
      expect(answer.reasons[0]).toContain("chlorine gas");
    }
  });

  it("ten kelvin warmer soaks half as long", () => {
    const soak = (temperature: string) => figure("descale", { temperature }, "soak", "min");
    expect(soak("40 °C")).toBeCloseTo(soak("20 °C") / 4, 6);
  });
});
