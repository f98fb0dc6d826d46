import type { Dimension, GaugePressure, Quantity, Temperature } from "../quantity";
import type { Input, Output } from "./calculator";
import type { DateInput, ListInput, MeasuredInput, Shown, When } from "./declaration";

/** 0 °C in K, exact. */
export const KELVIN = 273.15;
/** One atmosphere, Pa, exact. */
export const ATMOSPHERE = 101_325;

const shown = <D extends Dimension>(dimension: D, metric: string, us = metric): Shown<D> => ({
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
/** A grain is 64.79891 mg, exact. */
export const GRAINS = shown("mass", "g", "gr");
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
export const ROOM_OF_A_KILOGRAM = shown("specific volume", "m3/kg", "ft3/lb");
export const HEAT_OF_A_KILOGRAM = shown("specific energy", "kJ/kg", "Btu/lb");
export const ENTROPY = shown("specific entropy", "kJ/(kg·K)", "Btu/(lb·°F)");
export const MONEY = shown("money", "¤");

type More = Partial<Pick<MeasuredInput, "usual" | "optional" | "when">>;
type Bounds = Pick<MeasuredInput, "least" | "most" | "help">;

/** Nothing is given where a field may stay empty, or does not count and has no usual value. */
type IfLeft<M extends More> = M extends { readonly usual: number }
  ? never
  : M extends { readonly optional: true } | { readonly when: When }
    ? undefined
    : never;

/** An input that is measured; bounds and usual value in SI. */
export const measured = <D extends Dimension, const M extends Bounds & More>(
  label: string,
  how: Shown<D>,
  more: M,
): Input<Quantity<D> | IfLeft<M>> => ({ kind: "measured", label, ...how, ...more });

type Options = Readonly<Record<string, string>> | readonly (readonly [id: string, label: string])[];
type IdOf<O extends Options> = O extends readonly (readonly [infer Id, string])[]
  ? Id & string
  : keyof O & string;

/** The options of a table of things that have a name. */
export const byName = <Id extends string>(
  table: Readonly<Record<Id, { readonly name: string }>>,
): readonly (readonly [Id, string])[] => (Object.keys(table) as Id[]).map((id) => [id, table[id].name]);

/** Options that are called what they are. */
export const asNamed = <Id extends string>(ids: readonly Id[]): readonly (readonly [Id, Id])[] =>
  ids.map((id) => [id, id]);

/**
 * A choice, its options by id; the first is the usual one unless another is named. Ids that are whole numbers have to come
 * as pairs: an object would sort them.
 */
export const choice = <const O extends Options>(
  label: string,
  help: string,
  options: O,
  more: { readonly usual?: IdOf<O>; readonly when?: When } = {},
): Input<IdOf<O>> => {
  const pairs: readonly (readonly [string, string])[] = Array.isArray(options)
    ? options
    : Object.entries(options);
  const listed = pairs.map(([id, words]) => ({ id, label: words }));
  return { kind: "choice", label, help, options: listed, usual: listed[0]!.id, ...more };
};

/** A day, or a day and time. */
export const day = <const M extends Partial<Pick<DateInput, "withTime" | "optional" | "usual" | "when">>>(
  label: string,
  help: string,
  more: M = {} as M,
): Input<number | (M extends { readonly optional: true } | { readonly when: When } ? undefined : never)> => ({
  kind: "date",
  label,
  help,
  ...more,
});

/** Whole numbers in an order. */
export const list = (
  label: string,
  help: string,
  bounds: Pick<ListInput, "least" | "most" | "longest">,
): Input<readonly number[]> => ({ kind: "list", label, help, ...bounds });

/** A figure among the answers; one that is optional is left out where it says nothing. */
export function result(label: string, how: Shown): Output<number>;
export function result(label: string, how: Shown, optional: "optional"): Output<number | undefined>;
export function result(label: string, how: Shown, optional?: "optional"): Output<number | undefined> {
  return { label, ...how, ...(optional && { optional: true }) };
}

/** An answer in words. */
export function named(label: string): Output<string>;
export function named(label: string, optional: "optional"): Output<string | undefined>;
export function named(label: string, optional?: "optional"): Output<string | undefined> {
  return { kind: "named", label, ...(optional && { optional: true }) };
}

/** A reading of a gauge, Pa above the air. */
export const gaugeField = <const M extends Partial<Bounds> & More>(
  label: string,
  more: M = {} as M,
): Input<GaugePressure | IfLeft<M>> =>
  measured(label, GAUGE, { help: "What the gauge shows.", least: -ATMOSPHERE, most: 1e7, ...more });

/** A temperature, K. */
export const temperatureField = <const M extends Partial<Bounds> & More>(
  label: string,
  more: M = {} as M,
): Input<Temperature | IfLeft<M>> =>
  measured(label, DEGREES, {
    help: "Measured on the wiped metal.",
    least: KELVIN - 80,
    most: KELVIN + 200,
    ...more,
  });

/** The air's own pressure, which every gauge leaves out, Pa. */
export const AIR_ON_SITE = measured("Air pressure on site", ABSOLUTE, {
  help: "About 1.013 bar at sea level, 0.85 bar at 1500 m.",
  least: 40_000,
  most: 110_000,
  usual: ATMOSPHERE,
});
