import { type DayProblem, lengthOf, type Shift, type Task, workOf } from "./problem";
import { prepared } from "./standing";

/** How often the prices of the places are bettered. */
const ASCENTS = 200;

/**
 * What no plan of these shifts can cost less than: the work itself, shutting each section once, each task out for its
 * own length, and a way to all places that is no longer than any real one.
 *
 * The way: each shift that goes out is a round through its base, so all rounds together hold all places and the base, are
 * connected, and have one road more than a tree for each round. A tree of the least length and the cheapest roads to the
 * base are therefore never longer; prices on the places that a tree leaves by more or less than two roads come nearer.
 * With roads as the crow flies and back the same. Where shifts begin and end counts as one place, as near as the nearest.
 *
 * @see M. Held, R. M. Karp, "The Traveling-Salesman Problem and Minimum Spanning Trees", Operations Research 18 (1970) 1138
 */
export function lowerBound(problem: DayProblem): number {
  const { tasks, shutdowns, shifts, prices } = problem;
  const { fits } = prepared(problem);
  const never = tasks.filter((_, row) => fits[row]!.length === 0);
  const can = tasks.filter((_, row) => fits[row]!.length > 0);
  const must = can.filter((task) => task.leftOut >= dearest(problem, task));
  const perhaps = can.filter((task) => task.leftOut < dearest(problem, task));
  const sum = (some: readonly Task[], of: (task: Task) => number) =>
    some.reduce((all, task) => all + of(task), 0);
  // Each by the quickest crew that may; what is shut, by the quickest of all.
  const paceFor = new Map(
    tasks.map((task, row) => [task, Math.min(...fits[row]!.map((shift) => shifts[shift]!.pace))]),
  );
  const workAt = (task: Task) => paceFor.get(task)! * workOf(task);
  const quickest = Math.min(...shifts.map(({ pace }) => pace));
  const least = (task: Task) => workAt(task) + task.outagePerMin * lengthOf(task, paceFor.get(task)!);
  const shut = new Set(must.flatMap(({ shutdown }) => (shutdown === undefined ? [] : [shutdown])));
  const shutting =
    quickest * [...shut].reduce((all, row) => all + shutdowns[row]!.shut + shutdowns[row]!.restore, 0);
  const places = [...new Set(must.map(({ place }) => place))].sort((a, b) => a - b);
  const longest = Math.max(0, ...shifts.map(({ from, latest }) => latest - from));
  const rounds = Math.max(1, Math.ceil(sum(must, workAt) / longest));
  return (
    sum(never, ({ leftOut }) => leftOut) +
    sum(perhaps, (task) => Math.min(task.leftOut, least(task))) +
    sum(must, least) +
    shutting +
    leastWay(problem, places, rounds, prices.perKm)
  );
}

/** What a task costs if a shift goes out for nothing else, where that is dearest. */
function dearest(problem: DayProblem, task: Task): number {
  const { shifts, minutes, km, prices, shutdowns } = problem;
  const way = ({ start, base }: Shift) =>
    minutes[start]![task.place]! +
    minutes[task.place]![base]! +
    prices.perKm * (km[start]![task.place]! + km[task.place]![base]!);
  const shared = task.shutdown === undefined ? undefined : shutdowns[task.shutdown]!;
  const shutting = shared === undefined ? 0 : shared.shut + shared.restore;
  const slowest = Math.max(...shifts.map(({ pace }) => pace));
  return (
    slowest * (workOf(task) + shutting) +
    task.outagePerMin * lengthOf(task, slowest) +
    Math.max(...shifts.map(way))
  );
}

/** A bound on driving, in minutes of a crew with the price of its kilometres. */
function leastWay(
  { minutes, km, shifts }: DayProblem,
  places: readonly number[],
  rounds: number,
  perKm: number,
): number {
  if (places.length === 0) return 0;
  const road = (a: number, b: number) =>
    Math.min(minutes[a]![b]! + perKm * km[a]![b]!, minutes[b]![a]! + perKm * km[b]![a]!);
  const bases = [...new Set(shifts.flatMap(({ start, base }) => [start, base]))];
  const toBase = places.map((place) => Math.min(...bases.map((base) => road(base, place))));
  const price = places.map(() => 0);
  const most = Math.min(shifts.length, places.length);
  let [best, step] = [0, Math.max(...toBase) / 10];
  for (let turn = 0; turn < ASCENTS; turn++) {
    const { length, roads } = tree(places, road, toBase, price, [Math.min(rounds, most), most]);
    const bound = length - 2 * price.reduce((sum, each) => sum + each, 0);
    if (bound > best) best = bound;
    else step *= 0.97;
    if (roads.every((count) => count === 2)) break;
    roads.forEach((count, at) => {
      price[at]! += step * (count - 2);
    });
  }
  return best;
}

/** The shortest tree on places and base by priced roads, with the cheapest road to the base once more for each round, of which there are at least and at most so many. */
function tree(
  places: readonly number[],
  road: (a: number, b: number) => number,
  toBase: readonly number[],
  price: readonly number[],
  [least, most]: readonly [number, number],
): { readonly length: number; readonly roads: number[] } {
  const roads = places.map(() => 0);
  const base = toBase.map((length, at) => length + price[at]!);
  const nearest = base.map((length) => ({ length, by: -1 }));
  const inside = places.map(() => false);
  let length = 0;
  for (let count = 0; count < places.length; count++) {
    let next = -1;
    nearest.forEach((each, at) => {
      if (!inside[at] && (next < 0 || each.length < nearest[next]!.length)) next = at;
    });
    inside[next] = true;
    length += nearest[next]!.length;
    roads[next]! += 1;
    if (nearest[next]!.by >= 0) roads[nearest[next]!.by]! += 1;
    places.forEach((place, at) => {
      const by = road(places[next]!, place) + price[next]! + price[at]!;
      if (!inside[at] && by < nearest[at]!.length) nearest[at] = { length: by, by: next };
    });
  }
  const cheapest = base.indexOf(Math.min(...base));
  // A road that prices make less than nothing would be taken as often as there are rounds at the most.
  const rounds = base[cheapest]! < 0 ? most : least;
  roads[cheapest]! += rounds;
  return { length: length + rounds * base[cheapest]!, roads };
}
