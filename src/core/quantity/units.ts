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
const POUND = 0.45359237; // kg
const BTU = 1055.05585262; // J, international table, exact
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
      ["inHg", 3386.389, ["inhg", '"hg']], // conventional, 0 °C
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
  { id: "ppm", label: "ppm", dimension: "number", scale: 1e-6 },
  { id: "mm", label: "mm", dimension: "length", scale: 1e-3, also: ["millimetre", "millimeter"] },
  { id: "cm", label: "cm", dimension: "length", scale: 1e-2 },
  { id: "m", label: "m", dimension: "length", scale: 1, also: ["metre", "meter", "metres", "meters"] },
  { id: "in", label: "in", dimension: "length", scale: INCH, also: ['"', "inch", "inches", "''"] },
  { id: "ft", label: "ft", dimension: "length", scale: FOOT, also: ["'", "foot", "feet"] },
  { id: "mm2", label: "mm²", dimension: "area", scale: 1e-6 },
  { id: "cm2", label: "cm²", dimension: "area", scale: 1e-4 },
  { id: "m2", label: "m²", dimension: "area", scale: 1 },
  { id: "ft2", label: "ft²", dimension: "area", scale: FOOT ** 2, also: ["sqft"] },
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
  { id: "gr", label: "gr", dimension: "mass", scale: 64.79891e-6, also: ["grain", "grains"] },
  { id: "s", label: "s", dimension: "time", scale: 1, also: ["sec", "secs", "second", "seconds"] },
  { id: "min", label: "min", dimension: "time", scale: 60, also: ["mins", "minute", "minutes"] },
  { id: "h", label: "h", dimension: "time", scale: 3600, also: ["hr", "hrs", "hour", "hours"] },
  { id: "d", label: "d", dimension: "time", scale: 86400, also: ["day", "days"] },
  { id: "y", label: "years", dimension: "time", scale: 365.25 * 86400, also: ["a", "yr", "year"] }, // Julian
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
  { id: "L/h", label: "L/h", dimension: "volume flow", scale: 1e-3 / 3600 },
  { id: "ft3/h", label: "ft³/h", dimension: "volume flow", scale: FOOT ** 3 / 3600, also: ["cfh"] },
  { id: "ft3/min", label: "ft³/min", dimension: "volume flow", scale: FOOT ** 3 / 60, also: ["cfm"] },
  { id: "m/h", label: "m/h", dimension: "velocity", scale: 1 / 3600 },
  { id: "gpm/ft2", label: "gpm/ft²", dimension: "velocity", scale: US_GALLON / 60 / FOOT ** 2 },
  { id: "m/s", label: "m/s", dimension: "velocity", scale: 1 },
  { id: "ft/s", label: "ft/s", dimension: "velocity", scale: FOOT, also: ["fps"] },
  { id: "Ω", label: "Ω", dimension: "resistance", scale: 1, also: ["ohm", "ohms", "r", "ω", "ω"] },
  { id: "kΩ", label: "kΩ", dimension: "resistance", scale: 1e3, also: ["kohm", "kω", "kω"] },
  { id: "V", label: "V", dimension: "voltage", scale: 1, also: ["v", "volt", "volts"] },
  { id: "mV", label: "mV", dimension: "voltage", scale: 1e-3 },
  { id: "°", label: "°", dimension: "angle", scale: Math.PI / 180, also: ["deg", "degree", "degrees"] },
  { id: "turn", label: "turns", dimension: "turns", scale: 1, also: ["turns", "rev", "revs"] },
  { id: "m3/kg", label: "m³/kg", dimension: "specific volume", scale: 1 },
  { id: "ft3/lb", label: "ft³/lb", dimension: "specific volume", scale: FOOT ** 3 / POUND },
  { id: "kJ/kg", label: "kJ/kg", dimension: "specific energy", scale: 1e3 },
  { id: "Btu/lb", label: "Btu/lb", dimension: "specific energy", scale: 2326 }, // international table, exact
  { id: "kJ/(kg·K)", label: "kJ/(kg·K)", dimension: "specific entropy", scale: 1e3 },
  { id: "W", label: "W", dimension: "power", scale: 1, also: ["watt", "watts", "va"] },
  { id: "kW", label: "kW", dimension: "power", scale: 1e3 },
  { id: "Btu/h", label: "Btu/h", dimension: "power", scale: BTU / 3600, also: ["btuh", "btu"] },
  { id: "hp", label: "hp", dimension: "power", scale: 550 * POUND_FORCE * FOOT },
  { id: "J", label: "J", dimension: "energy", scale: 1 },
  { id: "kJ", label: "kJ", dimension: "energy", scale: 1e3 },
  { id: "MJ", label: "MJ", dimension: "energy", scale: 1e6 },
  { id: "kWh", label: "kWh", dimension: "energy", scale: 3.6e6 },
  { id: "Btu", label: "Btu", dimension: "energy", scale: BTU },
  { id: "ft·lbf energy", label: "ft·lbf", dimension: "energy", scale: POUND_FORCE * FOOT },
  { id: "kg/h", label: "kg/h", dimension: "mass flow", scale: 1 / 3600 },
  { id: "kg/s", label: "kg/s", dimension: "mass flow", scale: 1 },
  { id: "kg/min", label: "kg/min", dimension: "mass flow", scale: 1 / 60 },
  { id: "lb/h", label: "lb/h", dimension: "mass flow", scale: POUND / 3600, also: ["pph"] },
  { id: "lb/min", label: "lb/min", dimension: "mass flow", scale: POUND / 60 },
  { id: "kg/m3", label: "kg/m³", dimension: "density", scale: 1 },
  { id: "g/L", label: "g/L", dimension: "density", scale: 1 },
  { id: "lb/ft3", label: "lb/ft³", dimension: "density", scale: POUND / FOOT ** 3 },
  { id: "mg/L", label: "mg/L", dimension: "concentration", scale: 1e-3, also: ["ppm"] },
  // Hardness as CaCO3: a grain is 64.79891 mg, exact.
  {
    id: "gr/gal",
    label: "gr/gal",
    dimension: "concentration",
    scale: 64.79891e-6 / US_GALLON,
    also: ["gpg"],
  },
  { id: "°dH", label: "°dH", dimension: "concentration", scale: 17.848e-3, also: ["dh"] }, // DIN 38409-6: 10 mg CaO in a litre
  // Kv: m³/h of water at 1 bar. Cv: US gpm at 1 psi; Kv = 0.865 · Cv (IEC 60534-1).
  { id: "Kv", label: "Kv", dimension: "flow coefficient", scale: 1 },
  { id: "Cv", label: "Cv", dimension: "flow coefficient", scale: 0.865 },
  { id: "per in", label: "to the inch", dimension: "thread density", scale: 1 / INCH, also: ["tpi"] },
  { id: "per mm", label: "to the mm", dimension: "thread density", scale: 1e3 },
  { id: "bar/h", label: "bar/h", dimension: "pressure rate", scale: 1e5 / 3600 },
  { id: "psi/h", label: "psi/h", dimension: "pressure rate", scale: PSI / 3600 },
  { id: "bar/min", label: "bar/min", dimension: "pressure rate", scale: 1e5 / 60 },
  { id: "A", label: "A", dimension: "current", scale: 1, also: ["amp", "amps"] },
  { id: "mA", label: "mA", dimension: "current", scale: 1e-3 },
  { id: "¤", label: "¤", dimension: "money", scale: 1, also: ["money"] },
  { id: "Btu/(lb·°F)", label: "Btu/(lb·°F)", dimension: "specific entropy", scale: 4186.8 }, // exact
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
    "specific volume": "m3/kg",
    "specific energy": "kJ/kg",
    "specific entropy": "kJ/(kg·K)",
    power: "W",
    energy: "kJ",
    "mass flow": "kg/h",
    density: "kg/m3",
    concentration: "mg/L",
    "flow coefficient": "Kv",
    "thread density": "per in",
    "pressure rate": "bar/h",
    current: "A",
    money: "¤",
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
    "specific volume": "ft3/lb",
    "specific energy": "Btu/lb",
    "specific entropy": "Btu/(lb·°F)",
    power: "W",
    energy: "Btu",
    "mass flow": "lb/h",
    density: "lb/ft3",
    concentration: "gr/gal",
    "flow coefficient": "Cv",
    "thread density": "per in",
    "pressure rate": "psi/h",
    current: "A",
    money: "¤",
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

/** Units by whatever they may be written as, in the order of the table. */
const bySpelling = new Map<string, Unit[]>();
for (const each of UNITS)
  for (const spelling of new Set([squeeze(each.id), squeeze(each.label), ...(each.also ?? [])]))
    bySpelling.set(spelling, [...(bySpelling.get(spelling) ?? []), each]);

/** Every unit that a spelling may mean, whatever its dimension ("psi" may be gauge or a difference); its exact id first. */
export function unitsSpelled(text: string): readonly Unit[] {
  const exact = byId.get(text.trim());
  const loose = bySpelling.get(squeeze(text)) ?? [];
  return exact === undefined ? loose : [exact, ...loose.filter((each) => each !== exact)];
}

/** A unit named by a program: only its exact id (or a spelling) within the dimension. */
export function unitNamed(text: string, dimension: Dimension): Unit | undefined {
  return unitsSpelled(text).find((each) => each.dimension === dimension);
}

export const toSI = (value: number, from: Unit): number => value * from.scale + (from.offset ?? 0);
export const fromSI = (value: number, to: Unit): number => (value - (to.offset ?? 0)) / to.scale;
