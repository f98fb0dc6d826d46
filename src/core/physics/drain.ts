import type { Area, Duration, Length, Volume } from "../quantity";

/** Standard gravity, m/s² (ISO 80000-3). */
export const GRAVITY = 9.80665;

/**
 * Time to empty an upright vessel (or a section treated as one of even cross-section) through an opening at its
 * foot, the head falling as it drains: t = 2·V / (C·a·√(2·g·H)).
 *
 * @param volume m³ · @param head m of liquid above the opening at the start · @param opening m² · @param coefficient
 * discharge coefficient, 0.6 to 0.65 for a sharp-edged opening
 * @see Torricelli; any hydraulics text, "emptying of a vessel under falling head"
 */
export function drainTime(volume: Volume, head: Length, opening: Area, coefficient: number): Duration {
  return ((2 * volume) / (coefficient * opening * Math.sqrt(2 * GRAVITY * head))) as Duration;
}

/** Depth left after a time, as a share of the first head: (1 − t/T)², nothing after T. */
export function shareOfHeadLeft(elapsed: Duration, whole: Duration): number {
  return elapsed >= whole ? 0 : (1 - elapsed / whole) ** 2;
}

export const circleArea = (diameter: Length): Area => ((Math.PI / 4) * diameter ** 2) as Area;

/** Content of a round pipe: inside diameter and length in m. */
export const pipeVolume = (diameter: Length, length: Length): Volume =>
  (circleArea(diameter) * length) as Volume;
