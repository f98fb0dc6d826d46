declare const dimension: unique symbol;

/** What is measured. Gauge and absolute pressure differ, as do a temperature and a difference of two. */
export const DIMENSIONS = [
  "number",
  "length",
  "area",
  "volume",
  "mass",
  "time",
  "temperature",
  "temperature difference",
  "gauge pressure",
  "absolute pressure",
  "pressure difference",
  "force",
  "torque",
  "stress",
  "volume flow",
  "velocity",
  "resistance",
  "voltage",
  "angle",
  "turns",
  "specific volume",
  "specific energy",
  "specific entropy",
  "power",
  "energy",
  "mass flow",
  "density",
  "concentration",
  "flow coefficient",
  "thread density",
  "pressure rate",
  "current",
  "money",
] as const;
export type Dimension = (typeof DIMENSIONS)[number];

/** A number in SI: inside the core every quantity is one of these. */
export type Quantity<D extends Dimension> = number & { readonly [dimension]: D };
export type Length = Quantity<"length">; // m
export type Area = Quantity<"area">; // m²
export type Volume = Quantity<"volume">; // m³
export type Duration = Quantity<"time">; // s
export type GaugePressure = Quantity<"gauge pressure">; // Pa above the surroundings
export type AbsolutePressure = Quantity<"absolute pressure">; // Pa above vacuum
export type Temperature = Quantity<"temperature">; // K
export type Force = Quantity<"force">; // N
export type Torque = Quantity<"torque">; // N·m
export type Stress = Quantity<"stress">; // Pa

/** The system a person reads and types in; the inside never changes. */
export type UnitSystem = "metric" | "us";

export function isDimension(text: string): text is Dimension {
  return (DIMENSIONS as readonly string[]).includes(text);
}
