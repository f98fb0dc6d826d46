import { describe, expect, it } from "vitest";
import { calculate, calculatorNamed } from ".";
import { refusalOf, type Typed } from "./calculators.fixtures";

/** What cannot be answered is told at its field, with what to do. */
const REFUSED: readonly (readonly [id: string, typed: Typed, path: string, says: RegExp])[] = [
  ["bolt-up", { bolts: "7.5" }, "bolts", /whole number/],
  ["bolt-up", { by: "sheet" }, "limit", /Give the torque/],
  ["bolt-up", { grade: "unknown" }, "grade", /take the lowest of its kind/],
  ["bolt-up", { diameter: "10 mm", pitch: "4 mm" }, "pitch", /No thread is that coarse/],
  ["bolt-up", { wrench: "0.1 m", extension: "0.2 m", angle: "180 °" }, "angle", /wrong way/],
  ["spanner-finder", { flats: "80.5 mm", set: "inch" }, "flats", /adjustable/],
  [
    "thread-finder",
    { diameter: "70 mm", by: "metric", pitch: "0.35 mm" },
    "diameter",
    /Measure the diameter/,
  ],
  ["o-ring", { inside: "20 mm", seat: "80 mm" }, "seat", /Measure ring and groove/],
  ["packing", { stem: "20 mm", box: "21 mm" }, "box", /wider than the spindle/],
  ["packing", { depth: "6 mm", entry: "5 mm" }, "depth", /Not one ring/],
  ["gasket-cutter", { bolts: "8.5" }, "bolts", /whole number/],
  ["gasket-cutter", { circle: "110 mm" }, "circle", /cut into the bore/],
  ["gasket-cutter", { outside: "190 mm" }, "outside", /break out/],
  ["gasket-cutter", { bolts: "40" }, "bolts", /do not stand on this circle/],
  ["gasket-load", { outside: "100 mm" }, "outside", /larger than the inside/],
  ["gasket-load", { diameter: "6 mm", pitch: "3 mm" }, "pitch", /that coarse/],
  ["gasket-load", { reach: "full", circle: "300 mm" }, "circle", /between inside and outside/],
  ["stack-depth", { seals: "2.5" }, "seals", /whole number/],
  ["stack-depth", { spacers: "2.5" }, "spacers", /whole number/],
  ["hydrant-flow", { residual: "70 psi" }, "residual", /was anything flowing/],
  ["hydrant-flow", { static: "18 psi", residual: "10 psi" }, "rated", /cannot be rated/],
  ["drain-down", { by: "size", size: "DN6", schedule: "160" }, "schedule", /not made in this schedule/],
  ["hammer", { diameter: "10 mm", wall: "6 mm" }, "wall", /thicker than the pipe/],
  ["leak-by", { last: "6 bar" }, "last", /pressure rose/],
  ["leak-by", { last: "2 bar" }, "last", /Below the precharge/],
  ["leak-by", { wake: "6 bar" }, "wake", /between precharge/],
  ["decay-test", { fill: "water", firstTemperature: "-5 °C" }, "firstTemperature", /from 1 to 99/],
  [
    "steam-table",
    { pressure: "-1 bar g", surroundings: "1 bar abs" },
    "pressure",
    /triple and its critical point/,
  ],
  ["steam-table", { pressure: "225 bar g" }, "pressure", /critical point/],
  ["drain-down", { left: "2 m" }, "left", /above the level/],
  ["vessel-content", { level: "1 m" }, "level", /It is only/],
  ["vessel-content", { level: "0.2 m", down: "0.3 m" }, "down", /above the level/],
  ["vessel-content", { straight: "0 m", head: "flat" }, "straight", /hold nothing/],
  [
    "bolt-up",
    { grade: "SAE 5", diameter: "2 in", pitch: "0.2222 in", thread: "inch" },
    "diameter",
    /tabled from/,
  ],
  ["bolt-up", { grade: "A2-70", diameter: "30 mm", pitch: "3.5 mm" }, "diameter", /tabled from/],
  ["stud-length", { diameter: "17 mm" }, "diameter", /no nut for this/],
  ["tightening-order", { order: "1 9", bolts: "8" }, "order", /no bolt 9/],
  ["thread-finder", { diameter: "10 mm", by: "metric", pitch: "1.9 mm" }, "diameter", /No thread/],
  ["trap-loss", { pressure: "0 bar g" }, "back", /below the steam pressure/],
  ["trap-loss", { back: "7 bar" }, "back", /below the steam pressure/],
  ["mixing", { hot: "10 °C", cold: "20 °C" }, "hot", /crossed/],
  ["mixing", { set: "80 °C" }, "set", /between cold and hot/],
  ["descale", { wanted: "20 %", concentrate: "10 %" }, "wanted", /stronger than the concentrate/],
  ["saturation", { refrigerant: "co2", pressure: "2 bar g" }, "pressure", /Let vapour in first/],
  ["saturation", { known: "temperature", temperature: "-90 °C" }, "temperature", /Outside nothing is said/],
  ["co2-charge", { pressure: "0 bar g", target: "3 bar g" }, "target", /above 5.18 bar/],
  ["relief-check", { diameter: "3 m", length: "0.4 m" }, "length", /over the heads/],
  ["locked-liquid", { diameter: "10 mm", wall: "6 mm" }, "wall", /thicker than half/],
  ["kv", { turns: "4", open: "5" }, "open", /Count again/],
  ["softener", { hardness: "100 mg/L", wanted: "200 mg/L" }, "wanted", /already softer/],
  ["coil", { least: "40", most: "30" }, "most", /must end above/],
  ["coil", { reading: "1", leads: "2" }, "leads", /more ohms than/],
  ["field-wire", { valves: "1.5" }, "valves", /whole number/],
  ["field-wire", { needed: "26" }, "needed", /no wire helps/],
  ["pilot-differential", { outlet: "4 bar" }, "outlet", /backwards/],
  ["sensor-check", { kind: "pt100", reading: "5" }, "reading", /open or shorted/],
  ["sensor-check", { kind: "pt100", reading: "110", second: "5" }, "second", /open or shorted/],
  ["ride-through", { now: "8 mbar", lowest: "8 mbar" }, "lowest", /go out at once/],
  ["cool-down", { second: "95 °C" }, "second", /something still heats it/],
  ["cool-down", { second: "15 °C" }, "second", /Colder than the air/],
  ["cool-down", { air: "55 °C" }, "air", /gloves, and a fan/],
  ["cover-force", { bolts: "2.5" }, "bolts", /whole number/],
  ["cover-force", { bolts: "4", slack: "4" }, "slack", /left tight/],
  ["exposure", { reading: "10 ppm", released: "100 kg", water: "50 L" }, "water", /boils and spits/],
  ["gauge-fitness", { full: "10 bar g", reading: "12 bar g" }, "reading", /off its scale/],
  ["gauge-fitness", { full: "10 bar g", mark: "20 bar" }, "mark", /whole scale/],
  ["lift", { legs: "1.5" }, "legs", /whole number/],
  ["actuator-balance", { spring: "-100 kN" }, "spring", /never trips/],
  ["relief-vent", { capacity: "50 kg/s", setting: "1 bar g", length: "900 m" }, "length", /two lines/],
  [
    "interval",
    {
      last: "2026-01-01",
      trend: "2",
      limit: "3",
      day1: "2026-01-02",
      value1: "1",
      day2: "2026-01-02",
      value2: "2",
    },
    "day2",
    /a trend needs two/,
  ],
  ["impairment-clock", { since: "2026-03-02T10:00", now: "2026-03-02T09:00" }, "now", /before it was shut/],
  [
    "soak-and-hold",
    { what: "cool", start: "2026-03-02T10:00", first: "20 °C" },
    "first",
    /nothing to wait for/,
  ],
  ["soak-and-hold", { what: "cool", start: "2026-03-02T10:00", second: "150 °C" }, "second", /is it cooling/],
  [
    "soak-and-hold",
    { what: "cool", start: "2026-03-02T10:00", wanted: "10 °C" },
    "wanted",
    /never gets there/,
  ],
  [
    "soak-and-hold",
    { what: "cool", start: "2026-03-02T10:00", second: "139.99 °C", between: "10 h", wanted: "21 °C" },
    "wanted",
    /over a month/,
  ],
];

describe("refusals", () => {
  it.each(REFUSED)("%s %j", (id, typed, path, says) => {
    const told = refusalOf(id, typed);
    expect(told.startsWith(`/inputs/${path} `), told).toBe(true);
    expect(told).toMatch(says);
  });

  it.each([
    ["bolt-up", "diameter", { value: 16, unit: "psi" }, /not a unit of length. Use one of: mm/],
    ["bolt-up", "diameter", { value: 900, unit: "mm" }, /Out of range: 3 mm to 100 mm/],
    ["bolt-up", "diameter", { value: "16" }, /finite number/],
    ["bolt-up", "thread", { value: "whitworth" }, /Choose one of: metric, inch/],
    ["interval", "last", { value: "2026-02-30" }, /day of the calendar/],
    ["interval", "last", { value: "yesterday" }, /day of the calendar/],
    ["impairment-clock", "since", { value: "2026-13-01T08:00" }, /day and time/],
  ] as const)("%s %s: an input of the wrong kind is told what kind it takes", (id, name, sent, says) => {
    const answer = calculate(calculatorNamed(id)!, { [name]: sent });
    if (answer.ok) throw new Error("answered");
    expect(answer.error.find((each) => each.path === `/inputs/${name}`)?.message).toMatch(says);
  });

  it("a reading that a life hangs on has no usual figure: it is asked for", () => {
    expect(refusalOf("exposure", {})).toMatch(/^\/inputs\/reading Missing/);
    expect(refusalOf("co2-charge", {})).toMatch(/^\/inputs\/pressure Missing/);
  });

  it("a required day that is missing is asked for by its help", () => {
    expect(refusalOf("interval", {})).toBe("/inputs/last Missing: The day it was done.");
  });
});
