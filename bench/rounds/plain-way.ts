import type { RoundsQuestion } from "@/core/formats";
import {
  type Asked,
  busyFor,
  type DayProblem,
  dayProblem,
  nothingPlaced,
  type PlannedShift,
  type Prepared,
  prepared,
  readRounds,
  type Standing,
  timed,
  type Visit,
} from "@/core/rounds";

/** What is done by due date, each crew going on to the nearest that is due soonest: as it is done by hand. */
export function plainWay(question: RoundsQuestion): {
  readonly shifts: readonly PlannedShift[];
  readonly left: number;
} {
  const read = readRounds(question);
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  const asked = read.value;
  let waiting = [...question.tasks].sort((a, b) => (a.due! < b.due! ? -1 : 1));
  const shifts: PlannedShift[] = [];
  const days = new Map<string, Asked["shifts"][number][]>();
  for (const shift of asked.shifts) {
    const day = new Date(shift.from).toISOString().slice(0, 10);
    days.set(day, [...(days.get(day) ?? []), shift]);
  }
  for (const [, some] of days) {
    // What is due in a fortnight is on the list of the day; nobody looks further.
    const until = some[0]!.from + 14 * 86_400_000;
    const list = waiting
      .filter(
        ({ due, windows }) => Date.parse(due!) < until && Date.parse(windows![0]!.from) <= some[0]!.from,
      )
      .slice(0, 60);
    if (list.length === 0) continue;
    const day = dayProblem(asked, list, some);
    const { standing, done } = nearestNext(prepared(day.problem));
    for (const [row, order] of standing.orders.entries()) {
      if (order.length === 0) continue;
      const at = standing.timed[row]!;
      shifts.push({
        crew: some[row]!.crew.id,
        from: new Date(some[row]!.from).toISOString(),
        to: new Date(some[row]!.to).toISOString(),
        back: new Date(day.at(at.back)).toISOString(),
        drive_min: at.driveMin,
        km: at.km,
        overtime_min: Math.max(0, at.back - day.problem.shifts[row]!.to),
        visits: order.map(({ task, stretch }, index) => ({
          task: list[task]!.id,
          place: list[task]!.place,
          stretch: stretch + 1,
          of: list[task]!.stretches.length,
          from: new Date(day.at(at.starts[index]!)).toISOString(),
          to: new Date(day.at(at.ends[index]!)).toISOString(),
        })),
      });
    }
    waiting = waiting.filter(({ id }) => !done.has(id));
  }
  return { shifts, left: waiting.length };
}

/** Each shift in turn takes, of the five that are due first, the nearest, as long as it is back in time; it waits beside what soaks. */
function nearestNext(ready: Prepared): { readonly standing: Standing; readonly done: ReadonlySet<string> } {
  const { problem } = ready;
  let standing = nothingPlaced(problem);
  const done = new Set<string>();
  for (const [shift, { base, to }] of problem.shifts.entries()) {
    let place = base;
    const tried = new Set<number>();
    for (;;) {
      const next = nearest(problem, standing, ready, shift, place, tried);
      if (next === undefined) break;
      tried.add(next);
      const visits: Visit[] = problem.tasks[next]!.stretches.map((_, stretch) => ({ task: next, stretch }));
      const order = [...standing.orders[shift]!, ...visits];
      const at = timed(problem, shift, order, busyFor(ready, standing.timed, shift));
      if (at === undefined || at.back > to) continue;
      standing = {
        orders: standing.orders.with(shift, order),
        timed: standing.timed.with(shift, at),
        free: standing.free.filter((each) => each !== next),
      };
      done.add(problem.tasks[next]!.id);
      place = problem.tasks[next]!.place;
    }
  }
  return { standing, done };
}

function nearest(
  { tasks, minutes }: DayProblem,
  { free }: Standing,
  { fits }: Prepared,
  shift: number,
  place: number,
  tried: ReadonlySet<number>,
): number | undefined {
  const first = free.filter((task) => fits[task]!.includes(shift) && !tried.has(task)).slice(0, 5);
  return first.sort((a, b) => minutes[place]![tasks[a]!.place]! - minutes[place]![tasks[b]!.place]!)[0];
}
