import type { Area, Force, Length, Torque } from "../quantity";

/** What is on the thread and under the head when the bolt is pulled. */
export const CONDITIONS = ["dry", "oiled", "grease", "anti-seize", "PTFE-coated"] as const;
export type Condition = (typeof CONDITIONS)[number];

/**
 * Nut factor K by condition, with the usual spread. Textbook values for plated or plain steel: Shigley's Mechanical
 * Engineering Design, table "torque factors K for use with Eq. (8-27)" (dry plated 0.20, lubricated 0.18, anti-seize
 * 0.12); grease lies between; PTFE-coated studs 0.13 (ASME PCC-1, usual). Real joints scatter by about a quarter.
 */
export const NUT_FACTOR: Record<Condition, { readonly k: number; readonly spread: number }> = {
  dry: { k: 0.2, spread: 0.25 },
  oiled: { k: 0.18, spread: 0.2 },
  grease: { k: 0.16, spread: 0.2 },
  "anti-seize": { k: 0.12, spread: 0.2 },
  "PTFE-coated": { k: 0.13, spread: 0.15 },
};

/** T = K · F · d: wrench torque that gives one bolt its preload (short-form equation, ASME PCC-1). N·m from N and m. */
export const tighteningTorque = (k: number, preload: Force, diameter: Length): Torque =>
  (k * preload * diameter) as Torque;

/** The same preload with something else on the thread: torque goes with K. */
export const torqueInCondition = (stated: Torque, statedFor: Condition, actual: Condition): Torque =>
  (stated * (NUT_FACTOR[actual].k / NUT_FACTOR[statedFor].k)) as Torque;

/**
 * Tensile stress area of a metric thread, A = π/4 · (d − 0.9382·P)². ISO 898-1.
 * @param diameter nominal, m · @param pitch m
 */
export const metricStressArea = (diameter: Length, pitch: Length): Area =>
  ((Math.PI / 4) * (diameter - 0.9382 * pitch) ** 2) as Area;

/**
 * Tensile stress area of a unified thread, A = π/4 · (D − 0.9743/n)². ASME B1.1.
 * @param diameter nominal, m · @param pitch 1/n in m
 */
export const unifiedStressArea = (diameter: Length, pitch: Length): Area =>
  ((Math.PI / 4) * (diameter - 0.9743 * pitch) ** 2) as Area;

/**
 * Setting of a wrench with a crowfoot or extension: T · L / (L + E · cos θ).
 * @param wrench handle length to the drive, m · @param extension length from drive to bolt, m · @param angle between them, rad
 */
export const wrenchSetting = (wanted: Torque, wrench: Length, extension: Length, angle: number): Torque =>
  ((wanted * wrench) / (wrench + extension * Math.cos(angle))) as Torque;
