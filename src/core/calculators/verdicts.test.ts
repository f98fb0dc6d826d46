import { describe, expect, it } from "vitest";
import { siOf, wordsOf } from ".";
import { answerTo, type Typed } from "./calculators.fixtures";

/** Where a decision hangs on a figure, it turns where it should, and says what to do. */
const TURNS: readonly (readonly [id: string, typed: Typed, verdict: string, says: RegExp])[] = [
  ["bolt-up", { share: "75 %" }, "pass", /again and again/],
  ["bolt-up", { share: "76 %" }, "watch", /closed once/],
  ["bolt-up", { by: "sheet", limit: "400 N·m" }, "fail", /past its proof load/],
  ["stud-length", { out: "0.5" }, "fail", /No thread shows/],
  ["draw-out", { gap: "200 mm" }, "pass", /where they stand/],
  ["taper-thread", { medium: "ammonia", material: "brass" }, "stop", /ammonia cracks copper/],
  ["locker-cure", { gap: "0.4 mm" }, "fail", /too wide/],
  ["o-ring", { medium: "mineral oil", material: "epdm" }, "stop", /does not bear mineral oil/],
  ["o-ring", { temperature: "200 °C" }, "stop", /is for/],
  ["o-ring", { depth: "3.4 mm" }, "fail", /weep/],
  ["o-ring", { depth: "2.2 mm", width: "8 mm" }, "fail", /wears or takes a set/],
  ["o-ring", { width: "3.2 mm" }, "fail", /no room to swell/],
  ["gasket-load", { pressure: "90 bar", stress: "100 N/mm2" }, "fail", /cannot load this gasket/],
  ["stack-depth", { reading: "1.0 mm" }, "pass", /whole stack/],
  ["stack-depth", { sealTolerance: "1 mm" }, "watch", /count too/],
  ["hydrant-flow", { before: "2000 US gpm" }, "fail", /valve left part shut/],
  ["drain-down", { vent: "none", limit: "10 min" }, "fail", /takes longer/],
  ["fill-and-vent", { orifice: "6 mm" }, "watch", /vents set the pace/],
  ["hammer", { closing: "0.2 s", speed: "3 m/s" }, "stop", /Too fast/],
  ["hammer", { closing: "60 s" }, "pass", /under the rating/],
  ["leak-by", { last: "5 bar" }, "pass", /It holds/],
  ["leak-by", { last: "4.999 bar" }, "watch", /a day/],
  ["stand-test", { last: "0.04 bar g" }, "fail", /more than warming explains/],
  [
    "stand-test",
    { last: "0.04 bar g", firstTemperature: "-10 °C", lastTemperature: "0 °C" },
    "watch",
    /warming explains all of it/,
  ],
  ["stand-test", { last: "0.04 bar g", lastTemperature: "0 °C" }, "fail", /more than warming explains/],
  ["decay-test", { time: "10 s", allowed: "0.1 L/min" }, "watch", /Too short for this gauge/],
  ["decay-test", { last: "6.1 bar" }, "watch", /Not proven tight/],
  ["decay-test", { allowed: "0.2 L/min" }, "watch", /cannot tell/],
  [
    "decay-test",
    { middle: "5.99 bar", last: "5.9 bar", allowed: "1 L/min" },
    "watch",
    /do not lie on a line/,
  ],
  [
    "decay-test",
    { last: "5.99 bar", lastTemperature: "", allowed: "1 L/min" },
    "watch",
    /if the temperature held still/,
  ],
  ["decay-test", { last: "5 bar" }, "watch", /What may leak was not said/],
  ["decay-test", { last: "0 bar" }, "fail", /lost all its pressure/],
  ["decay-test", { last: "4 bar", allowed: "1 L/min" }, "fail", /more than allowed/],
  ["trap-loss", { load: "100 kg/h", capacity: "100 kg/h" }, "fail", /floods the heater/],
  ["radiator", { loss: "9 kW" }, "fail", /air, a shut vent/],
  ["radiator", { loss: "0.5 kW" }, "watch", /throttle the inlet/],
  ["mixing", { found: "49 °C" }, "stop", /out of use now/],
  ["mixing", { found: "48.5 °C", tolerance: "10 ΔK" }, "fail", /above its set point/],
  ["mixing", { found: "34 °C" }, "fail", /below its set point/],
  ["descale", { deposit: "10 mm" }, "watch", /spent before/],
  ["saturation", { refrigerant: "co2", pressure: "5 bar g" }, "watch", /dry ice/],
  ["co2-charge", { pressure: "0 bar g", port: "vapour" }, "watch", /Vapour only/],
  ["co2-charge", { pressure: "6.3 bar g" }, "stop", /Do not open the liquid side/],
  ["co2-charge", { pressure: "6.5 bar g" }, "pass", /Clear of the triple point/],
  ["relief-check", {}, "watch", /How long it is in service/],
  ["thread-finder", { diameter: "0.83 in", perInch: "14" }, "watch", /whether it tapers and the angle/],
  ["thread-finder", { diameter: "12 mm", by: "unknown" }, "watch", /lay a pitch gauge/],
  ["ride-through", { pilots: "0" }, "watch", /nothing uses the gas up/],
  ["bolt-up", { by: "sheet", grade: "unknown", limit: "50 N·m" }, "watch", /not known here/],
  ["relief-check", { lifted: "yes" }, "stop", /at once/],
  ["relief-check", { setting: "18 bar g" }, "stop", /does not protect/],
  ["relief-check", { fitted: "single" }, "fail", /two valves on a three-way/],
  [
    "relief-check",
    { fitted: "single", volume: "282 L", installed: "2025-06-01", today: "2026-04-15" },
    "pass",
    /Large enough/,
  ],
  ["relief-check", { working: "16 bar g" }, "watch", /simmer/],
  ["relief-check", { installed: "2021-06-01", today: "2026-04-15" }, "watch", /order it/],
  ["kv", { wanted: "60 L/min" }, "fail", /larger cone/],
  ["cool-down", {}, "watch", /the clock is no thermometer/],
  ["cool-down", { second: "50 °C" }, "pass", /It may be touched/],
  ["kv", { wanted: "52 L/min" }, "watch", /Nearly wide open/],
  ["kv", { wanted: "2 L/min" }, "watch", /smaller cone/],
  ["softener", { use: "30 m3" }, "watch", /too small/],
  ["softener", { use: "50 L" }, "watch", /every 7 days/],
  ["brine", { draw: "0.1 L/min" }, "watch", /over 40 min/],
  ["coil", { reading: "2", leads: "0" }, "fail", /Do not energise/],
  ["coil", { reading: "45" }, "fail", /open the splices/],
  ["coil", { reading: "100" }, "fail", /splice is open/],
  ["field-wire", { run: "600 m" }, "fail", /does not pull in/],
  ["pilot-differential", { inlet: "0.3 bar" }, "fail", /direct-acting/],
  ["pilot-differential", { inlet: "12 bar" }, "fail", /more difference|stays shut/i],
  ["sensor-check", { reading: "9000" }, "fail", /Off by/],
  [
    "sensor-check",
    { kind: "pt1000", reading: "1000", truth: "60 °C", second: "1100", secondTruth: "10 °C" },
    "fail",
    /wrong pipe/,
  ],
  ["ride-through", { work: "60 s" }, "stop", /relight every one/],
  ["leak-grade", { where: "wall", reading: "1 %" }, "stop", /Everyone out/],
  ["leak-grade", { where: "confined", reading: "80 %" }, "stop", /Everyone out/],
  ["leak-grade", { where: "confined", reading: "79 %" }, "fail", /Tell the operator today/],
  ["leak-grade", { where: "confined", reading: "19 %" }, "watch", /mark the place/],
  ["leak-grade", { where: "paved", reading: "40 %" }, "fail", /Tell the operator today/],
  ["leak-grade", { where: "open", sign: "blowing" }, "stop", /Everyone out/],
  ["leak-grade", { where: "open", spread: "grows" }, "stop", /Everyone out/],
  ["leak-grade", { where: "inside", sign: "smell" }, "stop", /Everyone out/],
  ["leak-grade", { where: "inside" }, "watch", /no proof/],
  ["leak-grade", { where: "open", sign: "smell" }, "fail", /Tell the operator today/],
  ["leak-grade", { where: "paved", seal: "sealed", reading: "0 %" }, "watch", /no reading is no proof/],
  ["leak-grade", { where: "open", reading: "0 %" }, "watch", /no reading is no proof/],
  ["season-gate", { on: "2026-06-15", access: "some" }, "stop", /let you in/],
  ["season-gate", { on: "2026-06-15", without: "5 h", frail: "yes" }, "stop", /Frail people/],
  ["season-gate", { on: "2026-10-01" }, "watch", /outside the window/],
  ["cover-force", { pressure: "0 bar g" }, "pass", /prove it, do not believe it/],
  ["cover-force", { pressure: "0.01 bar g", gas: "0 L" }, "watch", /Let it down to zero/],
  [
    "meter-fitness",
    { voltage: "24 V", place: "1", category: "0", rated: "30 V", leadCategory: "0" },
    "pass",
    /fit/,
  ],
  ["meter-fitness", { place: "4" }, "stop", /CAT IV/],
  ["meter-fitness", { leadCategory: "2" }, "stop", /leads are weaker/],
  ["meter-fitness", { state: "worn" }, "stop", /do not use it/],
  ["meter-fitness", { proof: "no" }, "fail", /known live source/],
  ["exposure", { reading: "26 ppm" }, "stop", /Out, upwind/],
  ["exposure", { reading: "200 ppm", gear: "full" }, "watch", /Air it/],
  ["exposure", { reading: "251 ppm", gear: "full" }, "stop", /does not protect/],
  ["exposure", { reading: "4 %", gear: "air" }, "stop", /quarter of the flammable limit/],
  ["exposure", { reading: "301 ppm", gear: "air" }, "stop", /in breathing air, with a second one/],
  ["exposure", { gas: "co2", reading: "6000 ppm", gear: "full" }, "stop", /does not protect/],
  ["gauge-fitness", { full: "6 bar g", mark: "5 bar" }, "stop", /can never prove/],
  ["gauge-fitness", { prove: "below", kind: "gauge", reading: "0 bar g" }, "stop", /can never prove/],
  [
    "gauge-fitness",
    { prove: "below", kind: "gauge", reading: "0 bar g", full: "4 bar g", mark: "0.1 bar" },
    "fail",
    /only down to/,
  ],
  ["lift", { known: "given", mass: "900 kg", legs: "1", angle: "0 °" }, "stop", /More than sling/],
  ["lift", { known: "given", mass: "20 kg" }, "pass", /One person/],
  ["actuator-balance", { supply: "1.7 bar g" }, "stop", /open or about to open/],
  ["renew-or-reuse", { part: "once" }, "stop", /always renewed/],
  ["renew-or-reuse", { age: "0 d" }, "pass", /Putting it back saves/],
  ["impairment-clock", { since: "2026-03-02T08:00", now: "2026-03-02T13:00" }, "watch", /has to be told/],
  [
    "impairment-clock",
    { since: "2026-03-02T08:00", now: "2026-03-02T20:00", kept: "yes" },
    "watch",
    /keep it until/,
  ],
];

describe("verdicts", () => {
  it.each(TURNS)("%s %j: %s", (id, typed, verdict, says) => {
    const answer = answerTo(id, typed);
    expect(answer.reasons.join(" ")).toMatch(says);
    expect(answer.verdict).toBe(verdict);
  });
});

describe("reasons speak in the units of whoever asks", () => {
  it.each([
    ["hydrant-flow", /L\/min at 1.38 bar g/, /US gpm at 20 psi g/],
    ["spanner-finder", /mm of slack/, /in of slack/],
    ["co2-charge", /until the gauge shows 6.42 bar/, /until the gauge shows 93.1 psi/],
  ] as const)("%s", (id, metric, us) => {
    const typed: Typed = id === "co2-charge" ? { pressure: "0 bar g" } : {};
    expect(answerTo(id, typed).reasons.join(" ")).toMatch(metric);
    expect(answerTo(id, typed, "us").reasons.join(" ")).toMatch(us);
  });
});

describe("companions agree with one another", () => {
  it("head and drain-down: the first jet is that of the head's pressure", () => {
    const metres = 3;
    const pascal = siOf(answerTo("head", { height: `${metres} m`, temperature: "4 °C" }).outputs, "pressure");
    const flow = siOf(answerTo("drain-down", { head: `${metres} m`, coefficient: "1" }).outputs, "firstFlow");
    const area = (Math.PI / 4) * 0.008 ** 2;
    expect(flow / (area * Math.sqrt((2 * pascal) / 999.97))).toBeCloseTo(1, 3);
  });

  it("gauge fitness and CO2 charge: both see the triple point at 5.18 bar absolute", () => {
    const proven = siOf(
      answerTo("gauge-fitness", { full: "10 bar g", class: "1 %", mark: "0.001 bar" }).outputs,
      "bound",
    );
    const clear = siOf(
      answerTo("co2-charge", { pressure: "0 bar g", margin: "0 bar", error: "0 bar" }).outputs,
      "clear",
    );
    expect(proven).toBeCloseTo(clear, 3);
  });

  it("softener and brine: the salt of one is the refill of the other", () => {
    const salt = siOf(answerTo("softener", {}).outputs, "saltEach");
    const refill = siOf(answerTo("brine", { salt: `${salt} kg`, refill: "1 L/min" }).outputs, "refillTime");
    // A litre of water takes up 0.3595 kg.
    expect(refill / 60).toBeCloseTo(salt / 0.3595, 1);
  });

  it("bolt-up both ways: the torque it gives, given back, asks for the same preload", () => {
    const there = answerTo("bolt-up", { share: "60 %", condition: "oiled" });
    const torque = `${siOf(there.outputs, "torque")} N·m`;
    const back = answerTo("bolt-up", { by: "sheet", limit: torque, condition: "oiled" });
    expect(siOf(back.outputs, "used")).toBeCloseTo(0.6, 9);
    expect(siOf(back.outputs, "preload")).toBeCloseTo(siOf(there.outputs, "preload"), 3);
  });

  it("kv: the turns it asks for pass the flow wanted, for every characteristic", () => {
    for (const characteristic of ["linear", "equal", "table"]) {
      const asked = answerTo("kv", { characteristic, wanted: "20 L/min" });
      const turns = siOf(asked.outputs, "turnsNeeded");
      const passed = answerTo("kv", { characteristic, open: `${turns} turn` });
      expect(siOf(passed.outputs, "flow") * 60_000, characteristic).toBeCloseTo(20, 4);
    }
  });

  it("field wire: at its longest run the coil has just what it needs", () => {
    const longest = siOf(answerTo("field-wire", {}).outputs, "longest");
    expect(siOf(answerTo("field-wire", { run: `${longest} m` }).outputs, "left")).toBeCloseTo(20, 6);
  });

  it("hammer: shut no faster than it says, the peak meets the rating", () => {
    const slowest = siOf(answerTo("hammer", { speed: "2 m/s" }).outputs, "slowest");
    const peak = siOf(answerTo("hammer", { speed: "2 m/s", closing: `${slowest} s` }).outputs, "peak");
    expect(peak / 1e5).toBeCloseTo(16, 6);
  });

  it("renew or reuse: at the age it names the two cost the same", () => {
    const even = siOf(answerTo("renew-or-reuse", {}).outputs, "breakEven") / 86_400;
    const { outputs } = answerTo("renew-or-reuse", { age: `${even} d` });
    expect(siOf(outputs, "reuse")).toBeCloseTo(siOf(outputs, "renew"), 6);
  });

  it("gasket cutter: holes stand on the circle, a chord apart, none on the top line", () => {
    const { outputs, tables } = answerTo("gasket-cutter", { face: "flat" });
    const holes = tables.holes!.map((row) => [siOf(row, "x"), siOf(row, "y")] as const);
    for (const [index, [x, y]] of holes.entries()) {
      expect(Math.hypot(x, y)).toBeCloseTo(0.09, 9);
      const [nextX, nextY] = holes[(index + 1) % holes.length]!;
      expect(Math.hypot(nextX - x, nextY - y)).toBeCloseTo(siOf(outputs, "chord"), 9);
      expect(Math.abs(x)).toBeGreaterThan(1e-3);
    }
  });

  it("the cycle of a softener adds up to its whole", () => {
    const { outputs, tables } = answerTo("brine", {});
    const last = tables.phases!.at(-1)!;
    expect(wordsOf(last, "phase")).toBe("refill");
    expect(siOf(last, "starts") + siOf(last, "minutes")).toBeCloseTo(siOf(outputs, "whole"), 6);
  });

  it("mixing: hot and cold flow add up, and carry the heat", () => {
    const { outputs } = answerTo("mixing", {});
    const [hot, cold] = [siOf(outputs, "hotFlow"), siOf(outputs, "coldFlow")];
    expect((hot * 60 + cold * 10) / (hot + cold)).toBeCloseTo(38, 9);
  });
});
