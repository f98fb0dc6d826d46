import type { AbsolutePressure, GaugePressure } from "./dimension";

/** What the gauge shows plus the air pressure on site: about 101 kPa at sea level, 85 kPa at 1500 m. */
export const absolute = (shown: GaugePressure, surroundings: AbsolutePressure): AbsolutePressure =>
  (shown + surroundings) as AbsolutePressure;

/** What a gauge on site shows of it. */
export const shownByGauge = (pressure: AbsolutePressure, surroundings: AbsolutePressure): GaugePressure =>
  (pressure - surroundings) as GaugePressure;

/** A figure that is known to be Pa above vacuum. */
export const pascalsAbsolute = (value: number): AbsolutePressure => value as AbsolutePressure;
