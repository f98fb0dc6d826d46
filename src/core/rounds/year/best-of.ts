import type { IntegerProgram, IntegerSolver } from "../../store";
import { ledgerOf } from "./ledger";
import { minutesOf, shuttingOf, type YearPlan, type YearProblem, yearTotal } from "./problem";

/** What a crew does in one area in one week. */
interface Trip {
  readonly crew: number;
  readonly week: number;
  readonly area: number;
  readonly tasks: readonly number[];
  /** min of the crew, and all that it costs. */
  readonly minutes: number;
  readonly cost: number;
}

/** Trips that one integer program chooses from: with more of them it would not be done in time. */
const MOST_TRIPS = 1600;
/** The solver counts in whole numbers: tenths of a minute. */
const FINE = 10;

/** Trips of the plans that a search came by. */
export class Trips {
  /** Of each area, those that were met last at the end. */
  readonly #trips: readonly Map<string, Trip>[];

  constructor(readonly problem: YearProblem) {
    this.#trips = Array.from({ length: problem.areas }, () => new Map());
  }

  /** Of an area, the newest at the end. */
  of(area: number): readonly Trip[] {
    return [...this.#trips[area]!.values()];
  }

  keep(plan: YearPlan): void {
    const { tasks } = this.problem;
    const groups = new Map<string, number[]>();
    for (const [task, slot] of plan.entries()) {
      if (slot === undefined) continue;
      const key = `${slot.crew} ${slot.week} ${tasks[task]!.area}`;
      const group = groups.get(key);
      if (group === undefined) groups.set(key, [task]);
      else group.push(task);
    }
    for (const [where, members] of groups) {
      const { crew, week } = plan[members[0]!]!;
      const trips = this.#trips[tasks[members[0]!]!.area]!;
      const key = `${where}: ${members.join(" ")}`;
      const trip = trips.get(key) ?? tripOf(this.problem, crew, week, members);
      trips.delete(key);
      trips.set(key, trip);
    }
  }
}

function tripOf(problem: YearProblem, crew: number, week: number, members: readonly number[]): Trip {
  const { tasks, crews } = problem;
  const { area } = tasks[members[0]!]!;
  const { day, trips } = crews[crew]!;
  const own = members.reduce((sum, task) => sum + minutesOf(problem, task, crew), 0);
  const shut = new Set(members.flatMap((task) => tasks[task]!.shutdown ?? []));
  const minutes =
    own +
    [...shut].reduce((sum, row) => sum + shuttingOf(problem, row, crew), 0) +
    Math.max(1, Math.ceil(own / day)) * trips[area]!;
  const moved = members.reduce(
    (sum, task) => sum + (tasks[task]!.choices.find((each) => each.week === week)?.cost ?? 0),
    0,
  );
  return { crew, week, area, tasks: members, minutes, cost: minutes + moved };
}

/**
 * The best year there is of trips that were found: each task in one of them or left out, each crew's week within its
 * hours, by integer programs; so many areas at a time as one of them can do, the others as they are.
 *
 * @returns a plan that is no dearer than the one that is given
 */
export function bestOf(problem: YearProblem, trips: Trips, plan: YearPlan, solve: IntegerSolver): YearPlan {
  let best = plan;
  const costOf = (each: YearPlan) => yearTotal(ledgerOf(problem, each).cost());
  for (const block of blocksOf(problem, trips)) {
    const rest = best.map((slot, task) => (block.areas.has(problem.tasks[task]!.area) ? undefined : slot));
    const solution = solve(programOf(problem, block, rest));
    if (solution === undefined) continue;
    const next = [...rest];
    // A task that lies in two of the chosen trips is done in the earlier.
    const chosen = block.trips
      .filter((_, index) => solution.values[index] === 1)
      .sort((a, b) => a.week - b.week);
    for (const { crew, week, tasks } of chosen) for (const task of tasks) next[task] ??= { crew, week };
    if (costOf(next) < costOf(best)) best = next;
  }
  return best;
}

interface Block {
  readonly areas: ReadonlySet<number>;
  readonly trips: readonly Trip[];
}

function blocksOf({ areas }: YearProblem, trips: Trips): Block[] {
  const blocks: { areas: Set<number>; trips: Trip[] }[] = [];
  for (let area = 0; area < areas; area++) {
    const these = trips.of(area).slice(-MOST_TRIPS);
    const last = blocks.at(-1);
    if (last !== undefined && last.trips.length + these.length <= MOST_TRIPS) {
      last.areas.add(area);
      last.trips.push(...these);
    } else blocks.push({ areas: new Set([area]), trips: [...these] });
  }
  return blocks.filter((block) => block.trips.length > 0);
}

/** Variables: each trip, each task left out, overtime of each crew's week in which there are trips. */
function programOf(problem: YearProblem, { areas, trips }: Block, rest: YearPlan): IntegerProgram {
  const { tasks, crews, weeks, overtimePerMin } = problem;
  const others = ledgerOf(problem, rest);
  const own = tasks.flatMap(({ area }, task) => (areas.has(area) ? [task] : []));
  const byTask = new Map<number, [number, number][]>(own.map((task) => [task, []]));
  const bySlot = new Map<number, [number, number][]>();
  for (const [index, { crew, week, tasks: members, minutes }] of trips.entries()) {
    for (const task of members) byTask.get(task)!.push([index, 1]);
    const slot = crew * weeks + week;
    bySlot.set(slot, [...(bySlot.get(slot) ?? []), [index, Math.ceil(minutes)]]);
  }
  const used = [...bySlot.keys()].map((slot) => {
    const [crew, week] = [Math.floor(slot / weeks), slot % weeks];
    const { minutes, overtime } = crews[crew]!;
    const free = minutes[week]! - others.loadOf(crew, week);
    return {
      terms: bySlot.get(slot)!,
      free: Math.max(0, Math.floor(free)),
      overtime: Math.max(0, Math.floor(overtime[week]! + Math.min(0, free))),
    };
  });
  const leftOutAt = trips.length;
  const overtimeAt = leftOutAt + own.length;
  return {
    variables: [
      ...trips.map(({ cost }) => ({ cost: Math.round(cost * FINE), most: 1, limited: true })),
      ...own.map((task) => ({ cost: Math.round(tasks[task]!.leftOut * FINE), most: 1, limited: true })),
      ...used.map(({ overtime }) => ({
        cost: Math.round(overtimePerMin * FINE),
        most: overtime,
        limited: true,
      })),
    ],
    rows: [
      ...own.map((task, index) => ({
        terms: [...byTask.get(task)!, [leftOutAt + index, 1] as const],
        bound: "at-least" as const,
        value: 1,
      })),
      ...used.map(({ terms, free }, index) => ({
        terms: [...terms, [overtimeAt + index, -1] as const],
        bound: "at-most" as const,
        value: free,
      })),
    ],
  };
}
