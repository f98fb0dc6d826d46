import {
  type Cost,
  type DayProblem,
  NO_COST,
  plus,
  type Span,
  totalOf,
  unfit,
  type Visit,
  workOf,
} from "./problem";
import { type Busy, type Timed, timed } from "./timed";

/** Who does what in which order, as far as it is placed. */
export interface Standing {
  /** Of each shift. */
  readonly orders: readonly (readonly Visit[])[];
  readonly timed: readonly Timed[];
  /** Tasks that no shift has. */
  readonly free: readonly number[];
}

/** A place for a task in an order of visits. */
export interface Insertion {
  readonly shift: number;
  readonly order: readonly Visit[];
  readonly timed: Timed;
  /** What it adds to the cost. */
  readonly adds: number;
}

/** A day's problem with what is looked up again and again. */
export interface Prepared {
  readonly problem: DayProblem;
  /** Shifts that may have a task. */
  readonly fits: readonly (readonly number[])[];
  /** Tasks that a task may not be out with when another shift has them: that shuts by itself even what both share. */
  readonly apart: readonly (readonly number[])[];
}

export function prepared(problem: DayProblem): Prepared {
  const { tasks, shifts } = problem;
  const byKey = new Map<string, number[]>();
  tasks.forEach(({ out }, task) => {
    for (const key of out) byKey.set(key, [...(byKey.get(key) ?? []), task]);
  });
  return {
    problem,
    fits: tasks.map((task) =>
      shifts.flatMap((shift, row) => (unfit(problem, task, shift, row) === undefined ? [row] : [])),
    ),
    apart: tasks.map(({ out }, row) => {
      const others = new Set(out.flatMap((key) => byKey.get(key)!));
      return [...others].filter((other) => other !== row);
    }),
  };
}

export function nothingPlaced(problem: DayProblem): Standing {
  return {
    orders: problem.shifts.map(() => []),
    timed: problem.shifts.map((_, row) => timed(problem, row, [])!),
    free: problem.tasks.map((_, task) => task),
  };
}

/** When others keep a task from being out, as this shift sees it. */
export const busyFor =
  ({ apart }: Prepared, at: readonly Timed[], shift: number): Busy =>
  (task) => {
    const others = apart[task]!;
    if (others.length === 0) return [];
    const spans: Span[] = [];
    at.forEach(({ outages }, row) => {
      if (row !== shift) for (const each of outages) if (others.includes(each.task)) spans.push(each);
    });
    return spans.sort((a, b) => a.from - b.from);
  };

/** All it costs, with what is left out. */
export function costOf(problem: DayProblem, { timed: at, free }: Standing): Cost {
  const leftOut = free.reduce((sum, task) => sum + problem.tasks[task]!.leftOut, 0);
  return at.reduce((sum, { cost }) => plus(sum, cost), { ...NO_COST, leftOut });
}

/** More visits than this nobody fits into one wait. */
const MOST_BETWEEN = 8;

/** Asks about every way to put the stretches of a task into an order, with the least minutes and km that each adds. */
function eachPlacing(
  { tasks, minutes, km, shifts }: DayProblem,
  row: number,
  order: readonly Visit[],
  task: number,
  ask: (gaps: readonly number[], min: number, km: number) => void,
): void {
  const { place, stretches } = tasks[task]!;
  const places = [shifts[row]!.start, ...order.map((visit) => tasks[visit.task]!.place), shifts[row]!.base];
  const detour = (table: readonly (readonly number[])[], gap: number) => {
    const [before, after] = [places[gap]!, places[gap + 1]!];
    return table[before]![place]! + table[place]![after]! - table[before]![after]!;
  };
  const min = places.slice(1).map((_, gap) => detour(minutes, gap));
  const far = places.slice(1).map((_, gap) => detour(km, gap));
  const gaps: number[] = [];
  const from = (stretch: number, minSoFar: number, kmSoFar: number): void => {
    if (stretch === stretches.length) {
      ask(gaps, minSoFar, kmSoFar);
      return;
    }
    const last = stretch === 0 ? undefined : gaps[stretch - 1]!;
    const end = last === undefined ? order.length : Math.min(order.length, last + MOST_BETWEEN);
    for (let gap = last ?? 0; gap <= end; gap++) {
      gaps[stretch] = gap;
      if (gap === last) from(stretch + 1, minSoFar, kmSoFar);
      else from(stretch + 1, minSoFar + min[gap]!, kmSoFar + far[gap]!);
    }
  };
  from(0, 0, 0);
}

function withPlaced(order: readonly Visit[], task: number, gaps: readonly number[]): Visit[] {
  const next: Visit[] = [];
  let stretch = 0;
  for (let gap = 0; gap <= order.length; gap++) {
    while (stretch < gaps.length && gaps[stretch] === gap) next.push({ task, stretch: stretch++ });
    if (gap < order.length) next.push(order[gap]!);
  }
  return next;
}

/** Minutes in which a crew neither works nor drives: an insertion may fill them. */
const idleOf = ({ starts, ends, driveMin, cost }: Timed) =>
  cost.crew - driveMin - starts.reduce((sum, start, at) => sum + ends[at]! - start, 0);

/**
 * The cheapest place for a task in a shift, with all that shift does left in its order.
 *
 * @param skips says for a place whether it is passed over this time: a search that sometimes does finds its way out
 */
export function cheapestIn(
  ready: Prepared,
  standing: Standing,
  shift: number,
  task: number,
  most = Number.POSITIVE_INFINITY,
  skips: () => boolean = () => false,
): Insertion | undefined {
  const { problem } = ready;
  const { perKm } = problem.prices;
  const { latest, pace } = problem.shifts[shift]!;
  const work = pace * workOf(problem.tasks[task]!);
  const order = standing.orders[shift]!;
  const was = standing.timed[shift]!;
  const [before, idle] = [totalOf(was.cost), idleOf(was)];
  const busy = busyFor(ready, standing.timed, shift);
  const ways: { readonly gaps: readonly number[]; readonly least: number }[] = [];
  eachPlacing(problem, shift, order, task, (gaps, min, km) => {
    const longer = min + work - idle;
    const least = perKm * km + Math.max(0, longer);
    if (least < most && was.back + longer <= latest) ways.push({ gaps: [...gaps], least });
  });
  // What adds least to the way first: most of the others then need no look.
  ways.sort((a, b) => a.least - b.least);
  let best: Insertion | undefined;
  for (const { gaps, least } of ways) {
    const beat = best?.adds ?? most;
    if (least >= beat) break;
    if (skips()) continue;
    const next = withPlaced(order, task, gaps);
    const at = timed(problem, shift, next, busy);
    if (at === undefined) continue;
    const adds = totalOf(at.cost) - before;
    if (adds < beat) best = { shift, order: next, timed: at, adds };
  }
  return best;
}

/** Every place for a task in a shift, the cheapest first. */
export function placesIn(ready: Prepared, standing: Standing, shift: number, task: number): Insertion[] {
  const { problem } = ready;
  const order = standing.orders[shift]!;
  const before = totalOf(standing.timed[shift]!.cost);
  const busy = busyFor(ready, standing.timed, shift);
  const places: Insertion[] = [];
  eachPlacing(problem, shift, order, task, (gaps) => {
    const next = withPlaced(order, task, gaps);
    const at = timed(problem, shift, next, busy);
    if (at !== undefined) places.push({ shift, order: next, timed: at, adds: totalOf(at.cost) - before });
  });
  return places.sort((a, b) => a.adds - b.adds);
}

export function placedAt(standing: Standing, task: number, { shift, order, timed: at }: Insertion): Standing {
  return {
    orders: standing.orders.with(shift, order),
    timed: standing.timed.with(shift, at),
    free: standing.free.filter((each) => each !== task),
  };
}

/** Without some tasks: what is left goes to each of its visits as early as it then can. */
export function withoutTasks(
  ready: Prepared,
  standing: Standing,
  tasks: ReadonlySet<number>,
): Standing | undefined {
  let next: Standing = { ...standing, free: [...standing.free, ...tasks] };
  for (const [shift, order] of standing.orders.entries()) {
    if (!order.some(({ task }) => tasks.has(task))) continue;
    const kept = order.filter(({ task }) => !tasks.has(task));
    const at = timed(ready.problem, shift, kept, busyFor(ready, next.timed, shift));
    if (at === undefined) return undefined;
    next = { ...next, orders: next.orders.with(shift, kept), timed: next.timed.with(shift, at) };
  }
  return next;
}
