import { seeded, shuffled } from "../../seeded";
import { Ledger } from "./ledger";
import { type Slot, type YearPlan, type YearProblem, yearTotal } from "./problem";

export interface YearOptions {
  readonly seed: number;
  /** How often some of it is taken out and put in anew. */
  readonly steps: number;
  /** Asked now and then: no clock in here. What is best so far is kept when it says no. */
  readonly goesOn?: (step: number, best: number) => boolean;
  readonly from?: YearPlan;
  /** Share of the usual heat: a plan that is good already is not to be left far. */
  readonly cooler?: number;
  /** Told each plan that is better than all before it. */
  readonly better?: (plan: YearPlan) => void;
}

export interface YearFound {
  readonly plan: YearPlan;
  readonly cost: number;
  readonly steps: number;
}

/** Tasks taken out in one step at the most. */
const MOST_REMOVED = 30;
/** Steps between two questions whether to go on. */
const ASKED_EVERY = 200;
/** How often a place is passed over. */
const SKIPPED = 0.03;
/** min of a crew by which a worse plan is still gone on from, at first and at last. */
const HOT = 40;
const COLD = 0.3;

/**
 * A year by taking out what lies together (an area's some weeks, a crew's week, a shut-down) and putting each task in
 * where it then is cheapest. A first task in a new place counts only a chance share of its trip: others will join it.
 */
export function searchYear(
  problem: YearProblem,
  { seed, steps, goesOn, from, better, cooler = 1 }: YearOptions,
): YearFound {
  const random = seeded(seed);
  const ledger = new Ledger(problem);
  const loose: number[] = [];
  for (const [task, { kept }] of problem.tasks.entries()) {
    if (kept === undefined) loose.push(task);
    else ledger.put(task, kept);
  }
  for (const task of loose) putAsBefore(ledger, task, from?.[task]);
  const dueFirst = [...loose].sort((a, b) => earliestOf(problem, a) - earliestOf(problem, b) || a - b);
  for (const task of dueFirst)
    if (ledger.slots[task] === undefined) putCheapest(ledger, task, 0.5, () => false);
  let cost = yearTotal(ledger.cost());
  let best: YearFound = { plan: ledger.plan(), cost, steps: 0 };
  better?.(best.plan);
  const near = together(problem, loose);
  const cooling = (COLD / HOT) ** (1 / Math.max(1, steps));
  let heat = HOT * cooler;
  let step = 0;
  for (; step < steps && loose.length > 0; step++, heat *= cooling) {
    if (goesOn !== undefined && step % ASKED_EVERY === 0 && !goesOn(step, best.cost)) break;
    const out = ruin(ledger, near, loose, random);
    const before = out.map((task) => ({ task, slot: ledger.slots[task] }));
    const was = out.reduce((sum, task) => sum + taken(ledger, task), 0);
    const share = 0.2 + 0.8 * random();
    const skips = () => random() < SKIPPED;
    const now = ordered(problem, out, random).reduce(
      (sum, task) => sum + putCheapest(ledger, task, share, skips),
      0,
    );
    const next = cost - was + now;
    if (next < cost - heat * Math.log(random())) {
      cost = next;
      if (cost < best.cost - 1e-6) {
        best = { plan: ledger.plan(), cost, steps: step };
        better?.(best.plan);
      }
      continue;
    }
    for (const task of out) ledger.take(task);
    for (const { task, slot } of before) if (slot !== undefined) ledger.put(task, slot);
  }
  return { ...best, steps: step };
}

/** Where it was before, if it may and can be there still. */
function putAsBefore(ledger: Ledger, task: number, slot: Slot | undefined): void {
  if (slot === undefined) return;
  const { choices, crews } = ledger.problem.tasks[task]!;
  const may = crews.includes(slot.crew) && choices.some(({ week }) => week === slot.week);
  if (may && ledger.hasRoom(task, slot.crew, slot.week)) ledger.put(task, slot);
}

const earliestOf = ({ tasks }: YearProblem, task: number) => tasks[task]!.choices[0]?.week ?? 0;

/** Takes a task out. @returns what goes with it */
function taken(ledger: Ledger, task: number): number {
  const slot = ledger.slots[task];
  if (slot === undefined) return ledger.problem.tasks[task]!.leftOut;
  ledger.take(task);
  return ledger.adds(task, slot.crew, slot.week, costOf(ledger.problem, task, slot.week));
}

const costOf = ({ tasks }: YearProblem, task: number, week: number): number =>
  tasks[task]!.choices.find((each) => each.week === week)?.cost ?? 0;

/** Puts a task where it adds least, or leaves it out. @returns what it adds */
function putCheapest(ledger: Ledger, task: number, share: number, skips: () => boolean): number {
  const { choices, crews, leftOut } = ledger.problem.tasks[task]!;
  let [least, where, moved]: [number, Slot | undefined, number] = [leftOut, undefined, 0];
  for (const { week, cost } of choices)
    for (const crew of crews) {
      const adds = ledger.adds(task, crew, week, cost, share);
      if (adds >= least || skips() || !ledger.hasRoom(task, crew, week)) continue;
      [least, where, moved] = [adds, { crew, week }, cost];
    }
  if (where === undefined) return leftOut;
  const adds = ledger.adds(task, where.crew, where.week, moved);
  ledger.put(task, where);
  return adds;
}

function ordered({ tasks }: YearProblem, out: readonly number[], random: () => number): readonly number[] {
  const which = random();
  if (which < 0.3) return [...out].sort((a, b) => tasks[b]!.minutes - tasks[a]!.minutes || a - b);
  if (which < 0.6) {
    const last = (task: number) => tasks[task]!.choices.at(-1)?.week ?? 0;
    return [...out].sort((a, b) => last(a) - last(b) || a - b);
  }
  return shuffled(out, random);
}

interface Together {
  readonly byArea: readonly (readonly number[])[];
  readonly byShutdown: readonly (readonly number[])[];
}

function together({ tasks, areas, shutdowns }: YearProblem, loose: readonly number[]): Together {
  const byArea: number[][] = Array.from({ length: areas }, () => []);
  const byShutdown: number[][] = shutdowns.map(() => []);
  for (const task of loose) {
    const { area, shutdown } = tasks[task]!;
    byArea[area]!.push(task);
    if (shutdown !== undefined) byShutdown[shutdown]!.push(task);
  }
  return { byArea, byShutdown };
}

/** What lies together around a task taken by chance. */
function ruin(ledger: Ledger, near: Together, loose: readonly number[], random: () => number): number[] {
  const { tasks } = ledger.problem;
  const start = loose[Math.floor(random() * loose.length)]!;
  const { area, shutdown } = tasks[start]!;
  const weekOf = (task: number) => ledger.slots[task]?.week ?? tasks[task]!.choices[0]?.week ?? 0;
  const most = 2 + Math.floor(random() * MOST_REMOVED);
  const which = random();
  const around = weekOf(start);
  const reach = 1 + Math.floor(random() * 8);
  const chosen =
    which < 0.15 && shutdown !== undefined
      ? near.byShutdown[shutdown]!
      : which < 0.75
        ? near.byArea[area]!.filter((task) => Math.abs(weekOf(task) - around) <= reach)
        : loose.filter((task) => Math.abs(weekOf(task) - around) <= 1 && random() < 0.7);
  if (chosen.length <= most) return chosen.includes(start) ? [...chosen] : [start, ...chosen];
  const from = Math.floor(random() * (chosen.length - most + 1));
  return chosen.slice(from, from + most);
}
