/** A straight line through readings: value = at + slope·(time − middle). */
export interface Trend {
  readonly slope: number;
  readonly middle: number;
  readonly at: number;
  /** Standard error of the slope; nothing with two readings. */
  readonly slopeError: number | undefined;
}

export interface TimedValue {
  readonly time: number;
  readonly value: number;
}

/** Least squares. @param readings two or more at different times · @see any statistics text */
export function trendOf(readings: readonly TimedValue[]): Trend | undefined {
  const count = readings.length;
  const middle = readings.reduce((sum, each) => sum + each.time, 0) / count;
  const at = readings.reduce((sum, each) => sum + each.value, 0) / count;
  const spread = readings.reduce((sum, each) => sum + (each.time - middle) ** 2, 0);
  if (count < 2 || spread === 0) return undefined;
  const slope = readings.reduce((sum, each) => sum + (each.time - middle) * (each.value - at), 0) / spread;
  const rest = readings.reduce((sum, each) => sum + (each.value - at - slope * (each.time - middle)) ** 2, 0);
  return { slope, middle, at, slopeError: count > 2 ? Math.sqrt(rest / (count - 2) / spread) : undefined };
}

/** When the line meets a limit; nothing when it runs away from it or stands still. */
export function meets({ slope, middle, at }: Trend, limit: number): number | undefined {
  const away = limit - at;
  return slope === 0 || Math.sign(slope) !== Math.sign(away) ? undefined : middle + away / slope;
}
