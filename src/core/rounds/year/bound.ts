import { minutesOf, shuttingOf, type YearProblem } from "./problem";

/** How often the prices are bettered. */
const ASCENTS = 2500;
/** min: a week too full by so much weighs as one task that is not done. */
const LOAD_UNIT = 60;
/** Turns without a better bound after which smaller steps are taken, and the step that is too small to matter. */
const PATIENCE = 15;
const TOO_SMALL = 1e-4;

/** One way to do one task. */
interface Way {
  readonly task: number;
  readonly slot: number;
  /** min. */
  readonly minutes: number;
  /** What it costs with its minutes. */
  readonly cost: number;
}

/** All that one trip could do, by the section that it shuts for it; `undefined` for what shuts none. */
interface Trip {
  readonly slot: number;
  readonly minutes: number;
  readonly parts: readonly { readonly shut: number; readonly ways: readonly Way[] }[];
}

/**
 * What no year can cost less than: by Lagrange's prices. Each task gets a price for being done and each crew's week one
 * for its minutes; then every trip is made or not by itself, with the sections that pay for themselves, which is seen at
 * once, and any prices give a bound. They are bettered where a task is done twice or not at all, and where a week is too
 * full.
 *
 * A trip here holds as much as it likes: that makes the bound less than it might be.
 *
 * @param target cost of a plan: how far the prices are to climb
 * @see M. Held, P. Wolfe, H. P. Crowder, "Validation of Subgradient Optimization", Mathematical Programming 6 (1974) 62
 */
export function yearBound(problem: YearProblem, target: number): number {
  const { tasks, overtimePerMin } = problem;
  const loose = tasks.flatMap(({ kept }, row) => (kept === undefined ? [row] : []));
  const kept = whatIsKept(problem);
  const trips = tripsOf(problem, loose, kept);
  const room = roomOf(problem);
  const done = Float64Array.from(tasks, ({ kept, leftOut, minutes }) =>
    kept === undefined ? Math.min(leftOut, 1.2 * minutes) : 0,
  );
  const full = new Float64Array(room.length);
  const left = new Float64Array(tasks.length);
  const load = new Float64Array(room.length);
  let [best, scale, idle] = [0, 1.5, 0];
  for (let turn = 0; turn < ASCENTS && scale > TOO_SMALL; turn++) {
    left.fill(1);
    load.fill(0);
    let bound = kept.cost;
    for (const row of loose) {
      bound += Math.min(done[row]!, tasks[row]!.leftOut);
      if (done[row]! > tasks[row]!.leftOut) left[row] = 0;
    }
    for (const trip of trips) bound -= profit(trip, done, full, left, load);
    let norm = 0;
    for (const [slot, { least, most }] of room.entries()) {
      // Minutes within the shift are free, those beyond cost what overtime costs, and there are only so many.
      const price = full[slot]!;
      bound -= price * least + Math.max(0, price - overtimePerMin) * (most - least);
      load[slot]! -= price > overtimePerMin ? most : least;
      if (load[slot]! < 0 && price === 0) load[slot] = 0;
      norm += (load[slot]! / LOAD_UNIT) ** 2;
    }
    for (const row of loose) norm += left[row]! ** 2;
    if (bound > best + Math.abs(best) * 1e-6) [best, idle] = [bound, 0];
    else if (++idle > PATIENCE) [scale, idle] = [scale / 1.5, 0];
    if (norm === 0 || target - best < 1e-6) break;
    const step = (scale * Math.max(target - bound, target * 1e-4)) / norm;
    for (const row of loose) done[row]! += step * left[row]!;
    for (const slot of room.keys())
      full[slot] = Math.max(0, full[slot]! + (step * load[slot]!) / LOAD_UNIT ** 2);
  }
  return best;
}

/** What a trip is worth by the prices, if it is worth making; then what it does is booked. */
function profit(
  { slot, minutes, parts }: Trip,
  done: Float64Array,
  full: Float64Array,
  left: Float64Array,
  load: Float64Array,
): number {
  const price = full[slot]!;
  const worth = ({ shut, ways }: Trip["parts"][number]) => {
    let sum = -shut * (1 + price);
    for (const { task, cost, minutes: min } of ways) sum += Math.max(0, done[task]! - cost - price * min);
    return sum;
  };
  let sum = -minutes * (1 + price);
  for (const part of parts) sum += Math.max(0, worth(part));
  if (sum <= 0) return 0;
  load[slot]! += minutes;
  for (const part of parts) {
    if (worth(part) <= 0) continue;
    load[slot]! += part.shut;
    for (const { task, cost, minutes: min } of part.ways) {
      if (done[task]! - cost - price * min <= 0) continue;
      left[task]! -= 1;
      load[slot]! += min;
    }
  }
  return sum;
}

/** Every trip that could be made, with what it could do. A section counts where most of it lies: elsewhere it is free. */
function tripsOf(problem: YearProblem, loose: readonly number[], kept: Kept): Trip[] {
  const { tasks, crews, weeks } = problem;
  const home = new Map<number, number>();
  for (const { shutdown, area } of tasks)
    if (shutdown !== undefined && !home.has(shutdown)) home.set(shutdown, area);
  const trips = new Map<
    string,
    { slot: number; minutes: number; parts: Map<number, { shut: number; ways: Way[] }> }
  >();
  for (const row of loose) {
    const { area, choices, crews: may, shutdown } = tasks[row]!;
    const section = shutdown !== undefined && home.get(shutdown) === area ? shutdown : -1;
    for (const crew of may) {
      const minutes = minutesOf(problem, row, crew);
      for (const { week, cost } of choices) {
        const slot = crew * weeks + week;
        const key = `${area} ${slot}`;
        const trip = trips.get(key) ?? {
          slot,
          minutes: kept.trips.has(key) ? 0 : crews[crew]!.trips[area]!,
          parts: new Map(),
        };
        trips.set(key, trip);
        const part = trip.parts.get(section) ?? {
          shut: section < 0 || kept.shut.has(`${section} ${slot}`) ? 0 : shuttingOf(problem, section, crew),
          ways: [],
        };
        trip.parts.set(section, part);
        part.ways.push({ task: row, slot, minutes, cost: cost + minutes });
      }
    }
  }
  return [...trips.values()].map(({ slot, minutes, parts }) => ({
    slot,
    minutes,
    parts: [...parts.values()],
  }));
}

/** What is kept costs its work and the trips for it, whatever else is done; what else is done there goes along. */
interface Kept {
  readonly cost: number;
  readonly trips: ReadonlySet<string>;
  readonly shut: ReadonlySet<string>;
}

function whatIsKept(problem: YearProblem): Kept {
  const { tasks, crews, weeks } = problem;
  const [trips, shut] = [new Set<string>(), new Set<string>()];
  let cost = 0;
  for (const [row, { kept, choices, area, shutdown }] of tasks.entries()) {
    if (kept === undefined) continue;
    const slot = kept.crew * weeks + kept.week;
    const [trip, section] = [`${area} ${slot}`, `${shutdown} ${slot}`];
    cost += minutesOf(problem, row, kept.crew) + (choices.find(({ week }) => week === kept.week)?.cost ?? 0);
    if (!trips.has(trip)) cost += crews[kept.crew]!.trips[area]!;
    if (shutdown !== undefined && !shut.has(section)) cost += shuttingOf(problem, shutdown, kept.crew);
    trips.add(trip);
    shut.add(section);
  }
  return { cost, trips, shut };
}

/** What is left of each crew's week beside what is kept: without and with overtime. */
function roomOf(problem: YearProblem): { readonly least: number; readonly most: number }[] {
  const { tasks, crews, weeks } = problem;
  const used = new Float64Array(crews.length * weeks);
  for (const [row, { kept }] of tasks.entries())
    if (kept !== undefined) used[kept.crew * weeks + kept.week]! += minutesOf(problem, row, kept.crew);
  return crews.flatMap(({ minutes, overtime }, crew) =>
    minutes.map((min, week) => {
      const least = Math.max(0, min - used[crew * weeks + week]!);
      return { least, most: Math.max(least, min + overtime[week]! - used[crew * weeks + week]!) };
    }),
  );
}
