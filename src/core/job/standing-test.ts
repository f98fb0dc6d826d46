import { judgeStanding, type StandingVerdict } from "../physics";
import { readProving } from "./step-id";
import type { TakenReading } from "./taken-reading";

/** Standard air pressure; a gauge's zero moves with the weather by less than the bound that is judged with. */
const SURROUNDINGS_PA = 101_325;

/**
 * What the newest proving readings say of the closures: from the last reading before the wait to the newest one after
 * it, at the place that was read last. Nothing when no wait lies between.
 *
 * @param bound Pa: a rise above this counts
 */
export function judgeStill(readings: readonly TakenReading[], bound: number): StandingVerdict | undefined {
  const newest = readings.map((each) => readProving(each.step)).findLast((each) => each !== undefined);
  const proving = readings.filter((each) => {
    const ref = readProving(each.step);
    return ref !== undefined && ref.at === newest?.at;
  });
  const first = proving.findLastIndex((each) => readProving(each.step)?.part === "gauge");
  const since = proving.slice(first);
  const start = since[0];
  if (first === -1 || start === undefined || since.length < 2) return undefined;
  return judgeStanding(
    since.map(({ at, si, kelvin }) => ({
      seconds: (at - start.at) / 1000,
      gauge: si,
      ...(kelvin !== undefined && { kelvin }),
    })),
    bound,
    SURROUNDINGS_PA,
  );
}
