import { seeded, shuffled } from "../../seeded";
import { type DayProblem, totalOf, workOf } from "./problem";
import {
  busyFor,
  cheapestIn,
  costOf,
  type Insertion,
  nothingPlaced,
  type Prepared,
  placedAt,
  placesIn,
  prepared,
  type Standing,
  withoutTasks,
} from "./standing";
import { timed } from "./timed";

export interface SearchOptions {
  readonly seed: number;
  /** How many times some of it is taken out and put in anew: the same number and seed give the same plan. */
  readonly steps: number;
  /** Asked before each step: no clock in here. What is best so far is kept when it says no. */
  readonly goesOn?: (step: number, best: number) => boolean;
  /** Where it begins; by construction when absent. */
  readonly from?: Standing;
}

export interface Found {
  readonly standing: Standing;
  readonly cost: number;
  /** Steps that were made; fewer than asked when it was stopped. */
  readonly steps: number;
}

/** Tasks taken out in one step, on the average, and the longest run of one shift's. */
const REMOVED = 8;
const LONGEST_RUN = 6;
/** So many searches of few tasks, each from the beginning: one alone may be caught where no step leads out. */
const CHAINS = 3;
const FEW = 8;
/** How often a place is passed over. */
const BLINKS = 0.02;
/** Minutes of a crew by which a worse standing is still gone on from, at first and at last. */
const HOT = 8;
const COLD = 0.2;

/**
 * A plan of some shifts: built by cheapest insertion, bettered by taking runs of neighbours out of the shifts and putting
 * them in anew. What is kept is placed first and never taken out.
 *
 * @see J. Christiaens, G. Vanden Berghe, "Slack Induction by String Removals for Vehicle Routing Problems",
 *   Transportation Science 54 (2020) 417
 */
export function search(problem: DayProblem, { seed, steps, goesOn, from }: SearchOptions): Found {
  const ready = prepared(problem);
  const near = neighbours(problem);
  const first = filled(ready, from ?? withKept(ready), byNeed(ready), () => false);
  let best: Found = { standing: first, cost: totalOf(costOf(problem, first)), steps: 0 };
  const chains = problem.tasks.length > FEW ? 1 : CHAINS;
  const each = Math.ceil(steps / chains);
  for (let chain = 0; chain < chains; chain++) {
    const made = best.steps;
    const asked = goesOn && ((step: number, cost: number) => goesOn(made + step, Math.min(cost, best.cost)));
    const found = cooled(
      ready,
      near,
      first,
      seeded(seed + chain * 7919),
      Math.min(each, steps - made),
      asked,
    );
    best = { ...(found.cost < best.cost ? found : best), steps: made + found.steps };
    if (found.steps < Math.min(each, steps - made)) break;
  }
  return settled(ready, best);
}

/** One chain of betterments, at first content with worse, at last hardly. */
function cooled(
  ready: Prepared,
  near: readonly (readonly number[])[],
  first: Standing,
  random: () => number,
  steps: number,
  goesOn: SearchOptions["goesOn"],
): Found {
  const { problem } = ready;
  const loose = problem.tasks.flatMap(({ kept }, task) => (kept === undefined ? [task] : []));
  let [current, currentCost] = [first, totalOf(costOf(problem, first))];
  let [best, bestCost] = [current, currentCost];
  const cooling = (COLD / HOT) ** (1 / Math.max(1, steps));
  let heat = HOT;
  let step = 0;
  for (; step < steps; step++, heat *= cooling) {
    if (loose.length === 0 || (goesOn !== undefined && !goesOn(step, bestCost))) break;
    const ruined = withoutTasks(ready, current, ruin(problem, current, near, loose, random));
    if (ruined === undefined) continue;
    const next = filled(ready, ruined, ordering(problem, ready, random), () => random() < BLINKS);
    const cost = totalOf(costOf(problem, next));
    if (cost >= currentCost - heat * Math.log(random())) continue;
    [current, currentCost] = [next, cost];
    if (cost < bestCost - 1e-9) [best, bestCost] = [next, cost];
  }
  return { standing: best, cost: bestCost, steps: step };
}

/** What waited for somebody who has gone on since no longer does. */
function settled(ready: Prepared, found: Found): Found {
  let { standing, cost } = found;
  for (const [shift, order] of standing.orders.entries()) {
    const at = timed(ready.problem, shift, order, busyFor(ready, standing.timed, shift));
    if (at === undefined || totalOf(at.cost) >= totalOf(standing.timed[shift]!.cost)) continue;
    standing = { ...standing, timed: standing.timed.with(shift, at) };
    cost = totalOf(costOf(ready.problem, standing));
  }
  return { ...found, standing, cost };
}

/** So many places are tried before what is kept is put where it is cheapest, with what then does not fit left out. */
const MOST_TRIED = 400;

/** What is kept in its shift: those whose time is given first. Where one after the other does not fit, all ways are tried. */
function withKept(ready: Prepared): Standing {
  const kept = ready.problem.tasks
    .flatMap(({ kept: where }, task) =>
      where === undefined ? [] : [{ task, shift: where.shift, at: where.from ?? Number.POSITIVE_INFINITY }],
    )
    .sort((a, b) => a.at - b.at);
  const tasks = kept.map(({ task }) => task);
  const empty = nothingPlaced(ready.problem);
  const greedy = filled(
    ready,
    empty,
    () => tasks,
    () => false,
    new Set(tasks),
  );
  if (!tasks.some((task) => greedy.free.includes(task))) return greedy;
  let left = MOST_TRIED;
  const placedFrom = (standing: Standing, row: number): Standing | undefined => {
    const next = kept[row];
    if (next === undefined) return standing;
    for (const place of placesIn(ready, standing, next.shift, next.task)) {
      if (left-- <= 0) return undefined;
      const all = placedFrom(placedAt(standing, next.task, place), row + 1);
      if (all !== undefined) return all;
    }
    return undefined;
  };
  return placedFrom(empty, 0) ?? greedy;
}

/** Puts each of the free tasks where it is cheapest, one after the other; what costs less undone stays so. */
function filled(
  ready: Prepared,
  from: Standing,
  order: (free: readonly number[]) => readonly number[],
  skips: () => boolean,
  only?: ReadonlySet<number>,
): Standing {
  let standing = from;
  for (const task of order(from.free)) {
    if (only !== undefined && !only.has(task)) continue;
    const where = cheapest(ready, standing, task, skips);
    if (where !== undefined) standing = placedAt(standing, task, where);
  }
  return standing;
}

function cheapest(
  ready: Prepared,
  standing: Standing,
  task: number,
  skips: () => boolean,
): Insertion | undefined {
  const { leftOut, kept } = ready.problem.tasks[task]!;
  let best: Insertion | undefined;
  for (const shift of ready.fits[task]!) {
    const most = best?.adds ?? (kept === undefined ? leftOut : Number.POSITIVE_INFINITY);
    best = cheapestIn(ready, standing, shift, task, most, skips) ?? best;
  }
  return best;
}

/** Those that few shifts can have first, then the long ones. */
const byNeed =
  ({ problem, fits }: Prepared) =>
  (free: readonly number[]): readonly number[] =>
    [...free].sort(
      (a, b) =>
        fits[a]!.length - fits[b]!.length || workOf(problem.tasks[b]!) - workOf(problem.tasks[a]!) || a - b,
    );

/** By one of four orders, as chance has it. */
function ordering(problem: DayProblem, ready: Prepared, random: () => number) {
  const { tasks, minutes, shifts } = problem;
  const base = shifts[0]?.base ?? 0;
  const far = (task: number) => minutes[base]![tasks[task]!.place]!;
  const which = random();
  return (free: readonly number[]): readonly number[] => {
    if (which < 0.3) return byNeed(ready)(free);
    if (which < 0.5) return [...free].sort((a, b) => far(b) - far(a) || a - b);
    if (which < 0.6) return [...free].sort((a, b) => tasks[a]!.due - tasks[b]!.due || a - b);
    return shuffled(free, random);
  };
}

/** Of each task all others, the nearest first; those that share its shut-down before them. */
function neighbours({ tasks, minutes }: DayProblem): readonly (readonly number[])[] {
  return tasks.map((task, row) => {
    const away = (other: number) => {
      const { place, shutdown } = tasks[other]!;
      return shutdown !== undefined && shutdown === task.shutdown ? -1 : minutes[task.place]![place]!;
    };
    return tasks
      .map((_, other) => other)
      .filter((other) => other !== row)
      .sort((a, b) => away(a) - away(b) || a - b);
  });
}

/** Runs of neighbours, each out of the order of one shift, and those of them that are placed nowhere. */
function ruin(
  { tasks }: DayProblem,
  { orders, free }: Standing,
  near: readonly (readonly number[])[],
  loose: readonly number[],
  random: () => number,
): Set<number> {
  const seedTask = loose[Math.floor(random() * loose.length)]!;
  const most = Math.max(1, Math.round(random() * 2 * Math.min(REMOVED, loose.length / 2)));
  const shiftOf = new Map<number, number>();
  orders.forEach((order, row) => {
    for (const { task } of order) shiftOf.set(task, row);
  });
  const notPlaced = new Set(free);
  const removed = new Set<number>();
  const touched = new Set<number>();
  for (const task of [seedTask, ...near[seedTask]!]) {
    if (removed.size >= most) break;
    if (tasks[task]!.kept !== undefined || notPlaced.has(task) || removed.has(task)) continue;
    const shift = shiftOf.get(task)!;
    if (touched.has(shift)) continue;
    touched.add(shift);
    const sequence = [...new Set(orders[shift]!.map((each) => each.task))];
    const length = Math.min(sequence.length, most - removed.size, 1 + Math.floor(random() * LONGEST_RUN));
    const at = sequence.indexOf(task);
    const first = Math.max(0, Math.min(sequence.length - length, at - Math.floor(random() * length)));
    for (const each of sequence.slice(first, first + length))
      if (tasks[each]!.kept === undefined) removed.add(each);
  }
  return removed;
}
