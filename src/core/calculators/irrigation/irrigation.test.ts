import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { siOf, wordsOf } from "..";
import { answerTo, figure, figureOf, type Typed } from "../calculators.fixtures";

describe("a coil's ohms", () => {
  it("copper at another temperature is brought back to 20 °C by 0.393 % a kelvin (IEC 60028)", () => {
    const at20 = (reading: string, temperature: string) =>
      figure("coil", { reading, temperature, leads: "0" }, "at20", "Ω");
    expect(at20("35", "20 °C")).toBeCloseTo(35, 9);
    expect(at20("48.755", "120 °C")).toBeCloseTo(35, 6);
    expect(at20("29.498", "-20 °C")).toBeCloseTo(35, 6);
  });

  it("judges the coil and not the weather: the same coil is sound at every temperature", () => {
    let seen = 0;
    fc.assert(
      fc.property(
        fc.integer({ min: 320, max: 380 }),
        fc.integer({ min: -30, max: 80 }),
        fc.integer({ min: 0, max: 20 }),
        (tenths, celsius, leads) => {
          const reading = (tenths / 10) * (1 + 0.00393 * (celsius - 20)) + leads / 10;
          const typed = { reading: `${reading}`, temperature: `${celsius} °C`, leads: `${leads / 10}` };
          const answer = answerTo("coil", typed);
          expect(answer.verdict).toBe("pass");
          expect(figureOf(answer, "at20", "Ω")).toBeCloseTo(tenths / 10, 6);
          expect(figureOf(answer, "low", "Ω")).toBeLessThanOrEqual(reading);
          expect(figureOf(answer, "high", "Ω")).toBeGreaterThanOrEqual(reading);
          seen++;
        },
      ),
    );
    expect(seen).toBeGreaterThan(50);
  });

  it.each([
    ["2.9", "dead short"],
    ["30.9", "shorted turns"],
    ["31.1", "sound"],
    ["38.9", "sound"],
    ["45", "high: a joint or the wrong coil"],
    ["500", "open, or nearly"],
  ])("%s ohms of a band of 31 to 39 at 20 °C are: %s", (reading, state) => {
    const answer = answerTo("coil", { reading, leads: "0", temperature: "20 °C" });
    expect(wordsOf(answer.outputs, "state")).toBe(state);
  });

  it("watts follow from ohms for direct current alone", () => {
    const direct = answerTo("coil", { reading: "36", leads: "0", temperature: "20 °C", direct: "24 V" });
    expect(figureOf(direct, "watts", "W")).toBeCloseTo(16, 9);
    expect(figureOf(direct, "current", "A")).toBeCloseTo(2 / 3, 9);
    expect(answerTo("coil").outputs.watts).toBeUndefined();
  });
});

describe("wire in the field", () => {
  it.each([
    // ASTM B258 and IEC 60228: ohms of a kilometre of copper at 20 °C, by its section.
    ["AWG 18", 20.95],
    ["AWG 14", 8.286],
    ["1.5 mm²", 11.49],
    ["2.5 mm²", 6.897],
  ])("a kilometre there and back of %s has twice %d ohms", (wire, ohms) => {
    const loop = figure("field-wire", { wire, common: wire, run: "1000 m" }, "loop", "Ω");
    expect(loop / (2 * ohms)).toBeCloseTo(1, 2);
  });

  it("drop and what is left make up the supply; the share is of the supply", () => {
    let seen = 0;
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 1500 }),
        fc.integer({ min: 1, max: 6 }),
        fc.constantFrom("current", "ohms"),
        (run, valves, load) => {
          const { outputs } = answerTo("field-wire", { run: `${run} m`, valves: `${valves}`, load });
          expect(siOf(outputs, "drop") + siOf(outputs, "left")).toBeCloseTo(25, 9);
          expect(siOf(outputs, "share")).toBeCloseTo(siOf(outputs, "drop") / 25, 9);
          expect(siOf(outputs, "current") * siOf(outputs, "loop")).toBeCloseTo(siOf(outputs, "drop"), 9);
          seen++;
        },
      ),
    );
    expect(seen).toBeGreaterThan(50);
  });

  it("ohms share the voltage: equal loop and coil leave half", () => {
    const loop = figure("field-wire", {}, "loop", "Ω");
    const typed = { load: "ohms", ohms: `${loop}`, needed: "5 V" };
    expect(figure("field-wire", typed, "left", "V")).toBeCloseTo(12.5, 9);
  });

  it("the wire it names next is the thinnest that does", () => {
    const answer = answerTo("field-wire", { run: "700 m" });
    expect(answer.verdict).toBe("fail");
    const next = wordsOf(answer.outputs, "next");
    expect(answerTo("field-wire", { run: "700 m", wire: next, common: next }).verdict).not.toBe("fail");
    const section = (wire: string) =>
      siOf(answer.tables.sizes!.find((row) => wordsOf(row, "wire") === wire)!, "section");
    for (const row of answer.tables.sizes!)
      if (siOf(row, "section") < section(next)) expect(siOf(row, "left")).toBeLessThan(20);
  });

  it("hot wire leaves less", () => {
    const left = (temperature: string) => figure("field-wire", { temperature }, "left", "V");
    expect(left("60 °C")).toBeLessThan(left("20 °C"));
  });
});

describe("a pilot's difference", () => {
  const pilot = (typed: Typed) => answerTo("pilot-differential", typed);

  it("opens from its least difference on, and stays open from its least flow on", () => {
    expect(pilot({ inlet: "0.49 bar", outlet: "0 bar" }).verdict).toBe("fail");
    expect(pilot({ inlet: "0.51 bar", outlet: "0 bar", flow: "60 L/min" }).verdict).toBe("pass");
    const least = figureOf(pilot({}), "leastFlow", "L/min");
    expect(least).toBeCloseTo((4.5 * Math.sqrt(0.2) * 1000) / 60, 6);
    expect(pilot({ flow: `${least * 1.01} L/min` }).verdict).toBe("pass");
    expect(pilot({ flow: `${least * 0.99} L/min` }).verdict).toBe("watch");
  });

  it("never has more across it than there is", () => {
    expect(figureOf(pilot({ flow: "500 L/min" }), "across", "bar")).toBeCloseTo(3, 9);
  });
});

describe("sensors", () => {
  it.each([
    // IEC 60751: °C, ohms of a Pt100.
    [-50, 80.306],
    [0, 100],
    [50, 119.397],
    [100, 138.506],
    [200, 175.856],
  ])("a Pt100 at %d °C has %d ohms, and a Pt1000 ten times as many", (celsius, ohms) => {
    const read = (kind: string, reading: number) =>
      answerTo("sensor-check", { kind, reading: `${reading}`, truth: `${Math.min(celsius, 120)} °C` });
    expect(figureOf(read("pt100", ohms), "reads", "°C")).toBeCloseTo(celsius, 1);
    expect(figureOf(read("pt1000", ohms * 10), "reads", "°C")).toBeCloseTo(celsius, 1);
    if (celsius <= 120) expect(figureOf(read("pt100", ohms), "should", "Ω")).toBeCloseTo(ohms, 1);
  });

  it("a thermistor at its own temperature has its own ohms, whatever its B", () => {
    for (const beta of ["3000 ΔK", "3435 ΔK", "3950 ΔK"])
      expect(figure("sensor-check", { beta, reading: "10000", truth: "25 °C" }, "reads", "°C")).toBeCloseTo(
        25,
        9,
      );
  });

  it("two that read each other's pipe are swapped, not worn", () => {
    const pt = (typed: Typed) => answerTo("sensor-check", { kind: "pt1000", ...typed });
    const swapped = pt({ reading: "1058.5", truth: "60 °C", second: "1232.4", secondTruth: "15 °C" });
    expect(wordsOf(swapped.outputs, "state")).toBe("swapped");
    const sound = pt({ reading: "1232.4", truth: "60 °C", second: "1058.5", secondTruth: "15 °C" });
    expect(sound.verdict).toBe("pass");
  });
});

describe("flushing and watering a zone", () => {
  it("by hand: 60 m of 28 mm hold 36.9 L, three changes at 40 L/min take 2.8 min", () => {
    const answer = answerTo("zone-flush");
    const volume = (Math.PI / 4) * 0.28 ** 2 * 600;
    expect(figureOf(answer, "volume", "L")).toBeCloseTo(volume, 6);
    expect(figureOf(answer, "time", "min")).toBeCloseTo((3 * volume) / 40, 6);
  });

  it("8 mm on 240 m² at 35 L/min take 55 min", () => {
    expect(figure("zone-flush", {}, "runTime", "min")).toBeCloseTo((240 * 8) / 35, 6);
  });

  it("is refused just below the speed that carries grit", () => {
    const needed = figure("zone-flush", {}, "needed", "L/min");
    expect(answerTo("zone-flush", { flow: `${needed * 0.99} L/min` }).verdict).toBe("fail");
    expect(answerTo("zone-flush", { flow: `${needed * 1.01} L/min` }).verdict).toBe("pass");
  });
});
