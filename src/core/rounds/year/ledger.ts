import { minutesOf, type Slot, shuttingOf, type YearCost, type YearPlan, type YearProblem } from "./problem";

/** What a year's plan costs, kept up with each task that comes or goes. */
export class Ledger {
  readonly slots: (Slot | undefined)[];
  /** min of each crew and week. */
  readonly #load: Float64Array;
  /** min and number of tasks of each area, crew and week. */
  readonly #work: Float64Array;
  readonly #count: Int32Array;
  /** Tasks of each shut-down, crew and week. */
  readonly #shut: Int32Array;

  constructor(readonly problem: YearProblem) {
    const { weeks, areas, crews, shutdowns, tasks } = problem;
    const slots = crews.length * weeks;
    this.slots = tasks.map(() => undefined);
    this.#load = new Float64Array(slots);
    this.#work = new Float64Array(areas * slots);
    this.#count = new Int32Array(areas * slots);
    this.#shut = new Int32Array(shutdowns.length * slots);
  }

  #tripsFor(crew: number, count: number, minutes: number): number {
    if (count === 0) return 0;
    return Math.max(1, Math.ceil(minutes / this.problem.crews[crew]!.day));
  }

  #overMin(crew: number, week: number, load: number): number {
    return Math.max(0, load - this.problem.crews[crew]!.minutes[week]!);
  }

  #rows(task: number, crew: number, week: number) {
    const { weeks, crews, tasks } = this.problem;
    const slot = crew * weeks + week;
    const { area, shutdown } = tasks[task]!;
    const slots = crews.length * weeks;
    return { slot, at: area * slots + slot, shut: shutdown === undefined ? -1 : shutdown * slots + slot };
  }

  /** min that a task brings to a slot: its own, a trip more, a shut-down more. */
  #brings(task: number, crew: number, week: number): { readonly trip: number; readonly shut: number } {
    const { tasks, crews } = this.problem;
    const { area, shutdown } = tasks[task]!;
    const minutes = minutesOf(this.problem, task, crew);
    const { at, shut } = this.#rows(task, crew, week);
    const [count, work] = [this.#count[at]!, this.#work[at]!];
    const more = this.#tripsFor(crew, count + 1, work + minutes) - this.#tripsFor(crew, count, work);
    return {
      trip: more * crews[crew]!.trips[area]!,
      shut: shutdown !== undefined && this.#shut[shut] === 0 ? shuttingOf(this.problem, shutdown, crew) : 0,
    };
  }

  /** What it adds to put a task there. @param share of a new trip that counts */
  adds(task: number, crew: number, week: number, cost: number, share = 1): number {
    const { trip, shut } = this.#brings(task, crew, week);
    const minutes = minutesOf(this.problem, task, crew);
    const load = this.#load[crew * this.problem.weeks + week]!;
    const over = this.#overMin(crew, week, load + minutes + trip + shut) - this.#overMin(crew, week, load);
    return minutes + cost + share * trip + shut + over * this.problem.overtimePerMin;
  }

  /** Whether a crew has that long that week, with overtime. */
  hasRoom(task: number, crew: number, week: number): boolean {
    const { trip, shut } = this.#brings(task, crew, week);
    const load =
      this.#load[crew * this.problem.weeks + week]! + minutesOf(this.problem, task, crew) + trip + shut;
    return this.#overMin(crew, week, load) <= this.problem.crews[crew]!.overtime[week]!;
  }

  put(task: number, slot: Slot): void {
    const { crew, week } = slot;
    const { trip, shut } = this.#brings(task, crew, week);
    const rows = this.#rows(task, crew, week);
    const minutes = minutesOf(this.problem, task, crew);
    this.#load[rows.slot]! += minutes + trip + shut;
    this.#work[rows.at]! += minutes;
    this.#count[rows.at]! += 1;
    if (rows.shut >= 0) this.#shut[rows.shut]! += 1;
    this.slots[task] = slot;
  }

  take(task: number): void {
    const slot = this.slots[task];
    if (slot === undefined) return;
    const rows = this.#rows(task, slot.crew, slot.week);
    const minutes = minutesOf(this.problem, task, slot.crew);
    this.#work[rows.at]! -= minutes;
    this.#count[rows.at]! -= 1;
    if (rows.shut >= 0) this.#shut[rows.shut]! -= 1;
    // What it would bring now is what goes with it.
    const { trip, shut } = this.#brings(task, slot.crew, slot.week);
    this.#load[rows.slot]! -= minutes + trip + shut;
    this.slots[task] = undefined;
  }

  loadOf(crew: number, week: number): number {
    return this.#load[crew * this.problem.weeks + week]!;
  }

  /** All of it, by part. */
  cost(): YearCost {
    const { tasks, crews, weeks, areas, shutdowns } = this.problem;
    let [work, moved, leftOut, trips, shut, overtime] = [0, 0, 0, 0, 0, 0];
    for (const [row, { choices, leftOut: out }] of tasks.entries()) {
      const slot = this.slots[row];
      if (slot === undefined) leftOut += out;
      else {
        work += minutesOf(this.problem, row, slot.crew);
        moved += choices.find(({ week }) => week === slot.week)?.cost ?? 0;
      }
    }
    const slots = crews.length * weeks;
    for (const [crew, { trips: way }] of crews.entries())
      for (let week = 0; week < weeks; week++) {
        const slot = crew * weeks + week;
        for (let area = 0; area < areas; area++) {
          const at = area * slots + slot;
          trips += way[area]! * this.#tripsFor(crew, this.#count[at]!, this.#work[at]!);
        }
        for (const row of shutdowns.keys())
          if (this.#shut[row * slots + slot]! > 0) shut += shuttingOf(this.problem, row, crew);
        overtime += this.problem.overtimePerMin * this.#overMin(crew, week, this.#load[slot]!);
      }
    return { work, trips, shutdowns: shut, moved, overtime, leftOut };
  }

  plan(): YearPlan {
    return [...this.slots];
  }
}

/** The books of a plan. */
export function ledgerOf(problem: YearProblem, plan: YearPlan): Ledger {
  const ledger = new Ledger(problem);
  for (const [task, slot] of plan.entries()) if (slot !== undefined) ledger.put(task, slot);
  return ledger;
}
