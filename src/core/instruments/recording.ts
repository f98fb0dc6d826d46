import { MOST_POINTS, type TakenWith } from "../formats";
import { type Trace, thinned } from "../job";
import type { HeardReading } from "./heard";

/** What one instrument has shown since somebody began to look, and with what it was read. */
export interface Recording {
  readonly trace: Trace;
  readonly with: TakenWith;
}

/** As many points as are held while it goes on: a shift, one a second. */
const MOST_HELD = 30_000;
/** A wrench that shows less than this is between two pulls, N·m. */
const SLACK_NM = 1;

/**
 * A recording with one more reading.
 *
 * @param since ms: what was read before is not part of it
 * @param kelvin temperature of the section then, where another instrument reads it
 */
export function recordOn(
  before: Recording | undefined,
  { at, si }: HeardReading,
  {
    dimension,
    every_s,
    taken,
    since,
    kelvin,
  }: {
    readonly dimension: Trace["dimension"];
    readonly every_s: number;
    readonly taken: TakenWith;
    readonly since: number;
    readonly kelvin: number | undefined;
  },
): Recording | undefined {
  if (si === undefined || at < since) return before;
  const begun = before?.trace.from ?? at;
  const s = Math.round((at - begun) / 10) / 100;
  const last = before?.trace.points.at(-1);
  if (last !== undefined && s <= last[0]!) return before;
  const point = [s, si, ...(kelvin === undefined ? [] : [kelvin])];
  // A pull begins where the wrench was slack, and ends where it is slack again.
  if (dimension === "torque" && (last?.[1] ?? 0) < SLACK_NM)
    return si < SLACK_NM
      ? before
      : { with: taken, trace: { dimension, from: at, every_s, points: [[0, si]] } };
  const points = [...(before?.trace.points ?? []), point];
  return {
    with: taken,
    trace: {
      dimension,
      from: begun,
      every_s,
      points: points.length > MOST_HELD ? thinned(points, MOST_HELD / 2) : points,
    },
  };
}

/** As it goes into the log: as many points as are kept, the figures in as many digits as an instrument has. */
export const asKept = ({ trace }: Recording): Trace => ({
  ...trace,
  points: thinned(trace.points, MOST_POINTS).map((point) => point.map((each) => Number(each.toPrecision(7)))),
});
