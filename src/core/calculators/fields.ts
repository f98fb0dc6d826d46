import type {
  ChoiceInput,
  DateInput,
  MeasuredInput,
  MeasuredOutput,
  NamedOutput,
  Shown,
} from "./declaration";

/** 0 °C in K, exact. */
export const KELVIN = 273.15;
/** One atmosphere, Pa, exact. */
export const ATMOSPHERE = 101_325;

const shown = (dimension: Shown["dimension"], metric: string, us = metric): Shown => ({
  dimension,
  units: { metric, us },
});

/** How an amount is shown in either system, by what it is on the job. */
export const PLAIN = shown("number", "");
export const PERCENT = shown("number", "%");
export const SIZE = shown("length", "mm", "in");
export const RUN = shown("length", "m", "ft");
export const SECTION = shown("area", "mm2", "in2");
export const SURFACE = shown("area", "m2", "ft2");
export const CONTENT = shown("volume", "L", "US gal");
export const ROOM = shown("volume", "m3", "ft3");
export const MASS = shown("mass", "kg", "lb");
export const GRAMS = shown("mass", "g", "lb");
export const SECONDS = shown("time", "s");
export const MINUTES = shown("time", "min");
export const HOURS = shown("time", "h");
export const DAYS = shown("time", "d");
export const YEARS = shown("time", "y");
export const DEGREES = shown("temperature", "°C", "°F");
export const WARMING = shown("temperature difference", "ΔK", "Δ°F");
export const KELVINS = shown("temperature difference", "ΔK");
export const GAUGE = shown("gauge pressure", "bar g", "psi g");
export const ABSOLUTE = shown("absolute pressure", "bar abs", "psi abs");
export const DIFFERENCE = shown("pressure difference", "bar", "psi");
export const SMALL_DIFFERENCE = shown("pressure difference", "mbar", "inH2O");
export const FORCE = shown("force", "kN", "lbf");
export const TORQUE = shown("torque", "N·m", "ft·lbf");
export const STRESS = shown("stress", "N/mm2", "ksi");
export const FLOW = shown("volume flow", "L/min", "US gpm");
export const GAS_FLOW = shown("volume flow", "m3/h", "ft3/h");
export const AIR_FLOW = shown("volume flow", "L/s", "ft3/min");
export const MASS_FLOW = shown("mass flow", "kg/h", "lb/h");
export const SPEED = shown("velocity", "m/s", "ft/s");
export const HEAT = shown("power", "kW", "Btu/h");
export const WATTS = shown("power", "W");
export const ENERGY = shown("energy", "kJ", "Btu");
export const BED_SPEED = shown("velocity", "m/h", "gpm/ft2");
export const DENSITY = shown("density", "kg/m3", "lb/ft3");
export const SALT_DOSE = shown("density", "g/L", "lb/ft3");
export const HARDNESS = shown("concentration", "mg/L", "gr/gal");
export const OHMS = shown("resistance", "Ω");
export const VOLTS = shown("voltage", "V");
export const CURRENT = shown("current", "A");
export const ANGLE = shown("angle", "°");
export const TURNS = shown("turns", "turn");
export const FLOW_COEFFICIENT = shown("flow coefficient", "Kv", "Cv");
export const THREADS = shown("thread density", "per in");
export const MONEY = shown("money", "¤");

type MoreMeasured = Pick<MeasuredInput, "least" | "most" | "help"> &
  Partial<Pick<MeasuredInput, "usual" | "optional" | "when">>;

/** An input that is measured; bounds and usual value in SI. */
export const measured = (name: string, label: string, how: Shown, more: MoreMeasured): MeasuredInput => ({
  kind: "measured",
  name,
  label,
  ...how,
  ...more,
});

/**
 * A choice, its options by id; the first is the usual one unless another is named. Ids that are whole numbers have to come
 * as pairs: an object would sort them.
 */
export const choice = (
  name: string,
  label: string,
  help: string,
  options: Readonly<Record<string, string>> | readonly (readonly [id: string, label: string])[],
  more: Partial<Pick<ChoiceInput, "usual" | "when">> = {},
): ChoiceInput => {
  const pairs = Array.isArray(options) ? options : Object.entries(options);
  const listed = (pairs as readonly (readonly [string, string])[]).map(([id, words]) => ({
    id,
    label: words,
  }));
  return { kind: "choice", name, label, help, options: listed, usual: listed[0]!.id, ...more };
};

export const day = (
  name: string,
  label: string,
  help: string,
  more: Partial<Pick<DateInput, "withTime" | "optional" | "usual" | "when">> = {},
): DateInput => ({ kind: "date", name, label, help, ...more });

export const result = (name: string, label: string, how: Shown, optional?: "optional"): MeasuredOutput => ({
  name,
  label,
  ...how,
  ...(optional && { optional: true }),
});

export const named = (name: string, label: string, optional?: "optional"): NamedOutput => ({
  kind: "named",
  name,
  label,
  ...(optional && { optional: true }),
});

type More = Partial<Omit<MeasuredInput, "kind" | "dimension" | "units">>;

/** A reading of a gauge, Pa above the air. */
export const gaugeField = (name: string, label: string, more: More = {}): MeasuredInput =>
  measured(name, label, GAUGE, { help: "What the gauge shows.", least: -ATMOSPHERE, most: 1e7, ...more });

/** A temperature, K. */
export const temperatureField = (name: string, label: string, more: More = {}): MeasuredInput =>
  measured(name, label, DEGREES, {
    help: "Measured on the wiped metal.",
    least: KELVIN - 80,
    most: KELVIN + 200,
    ...more,
  });

/** The air's own pressure, which every gauge leaves out, Pa. */
export const AIR_ON_SITE: MeasuredInput = measured("surroundings", "Air pressure on site", ABSOLUTE, {
  help: "About 1.013 bar at sea level, 0.85 bar at 1500 m.",
  least: 40_000,
  most: 110_000,
  usual: ATMOSPHERE,
});
