import type { RoundsTask } from "../../formats";
import type { DayProblem, Shift, Span, Task } from "../day/problem";
import { type Asked, type AskedShift, keeps } from "./read-question";

const MIN_MS = 60_000;
const DAY_MIN = 1440;

/** What the formats say when they say nothing. */
export const DEFAULTS = {
  latePerDay: 30,
  earlyPerDay: 0.2,
  leftOut: 1000,
  overtimePerMin: 0.5,
  perKm: 1,
} as const;

/** Some tasks and shifts of a question as a problem in minutes after the first of the shifts. */
export interface AskedDays {
  readonly problem: DayProblem;
  readonly shifts: readonly AskedShift[];
  readonly tasks: readonly RoundsTask[];
  /** ms since the epoch of a minute. */
  readonly at: (minute: number) => number;
  /** The minute of a time in ms. */
  readonly minute: (ms: number) => number;
}

export function dayProblem(
  { question, minutes, km }: Asked,
  tasks: readonly RoundsTask[],
  shifts: readonly AskedShift[],
): AskedDays {
  const zero = Math.min(...shifts.map(({ from }) => from));
  const minute = (ms: number) => (ms - zero) / MIN_MS;
  const places = [
    ...new Set([
      ...shifts.flatMap(({ start, crew }) => [start, crew.base]),
      ...tasks.map(({ place }) => place),
    ]),
  ];
  const rowOf = new Map(places.map((place, row) => [place, row]));
  const shutdowns = question.shutdowns ?? [];
  const shutdownRow = new Map(shutdowns.map(({ id }, row) => [id, row]));
  const { overtime_per_min = DEFAULTS.overtimePerMin, per_km = DEFAULTS.perKm } = question.prices ?? {};
  const end = Math.max(...shifts.map(({ crew, to }) => minute(to) + (crew.overtime_min ?? 0)));
  const asTask = (task: RoundsTask): Task => {
    const shift = task.keep && shifts.findLastIndex((each) => keeps(task.keep!, each));
    return {
      id: task.id,
      place: rowOf.get(task.place)!,
      stretches: task.stretches.map(({ work_min: work, wait_min, wait_most_min }, index) => {
        const last = index === task.stretches.length - 1;
        return {
          work,
          wait: last ? 0 : (wait_min ?? 0),
          waitMost: last ? 0 : (wait_most_min ?? Number.POSITIVE_INFINITY),
        };
      }),
      windows: windowsOf(task, minute, end),
      due: task.due === undefined ? Number.POSITIVE_INFINITY : minute(Date.parse(task.due)),
      latePerMin: (task.late_per_day ?? DEFAULTS.latePerDay) / DAY_MIN,
      leftOut: task.left_out ?? DEFAULTS.leftOut,
      outagePerMin: task.outage_per_min ?? 0,
      shutdown: task.shutdown === undefined ? undefined : shutdownRow.get(task.shutdown)!,
      out: task.out ?? [],
      needs: task.needs ?? [],
      people: task.people ?? 1,
      ...(shift !== undefined &&
        shift >= 0 && {
          kept: { shift, ...(task.keep!.exactly && { from: minute(Date.parse(task.keep!.from)) }) },
        }),
    };
  };
  return {
    shifts,
    tasks,
    at: (min) => Math.round(zero + min * MIN_MS),
    minute,
    problem: {
      tasks: tasks.map(asTask),
      shutdowns: shutdowns.map(({ shut_min: shut, restore_min: restore }) => ({ shut, restore })),
      shifts: shifts.map(
        ({ crew, start, from, to, people, skills }): Shift => ({
          id: `${crew.id} ${new Date(from).toISOString()}`,
          crew: crew.id,
          start: rowOf.get(start)!,
          base: rowOf.get(crew.base)!,
          from: minute(from),
          to: minute(to),
          latest: minute(to) + (crew.overtime_min ?? 0),
          people,
          skills,
          pace: crew.pace ?? 1,
        }),
      ),
      minutes: shortest(places.map((from) => places.map((to) => minutes(from, to)))),
      km: shortest(places.map((from) => places.map((to) => km(from, to)))),
      prices: { overtimePerMin: overtime_per_min, perKm: per_km },
    },
  };
}

function windowsOf(task: RoundsTask, minute: (ms: number) => number, end: number): Span[] {
  if (task.windows === undefined) return [{ from: 0, to: end }];
  return task.windows
    .map(({ from, to }) => ({ from: minute(Date.parse(from)), to: minute(Date.parse(to)) }))
    .sort((a, b) => a.from - b.from);
}

/** Who drives over a third place when that is shorter. @see R. W. Floyd, "Algorithm 97: Shortest Path", CACM 5 (1962) 345 */
function shortest(table: readonly (readonly number[])[]): number[][] {
  const least = table.map((row) => [...row]);
  for (const via of least.keys())
    for (const row of least) {
      const first = row[via]!;
      for (const [to, second] of least[via]!.entries())
        if (first + second < row[to]!) row[to] = first + second;
    }
  return least;
}
