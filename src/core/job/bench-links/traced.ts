import type { KeptTrace } from "../entered";
import { BAR, type Progress } from "../progress";
import { looks } from "../traces";
import { type BenchLink, figure } from "./rule";

/** The newest pressure that was recorded at cards of a kind; of a wait that was begun anew only what was recorded since. */
export const pressureTrace = (
  { traces, waits }: Progress,
  at: (step: string) => boolean,
): KeptTrace | undefined =>
  traces.findLast(
    ({ dimension, step, from }) =>
      dimension === "gauge pressure" && at(step) && from >= (waits.get(step)?.from ?? from),
  );

/** What a sum of two or three readings begins with: the beginning, the middle and the end of a trace. */
export function asReadings({ points }: Pick<KeptTrace, "points">): BenchLink["start"] {
  const seen = looks(points);
  const [first, middle, last] = [seen[0]!, seen[Math.floor(seen.length / 2)]!, seen.at(-1)!];
  const bar = (si: number) => `${figure(si / BAR)} bar g`;
  const warm = (name: string, kelvin: number | undefined) =>
    kelvin === undefined ? {} : { [name]: `${figure(kelvin)} K` };
  return {
    first: bar(first.value),
    ...(seen.length > 2 && { middle: bar(middle.value) }),
    last: bar(last.value),
    time: `${figure(Math.max(last.seconds / 60, 1))} min`,
    ...warm("firstTemperature", first.kelvin),
    ...warm("lastTemperature", last.kelvin),
  };
}
