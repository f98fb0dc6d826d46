import type { Dimension, UnitSystem } from "./dimension";

/** SI value = typed value · scale + offset. Factors are exact by definition unless a comment says otherwise. */
export interface Unit {
  readonly id: string;
  readonly label: string;
  readonly dimension: Dimension;
  readonly scale: number;
  readonly offset?: number;
  /** Spellings people type, lower case, without blanks; the id and the label are always understood. */
  readonly also?: readonly string[];
}

const INCH = 0.0254;
const FOOT = 0.3048;
const POUND_FORCE = 4.4482216152605; // N: 0.45359237 kg · 9.80665 m/s²
const PSI = POUND_FORCE / INCH ** 2;
const US_GALLON = 231 * INCH ** 3;

const pressures = (dimension: Dimension, suffix: string, words: readonly string[]): Unit[] =>
  (
    [
      ["bar", 1e5, ["bars"]],
      ["kPa", 1e3, []],
      ["MPa", 1e6, []],
      ["mbar", 100, []],
      ["Pa", 1, []],
      ["psi", PSI, ["lb/in2", "lbs", "pound"]],
      ["inH2O", 249.08891, ["inwc", "inh2o"]], // conventional, 4 °C
    ] as const
  ).map(([name, scale, also]) => ({
    id: suffix ? `${name} ${suffix}` : name,
    label: suffix ? `${name} ${suffix}` : name,
    dimension,
    scale,
    also: [name, ...also].flatMap((spelling) => words.map((word) => `${spelling}${word}`.toLowerCase())),
  }));

export const UNITS: readonly Unit[] = [
  { id: "", label: "", dimension: "number", scale: 1, also: ["x", "times", "pcs"] },
  { id: "%", label: "%", dimension: "number", scale: 0.01, also: ["percent", "pct"] },
  { id: "mm", label: "mm", dimension: "length", scale: 1e-3, also: ["millimetre", "millimeter"] },
  { id: "cm", label: "cm", dimension: "length", scale: 1e-2 },
  { id: "m", label: "m", dimension: "length", scale: 1, also: ["metre", "meter", "metres", "meters"] },
  { id: "in", label: "in", dimension: "length", scale: INCH, also: ['"', "inch", "inches", "''"] },
  { id: "ft", label: "ft", dimension: "length", scale: FOOT, also: ["'", "foot", "feet"] },
  { id: "mm2", label: "mm²", dimension: "area", scale: 1e-6 },
  { id: "cm2", label: "cm²", dimension: "area", scale: 1e-4 },
  { id: "m2", label: "m²", dimension: "area", scale: 1 },
  { id: "in2", label: "in²", dimension: "area", scale: INCH ** 2, also: ["sqin"] },
  {
    id: "L",
    label: "L",
    dimension: "volume",
    scale: 1e-3,
    also: ["l", "litre", "liter", "litres", "liters"],
  },
  { id: "m3", label: "m³", dimension: "volume", scale: 1 },
  {
    id: "US gal",
    label: "US gal",
    dimension: "volume",
    scale: US_GALLON,
    also: ["gal", "gallon", "gallons"],
  },
  { id: "ft3", label: "ft³", dimension: "volume", scale: FOOT ** 3, also: ["cuft"] },
  { id: "kg", label: "kg", dimension: "mass", scale: 1 },
  { id: "g", label: "g", dimension: "mass", scale: 1e-3 },
  { id: "lb", label: "lb", dimension: "mass", scale: 0.45359237, also: ["lbs"] },
  { id: "s", label: "s", dimension: "time", scale: 1, also: ["sec", "secs", "second", "seconds"] },
  { id: "min", label: "min", dimension: "time", scale: 60, also: ["mins", "minute", "minutes"] },
  { id: "h", label: "h", dimension: "time", scale: 3600, also: ["hr", "hrs", "hour", "hours"] },
  { id: "d", label: "d", dimension: "time", scale: 86400, also: ["day", "days"] },
  { id: "°C", label: "°C", dimension: "temperature", scale: 1, offset: 273.15, also: ["c", "degc"] },
  {
    id: "°F",
    label: "°F",
    dimension: "temperature",
    scale: 5 / 9,
    offset: 459.67 * (5 / 9),
    also: ["f", "degf"],
  },
  { id: "K", label: "K", dimension: "temperature", scale: 1, also: ["kelvin"] },
  { id: "ΔK", label: "K", dimension: "temperature difference", scale: 1, also: ["k"] },
  { id: "Δ°F", label: "°F", dimension: "temperature difference", scale: 5 / 9, also: ["f", "degf"] },
  ...pressures("gauge pressure", "g", ["", "g", "gauge", "(g)"]),
  ...pressures("absolute pressure", "abs", ["a", "abs", "absolute", "(a)"]),
  ...pressures("pressure difference", "", [""]),
  { id: "N", label: "N", dimension: "force", scale: 1 },
  { id: "kN", label: "kN", dimension: "force", scale: 1e3 },
  { id: "lbf", label: "lbf", dimension: "force", scale: POUND_FORCE, also: ["lb"] },
  { id: "N·m", label: "N·m", dimension: "torque", scale: 1, also: ["nm", "n.m", "n*m", "newtonmetre"] },
  {
    id: "ft·lbf",
    label: "ft·lbf",
    dimension: "torque",
    scale: POUND_FORCE * FOOT,
    also: ["ftlb", "ft.lb", "ft-lb", "ftlbs", "ft-lbs", "lbft", "lb-ft", "lbf-ft", "ft·lb"],
  },
  {
    id: "in·lbf",
    label: "in·lbf",
    dimension: "torque",
    scale: POUND_FORCE * INCH,
    also: ["inlb", "in-lb", "inlbs", "in-lbs", "in·lb"],
  },
  { id: "N/mm2", label: "N/mm²", dimension: "stress", scale: 1e6, also: ["mpa"] },
  { id: "ksi", label: "ksi", dimension: "stress", scale: PSI * 1e3 },
  { id: "L/s", label: "L/s", dimension: "volume flow", scale: 1e-3, also: ["lps"] },
  { id: "L/min", label: "L/min", dimension: "volume flow", scale: 1e-3 / 60, also: ["lpm"] },
  { id: "m3/h", label: "m³/h", dimension: "volume flow", scale: 1 / 3600 },
  { id: "US gpm", label: "US gpm", dimension: "volume flow", scale: US_GALLON / 60, also: ["gpm"] },
  { id: "m/s", label: "m/s", dimension: "velocity", scale: 1 },
  { id: "ft/s", label: "ft/s", dimension: "velocity", scale: FOOT, also: ["fps"] },
  { id: "Ω", label: "Ω", dimension: "resistance", scale: 1, also: ["ohm", "ohms", "r", "ω", "ω"] },
  { id: "kΩ", label: "kΩ", dimension: "resistance", scale: 1e3, also: ["kohm", "kω", "kω"] },
  { id: "V", label: "V", dimension: "voltage", scale: 1, also: ["v", "volt", "volts"] },
  { id: "mV", label: "mV", dimension: "voltage", scale: 1e-3 },
  { id: "°", label: "°", dimension: "angle", scale: Math.PI / 180, also: ["deg", "degree", "degrees"] },
  { id: "turn", label: "turns", dimension: "turns", scale: 1, also: ["turns", "rev", "revs"] },
];

/** The unit a dimension is shown in unless a field names another. */
const PREFERRED: Record<UnitSystem, Record<Dimension, string>> = {
  metric: {
    number: "",
    length: "mm",
    area: "mm2",
    volume: "L",
    mass: "kg",
    time: "min",
    temperature: "°C",
    "temperature difference": "ΔK",
    "gauge pressure": "bar g",
    "absolute pressure": "bar abs",
    "pressure difference": "bar",
    force: "kN",
    torque: "N·m",
    stress: "N/mm2",
    "volume flow": "L/s",
    velocity: "m/s",
    resistance: "Ω",
    voltage: "V",
    angle: "°",
    turns: "turn",
  },
  us: {
    number: "",
    length: "in",
    area: "in2",
    volume: "US gal",
    mass: "lb",
    time: "min",
    temperature: "°F",
    "temperature difference": "Δ°F",
    "gauge pressure": "psi g",
    "absolute pressure": "psi abs",
    "pressure difference": "psi",
    force: "lbf",
    torque: "ft·lbf",
    stress: "ksi",
    "volume flow": "US gpm",
    velocity: "ft/s",
    resistance: "Ω",
    voltage: "V",
    angle: "°",
    turns: "turn",
  },
};

const byId = new Map(UNITS.map((unit) => [unit.id, unit]));

/** The unit of that exact id; asking for one that is not in the table is a bug. */
export function unit(id: string): Unit {
  const found = byId.get(id);
  if (found === undefined) throw new Error(`no unit "${id}"`);
  return found;
}

export const unitsOf = (dimension: Dimension): readonly Unit[] =>
  UNITS.filter((each) => each.dimension === dimension);

export const preferredUnit = (dimension: Dimension, system: UnitSystem): Unit =>
  unit(PREFERRED[system][dimension]);

const squeeze = (text: string) => text.toLowerCase().replace(/\s+/g, "");

/** Every unit that a spelling may mean, whatever its dimension ("psi" may be gauge or a difference). */
export function unitsSpelled(text: string): readonly Unit[] {
  const exact = UNITS.filter((each) => each.id === text.trim());
  const wanted = squeeze(text);
  const loose = UNITS.filter(
    (each) => squeeze(each.id) === wanted || squeeze(each.label) === wanted || each.also?.includes(wanted),
  );
  return [...new Set([...exact, ...loose])];
}

/** A unit named by a program: only its exact id (or a spelling) within the dimension. */
export function unitNamed(text: string, dimension: Dimension): Unit | undefined {
  return unitsSpelled(text).find((each) => each.dimension === dimension);
}

export const toSI = (value: number, from: Unit): number => value * from.scale + (from.offset ?? 0);
export const fromSI = (value: number, to: Unit): number => (value - (to.offset ?? 0)) / to.scale;
