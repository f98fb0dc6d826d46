import type { Cost, DayProblem, Shift, Span, Task, Visit } from "./problem";

/** A task that is out for its users. */
export interface Outage extends Span {
  readonly task: number;
}

/** An order of visits with its times: the earliest there are. */
export interface Timed {
  readonly starts: readonly number[];
  readonly ends: readonly number[];
  readonly back: number;
  readonly driveMin: number;
  readonly km: number;
  readonly outages: readonly Outage[];
  readonly cost: Cost;
}

/** When a task must not be out, because what shares with it is out in other shifts. */
export type Busy = (task: number) => readonly Span[];
export const NEVER_BUSY: Busy = () => [];

/** min: a kept time went through a clock of milliseconds, and the sums before it did not. */
const ROUNDED = 1e-3;

/** Each turn moves one visit to where it has to be; more of them than this no day wants. */
const MOST_TURNS = 60;

/**
 * The times of an order of visits: each as early as the way, the windows, the waits and the others allow. Every part of
 * the cost but the outage grows with time, so for an order none is cheaper; then what is shut is shut no earlier than
 * the rest of the day wants.
 *
 * A wait that may not last longer, a window that is missed and somebody else's outage each move a visit later; all
 * begins anew then. So the times are the least solution of the differences between them (Bellman's longest paths).
 *
 * @returns nothing where the order cannot be kept
 */
export function timed(
  problem: DayProblem,
  row: number,
  order: readonly Visit[],
  busy: Busy = NEVER_BUSY,
): Timed | undefined {
  const shift = problem.shifts[row]!;
  const floors = order.map(({ task, stretch }) => {
    const kept = problem.tasks[task]!.kept;
    return stretch === 0 && kept?.from !== undefined ? kept.from : Number.NEGATIVE_INFINITY;
  });
  const lengths = order.map((visit, at) => shift.pace * minutesOf(problem, order, visit, at));
  for (let turn = 0; turn < MOST_TURNS; turn++) {
    const run = earliest(problem, shift, order, lengths, floors);
    if (run === undefined) return undefined;
    if (run.moved) continue;
    const starts = shutLate(problem, order, lengths, run.starts);
    const outages = outagesOf(problem, order, lengths, starts);
    const clash = clashOf(problem, order, outages, busy);
    if (clash === "within") return undefined;
    if (clash === undefined) return summed(problem, shift, order, lengths, starts, run.back, outages);
    floors[clash.at] = clash.notBefore;
  }
  return undefined;
}

/** Minutes of a visit at a usual pace: its work, with shutting before the first and restoring after the last that shares a shut-down. */
function minutesOf({ tasks, shutdowns }: DayProblem, order: readonly Visit[], visit: Visit, at: number) {
  const { stretches, shutdown } = tasks[visit.task]!;
  const { work } = stretches[visit.stretch]!;
  if (shutdown === undefined) return work;
  const shares = (each: Visit) => tasks[each.task]!.shutdown === shutdown;
  const first = order.findIndex(shares) === at;
  const last = order.findLastIndex(shares) === at;
  return work + (first ? shutdowns[shutdown]!.shut : 0) + (last ? shutdowns[shutdown]!.restore : 0);
}

const placeOf = ({ tasks }: DayProblem, { task }: Visit) => tasks[task]!.place;

/** The times of one turn; `moved` when a visit has to begin later than they say, and its floor says when. */
function earliest(
  problem: DayProblem,
  shift: Shift,
  order: readonly Visit[],
  lengths: readonly number[],
  floors: number[],
): { readonly starts: number[]; readonly back: number; readonly moved: boolean } | undefined {
  const starts: number[] = [];
  const { tasks, minutes } = problem;
  let [clock, place] = [shift.from, shift.start];
  for (let at = 0; at < order.length; at++) {
    const { task: row, stretch } = order[at]!;
    const { place: there, windows, stretches, kept } = tasks[row]!;
    let start = Math.max(clock + minutes[place]![there]!, floors[at]!);
    if (stretch === 0) {
      const opens = openAt(windows, start);
      if (opens === undefined) return undefined;
      if (opens.from > start) start = opens.from;
      if (kept?.from !== undefined && start > kept.from + ROUNDED) return undefined;
    } else {
      const before = positionOf(order, row, stretch - 1, at);
      const { wait, waitMost } = stretches[stretch - 1]!;
      const ended = starts[before]! + lengths[before]!;
      if (ended + wait > start) start = ended + wait;
      if (start > ended + waitMost) {
        floors[before] = start - waitMost - lengths[before]!;
        return { starts, back: 0, moved: true };
      }
    }
    const end = start + lengths[at]!;
    if (end > shift.latest) return undefined;
    starts.push(start);
    if (stretch === stretches.length - 1) {
      const first = stretch === 0 ? at : positionOf(order, row, 0, at);
      const began = starts[first]!;
      if (end > openAt(windows, began)!.to) {
        const next = windows.find(({ from }) => from > began);
        if (next === undefined) return undefined;
        floors[first] = next.from;
        return { starts, back: 0, moved: true };
      }
    }
    [clock, place] = [end, there];
  }
  const back = order.length === 0 ? shift.from : clock + minutes[place]![shift.base]!;
  return back > shift.latest ? undefined : { starts, back, moved: false };
}

/** The first window that is not over by then. */
function openAt(windows: readonly Span[], time: number): Span | undefined {
  for (const window of windows) if (window.to >= time) return window;
  return undefined;
}

/** Where this stretch of this task stands in the order, looked for from behind. */
function positionOf(order: readonly Visit[], task: number, stretch: number, from: number): number {
  let at = from;
  while (order[at]!.task !== task || order[at]!.stretch !== stretch) at--;
  return at;
}

/** What opens an outage that lasts beyond its own visit begins as late as nothing else is moved by it. */
function shutLate(
  problem: DayProblem,
  order: readonly Visit[],
  lengths: readonly number[],
  earliestStarts: readonly number[],
): number[] {
  const starts = [...earliestStarts];
  for (let at = order.length - 2; at >= 0; at--) {
    const { task: row, stretch } = order[at]!;
    const task = problem.tasks[row]!;
    if (stretch !== 0 || task.outagePerMin === 0 || task.kept?.from !== undefined) continue;
    const lasts = task.stretches.length > 1 || task.shutdown !== undefined;
    if (!lasts || !opensOutage(problem, order, at)) continue;
    const away = problem.minutes[task.place]![placeOf(problem, order[at + 1]!)]!;
    let latest = starts[at + 1]! - away - lengths[at]!;
    if (task.stretches.length > 1) {
      const next = order.findIndex((each) => each.task === row && each.stretch === 1);
      latest = Math.min(latest, starts[next]! - task.stretches[0]!.wait - lengths[at]!);
    } else {
      const window = task.windows.find(({ to }) => to >= starts[at]!)!;
      latest = Math.min(latest, window.to - lengths[at]!);
      if (task.latePerMin > 0) latest = Math.min(latest, task.due - lengths[at]!);
    }
    starts[at] = Math.max(starts[at]!, latest);
  }
  return starts;
}

/** Whether nothing that shares its shut-down comes before it. */
function opensOutage({ tasks }: DayProblem, order: readonly Visit[], at: number): boolean {
  const { shutdown } = tasks[order[at]!.task]!;
  return shutdown === undefined || order.findIndex(({ task }) => tasks[task]!.shutdown === shutdown) === at;
}

/** From when to when each task is out; those of one shut-down from the first to the last of them. */
function outagesOf(
  { tasks }: DayProblem,
  order: readonly Visit[],
  lengths: readonly number[],
  starts: readonly number[],
): Outage[] {
  const outages: { task: number; from: number; to: number }[] = [];
  for (let at = 0; at < order.length; at++) {
    const { task, stretch } = order[at]!;
    const { shutdown, stretches, out, outagePerMin } = tasks[task]!;
    // Where nobody is harmed by it and nothing excludes it, nobody asks.
    if (stretch !== 0 || (out.length === 0 && outagePerMin === 0)) continue;
    let [first, last] = [at, at];
    if (shutdown !== undefined) {
      first = order.findIndex((each) => tasks[each.task]!.shutdown === shutdown);
      last = order.findLastIndex((each) => tasks[each.task]!.shutdown === shutdown);
    } else if (stretches.length > 1) last = order.findLastIndex((each) => each.task === task);
    outages.push({ task, from: starts[first]!, to: starts[last]! + lengths[last]! });
  }
  return outages;
}

const overlap = (a: Span, b: Span) => a.from < b.to && b.from < a.to;

/** Two that share a shut-down are out together anyway. */
export function excludes(a: Task, b: Task): boolean {
  if (a.shutdown !== undefined && a.shutdown === b.shutdown) return false;
  return a.out.some((each) => b.out.includes(each));
}

/** A visit that has to wait for somebody else's outage; "within" where two of this very order are out at a time. */
function clashOf(
  { tasks }: DayProblem,
  order: readonly Visit[],
  outages: readonly Outage[],
  busy: Busy,
): { readonly at: number; readonly notBefore: number } | "within" | undefined {
  for (const [index, outage] of outages.entries()) {
    const task = tasks[outage.task]!;
    if (task.out.length === 0) continue;
    const within = outages
      .slice(index + 1)
      .some((other) => overlap(outage, other) && excludes(task, tasks[other.task]!));
    if (within) return "within";
    const other = busy(outage.task).find((span) => overlap(outage, span));
    if (other === undefined) continue;
    const at = order.findIndex((each) =>
      task.shutdown === undefined ? each.task === outage.task : tasks[each.task]!.shutdown === task.shutdown,
    );
    return { at, notBefore: other.to };
  }
  return undefined;
}

function summed(
  problem: DayProblem,
  shift: Shift,
  order: readonly Visit[],
  lengths: readonly number[],
  starts: readonly number[],
  back: number,
  outages: readonly Outage[],
): Timed {
  const { tasks, minutes, km, prices } = problem;
  let [driveMin, far, late, outage] = [0, 0, 0, 0];
  let place = shift.start;
  const go = (to: number) => {
    driveMin += minutes[place]![to]!;
    far += km[place]![to]!;
    place = to;
  };
  const ends = starts.map((start, at) => start + lengths[at]!);
  order.forEach((visit, at) => {
    const task = tasks[visit.task]!;
    go(task.place);
    if (visit.stretch === task.stretches.length - 1)
      late += task.latePerMin * Math.max(0, ends[at]! - task.due);
  });
  // Who has nothing to do any more is home for nothing.
  if (order.length > 0) go(shift.base);
  for (const { task, from, to } of outages) outage += tasks[task]!.outagePerMin * (to - from);
  return {
    starts,
    ends,
    back,
    driveMin,
    km: far,
    outages,
    cost: {
      crew: back - shift.from,
      overtime: prices.overtimePerMin * Math.max(0, back - shift.to),
      km: prices.perKm * far,
      outage,
      late,
      leftOut: 0,
    },
  };
}
