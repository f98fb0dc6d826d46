import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { siOf, wordsOf } from "..";
import { answerTo, figure, figureOf, type Typed } from "../calculators.fixtures";

const AIR = 1.01325;

describe("saturation", () => {
  it.each([
    // NIST reference tables: refrigerant, °C, bar abs.
    ["ammonia", -33.33, 1.0133],
    ["ammonia", -20, 1.9008],
    ["ammonia", 0, 4.2938],
    ["ammonia", 20, 8.5748],
    ["ammonia", 40, 15.554],
    ["co2", -50, 6.8234],
    ["co2", -20, 19.696],
    ["co2", 0, 34.851],
    ["co2", 20, 57.291],
    ["co2", 30, 72.137],
  ])("%s boils at %d °C under %d bar abs, both ways", (refrigerant, celsius, bar) => {
    const there = answerTo("saturation", { refrigerant, known: "temperature", temperature: `${celsius} °C` });
    expect(figureOf(there, "absolute", "bar abs") / bar).toBeCloseTo(1, 2);
    const back = answerTo("saturation", { refrigerant, pressure: `${bar - AIR} bar g` });
    expect(Math.abs(figureOf(back, "temperature", "°C") - celsius)).toBeLessThan(0.2);
  });

  it.each([
    // NIST: kJ/kg of latent heat, kg/m³ of liquid.
    ["ammonia", -10, 1296.7, 651.6],
    ["ammonia", 20, 1186.3, 610.2],
    ["co2", -10, 258.6, 982.9],
    ["co2", 20, 152.0, 773.4],
  ])("%s at %d °C: %d kJ/kg, %d kg/m³", (refrigerant, celsius, latent, liquid) => {
    const answer = answerTo("saturation", {
      refrigerant,
      known: "temperature",
      temperature: `${celsius} °C`,
    });
    expect(figureOf(answer, "latent", "kJ/kg") / latent).toBeCloseTo(1, 2);
    expect(figureOf(answer, "liquid", "kg/m3") / liquid).toBeCloseTo(1, 2);
  });

  it("a gauge at another height shows the same boiling at another figure", () => {
    const at = (surroundings: string) =>
      figure("saturation", { known: "temperature", temperature: "-10 °C", surroundings }, "gauge", "bar g");
    expect(at("0.9 bar abs") - at("1 bar abs")).toBeCloseTo(0.1, 9);
  });
});

describe("charging CO2", () => {
  const charge = (typed: Typed) => answerTo("co2-charge", typed);

  it("liquid waits for triple point, margin and gauge error together, to the hundredth", () => {
    let [stopped, let_] = [0, 0];
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1200 }),
        fc.integer({ min: 10, max: 300 }),
        fc.integer({ min: 0, max: 100 }),
        (pressure, margin, error) => {
          const typed = {
            pressure: `${pressure / 100} bar g`,
            margin: `${margin / 100} bar`,
            error: `${error / 100} bar`,
          };
          const clear = 5.1795 + margin / 100 + error / 100 - AIR;
          if (Math.abs(pressure / 100 - clear) < 0.005) return;
          const ready = pressure / 100 > clear;
          expect(charge({ ...typed, port: "liquid" }).verdict).toBe(ready ? "pass" : "stop");
          expect(charge({ ...typed, port: "vapour" }).verdict).toBe(ready ? "pass" : "watch");
          expect(figureOf(charge(typed), "clear", "bar g")).toBeCloseTo(clear, 2);
          if (ready) let_++;
          else stopped++;
        },
      ),
    );
    expect(Math.min(stopped, let_)).toBeGreaterThan(10);
  });

  it("says what freezes where it would, and that nothing does once clear", () => {
    expect(wordsOf(charge({ pressure: "2 bar g" }).outputs, "freezes")).toContain("dry ice");
    expect(wordsOf(charge({ pressure: "20 bar g" }).outputs, "freezes")).toBe("nothing");
    expect(charge({ pressure: "20 bar g" }).cautions.join(" ")).toContain("Dry ice in a shut section");
  });
});

describe("relief of a vessel", () => {
  it.each([
    // ANSI/ASHRAE 15: f in lb/min of air for each ft² of diameter times length.
    ["ammonia", 0.5],
    ["co2", 1],
    ["R22", 1.6],
    ["r134a", 1.6],
    ["R404A", 2.5],
    ["R410A", 2.5],
    ["R290", 1],
  ])("%s: a vessel of 3 ft by 8 ft needs %d · 24 lb/min of air", (refrigerant, f) => {
    const answer = answerTo("relief-check", { refrigerant, diameter: "3 ft", length: "8 ft" });
    expect(figureOf(answer, "required", "lb/h")).toBeCloseTo(f * 24 * 60, 3);
  });

  it("with anything that burns beside it two and a half times as much", () => {
    const required = (fire: string) => figure("relief-check", { fire }, "required", "kg/h");
    expect(required("yes") / required("no")).toBeCloseTo(2.5, 9);
  });

  it("too small is a stop before all that only fails, and every fault is told", () => {
    const answer = answerTo("relief-check", { capacity: "10 kg/h", fitted: "single", working: "16 bar g" });
    expect(answer.verdict).toBe("stop");
    expect(answer.reasons.length).toBeGreaterThanOrEqual(4);
  });

  it("its years are over on the day, watched three months before, quiet earlier", () => {
    const on = (today: string) =>
      answerTo("relief-check", { installed: "2021-06-15", today, years: "1826 d" });
    expect(on("2026-06-15").verdict).toBe("fail");
    expect(on("2026-06-14").verdict).toBe("watch");
    expect(on("2026-03-18").verdict).toBe("watch");
    expect(on("2026-02-01").verdict).toBe("pass");
    expect(wordsOf(on("2026-02-01").outputs, "due")).toBe("2026-06-15");
  });
});

describe("liquid between two shut valves", () => {
  it("warms to its rating in proportion: twice the warming half the time, half the room half the kelvin", () => {
    const base = answerTo("locked-liquid");
    expect(figure("locked-liquid", { warming: "20 ΔK" }, "time", "min")).toBeCloseTo(
      figureOf(base, "time", "min") / 2,
      6,
    );
    expect(figure("locked-liquid", { room: "12.5 bar" }, "kelvin", "ΔK")).toBeCloseTo(
      figureOf(base, "kelvin", "ΔK") / 2,
      6,
    );
  });

  it("rises less in a pipe that gives, and most in CO2 near its critical point", () => {
    const rise = (typed: Typed) => figure("locked-liquid", { temperature: "10 °C", ...typed }, "rise", "bar");
    expect(rise({ liquid: "water", pipe: "pvc" })).toBeLessThan(rise({ liquid: "water", pipe: "steel" }));
    expect(rise({ liquid: "ammonia" })).toBeGreaterThan(rise({ liquid: "water" }));
  });

  it.each(["ammonia", "co2"])("%s in steel is never called safe to shut in", (liquid) => {
    for (const temperature of ["-35 °C", "-20 °C", "-12 °C"])
      expect(["stop", "fail"], temperature).toContain(
        answerTo("locked-liquid", { liquid, temperature }).verdict,
      );
  });
});

describe("kv", () => {
  it("by definition: Kv 1 passes 1 m³/h of water at 1 bar", () => {
    const typed = { kvs: "1", turns: "4", open: "4", difference: "1 bar", gravity: "1" };
    expect(figure("kv", typed, "flow", "m3/h")).toBeCloseTo(1, 6);
  });

  it("flow goes with the root of the difference and against the root of the density", () => {
    const flow = (typed: Typed) => figure("kv", typed, "flow", "L/min");
    expect(flow({ difference: "12 bar" })).toBeCloseTo(2 * flow({ difference: "3 bar" }), 6);
    expect(flow({ gravity: "2" })).toBeCloseTo(flow({ gravity: "0.5" }) / 2, 6);
  });

  it("never passes less when opened further, by any cone, and nothing when shut", () => {
    for (const characteristic of ["linear", "equal", "table"]) {
      const { tables } = answerTo("kv", { characteristic });
      const flows = tables.curve!.map((row) => siOf(row, "flow"));
      expect(flows[0], characteristic).toBe(0);
      for (const [index, flow] of flows.entries())
        if (index > 0) expect(flow, characteristic).toBeGreaterThanOrEqual(flows[index - 1]!);
    }
  });

  it("a cone from the sheet passes at half travel what the sheet says", () => {
    const typed = { characteristic: "table", half: "30 %", turns: "6", open: "3", kvs: "2" };
    expect(siOf(answerTo("kv", typed).outputs, "kvNow")).toBeCloseTo(
      siOf(answerTo("kv", { ...typed, open: "6" }).outputs, "kvNow") * 0.3,
      9,
    );
  });
});

describe("standing at zero", () => {
  const stand = (typed: Typed) => answerTo("stand-test", typed);

  it("ammonia that boils out of oil, or a valve that passes, is a rise: it is vented, never opened", () => {
    const rising = stand({ last: "0.2 bar g", firstTemperature: "10 °C", lastTemperature: "10 °C" });
    expect(rising.verdict).toBe("fail");
    expect(rising.cautions.join(" ")).toContain("vent first");
  });

  it("warming alone is taken out by p₂ = p₁·T₂/T₁", () => {
    const answer = stand({ last: "0.036 bar g", firstTemperature: "0 °C", lastTemperature: "10 °C" });
    expect(figureOf(answer, "warming", "bar")).toBeCloseTo((AIR * 10) / 273.15, 6);
    expect(figureOf(answer, "corrected", "bar")).toBeCloseTo(0.036 - (AIR * 10) / 273.15, 6);
  });

  it("without temperatures it says how much a kelvin would hide", () => {
    expect(stand({ last: "0 bar g" }).cautions.join(" ")).toContain("hides a rise of");
  });

  it("a rise in half the time is twice as fast", () => {
    const perHour = (time: string) => figure("stand-test", { last: "0.1 bar g", time }, "perHour", "bar");
    expect(perHour("30 min")).toBeCloseTo(2 * perHour("60 min"), 9);
  });
});
