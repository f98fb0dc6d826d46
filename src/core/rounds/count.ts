import type { Sheet } from "../formats";
import type { Sisters } from "../statistics";
import type { DatedReading } from "./course";
import { forecast, type Meets } from "./forecast";

/** How far a counter has come since the act that it is counted from. */
export interface Counted {
  readonly what: string;
  readonly every: number;
  readonly done: number;
  /** When the newest reading was taken, ms. */
  readonly at: number;
  /** When it meets its limit, as it goes; nothing where it has, or where nobody can tell yet. */
  readonly meets?: Meets;
}

/**
 * How much of a count is used up, by the readings of a counter. A reading below the one before is a new counter, which
 * began at nought.
 *
 * @param readings of one valve, in any order · @param since when it was last done, ms; from the first reading when absent
 */
export function countedSince(
  readings: readonly DatedReading[],
  { what, every }: NonNullable<Sheet["intervals"][number]["counts"]>,
  since: number | undefined,
  sisters: Sisters | undefined,
): Counted | undefined {
  const own = readings.filter((each) => each.what === what).sort((a, b) => a.at - b.at);
  const [first] = own;
  if (first === undefined) return undefined;
  let [sum, before] = [first.si, first.si];
  const course = own.map(({ at, si }) => {
    sum += si >= before ? si - before : si;
    before = si;
    return { time: at, value: sum };
  });
  const base = since === undefined ? first.si : valueAt(course, since);
  const newest = course.at(-1)!;
  const meets = forecast(course, { high: base + every }, sisters);
  return {
    what,
    every,
    done: newest.value - base,
    at: newest.time,
    ...(meets && newest.value - base < every && { meets }),
  };
}

/** Between two readings it went evenly; before the first it stood as at that, after the last it stands. */
function valueAt(course: readonly { readonly time: number; readonly value: number }[], at: number): number {
  const after = course.findIndex(({ time }) => time >= at);
  if (after === -1) return course.at(-1)!.value;
  if (after === 0) return course[0]!.value;
  const [a, b] = [course[after - 1]!, course[after]!];
  return a.value + ((b.value - a.value) * (at - a.time)) / (b.time - a.time);
}
