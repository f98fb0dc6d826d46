/**
 * Rounds in minutes and metres of a made-up clock: who knows dates and names turns them into this and back. All times are
 * minutes after the same zero; places are rows of the travel table.
 */

/** Hands-on work, and how long the thing must stand by itself before the next of it: nobody has to stay for that. */
export interface Stretch {
  /** min. */
  readonly work: number;
  /** min that have to pass before the next stretch; 0 after the last. */
  readonly wait: number;
  /** min that may pass at most; infinite when it may stand as long as it likes. */
  readonly waitMost: number;
}

export interface Span {
  readonly from: number;
  readonly to: number;
}

/** Work at one place that one crew does from its first stretch to its last. */
export interface Task {
  readonly id: string;
  readonly place: number;
  readonly stretches: readonly Stretch[];
  /** All of it lies in one of them; earliest first, none overlapping. */
  readonly windows: readonly Span[];
  /** From then on each minute costs `latePerMin`. */
  readonly due: number;
  readonly latePerMin: number;
  /** What it costs to leave it undone. */
  readonly leftOut: number;
  /** What each minute costs its users from its first stretch to the end of its last. */
  readonly outagePerMin: number;
  /** Row of the shut-downs that it needs; none when it shuts nothing that others share. */
  readonly shutdown: number | undefined;
  /** What is out while this is: two tasks that share one of them are never out at a time, but in one shut-down. */
  readonly out: readonly string[];
  readonly needs: readonly string[];
  readonly people: number;
  /** It stays in this shift, and begins then where a time is given. */
  readonly kept?: { readonly shift: number; readonly from?: number };
}

/** A section that is shut once for all tasks of one shift that need it. */
export interface Shutdown {
  /** min before the first of them. */
  readonly shut: number;
  /** min after the last. */
  readonly restore: number;
}

/** One crew on one day. */
export interface Shift {
  readonly id: string;
  readonly crew: string;
  /** Where it begins: at its base, or where the crew is when it is planned again. */
  readonly start: number;
  /** Where it ends. */
  readonly base: number;
  readonly from: number;
  readonly to: number;
  /** Back at the latest. */
  readonly latest: number;
  readonly people: number;
  readonly skills: readonly string[];
  /** How long its hands-on work takes, shutting and restoring too, beside what the tasks say. */
  readonly pace: number;
}

/** What a minute, a kilometre costs, in minutes of a crew. */
export interface Prices {
  /** Each minute after the end of a shift, above its own minute. */
  readonly overtimePerMin: number;
  readonly perKm: number;
}

export interface DayProblem {
  readonly tasks: readonly Task[];
  readonly shutdowns: readonly Shutdown[];
  readonly shifts: readonly Shift[];
  /** min from row to column; the way over a third place is never shorter. */
  readonly minutes: readonly (readonly number[])[];
  readonly km: readonly (readonly number[])[];
  readonly prices: Prices;
}

/** One stretch of one task: crews go from visit to visit. */
export interface Visit {
  readonly task: number;
  readonly stretch: number;
}

/** Cost by part, in minutes of a crew. */
export interface Cost {
  /** From the beginning of each shift that goes out to its return. */
  readonly crew: number;
  readonly overtime: number;
  readonly km: number;
  readonly outage: number;
  readonly late: number;
  readonly leftOut: number;
}

export const NO_COST: Cost = { crew: 0, overtime: 0, km: 0, outage: 0, late: 0, leftOut: 0 };

export const totalOf = ({ crew, overtime, km, outage, late, leftOut }: Cost): number =>
  crew + overtime + km + outage + late + leftOut;

export const plus = (a: Cost, b: Cost): Cost => ({
  crew: a.crew + b.crew,
  overtime: a.overtime + b.overtime,
  km: a.km + b.km,
  outage: a.outage + b.outage,
  late: a.late + b.late,
  leftOut: a.leftOut + b.leftOut,
});

/** Hands-on minutes of a task at a usual pace, without shutting what it shares. */
export const workOf = ({ stretches }: Task): number => stretches.reduce((sum, { work }) => sum + work, 0);

/** Minutes from its beginning to its end at the least, at a pace. */
export const lengthOf = (task: Task, pace: number): number =>
  task.stretches.reduce((sum, { wait }) => sum + wait, pace * workOf(task));

/** Why a shift is none for a task, whatever else it does; nothing when it is. */
export type Unfit =
  | { readonly kind: "no-competence"; readonly lacks: readonly string[] }
  | { readonly kind: "too-few"; readonly people: number; readonly needs: number }
  | { readonly kind: "kept-elsewhere" }
  | { readonly kind: "no-window" }
  | { readonly kind: "too-long"; readonly overMin: number };

export function unfit(problem: DayProblem, task: Task, shift: Shift, row: number): Unfit | undefined {
  if (task.kept !== undefined && task.kept.shift !== row) return { kind: "kept-elsewhere" };
  const lacks = task.needs.filter((need) => !shift.skills.includes(need));
  if (lacks.length > 0) return { kind: "no-competence", lacks };
  if (task.people > shift.people) return { kind: "too-few", people: shift.people, needs: task.people };
  const shared = task.shutdown === undefined ? undefined : problem.shutdowns[task.shutdown]!;
  const length =
    lengthOf(task, shift.pace) + (shared === undefined ? 0 : shift.pace * (shared.shut + shared.restore));
  const there = shift.from + problem.minutes[shift.start]![task.place]!;
  const back = problem.minutes[task.place]![shift.base]!;
  const open = task.windows.filter(({ from, to }) => to >= there && from <= shift.latest - back);
  if (open.length === 0) return { kind: "no-window" };
  const over = Math.min(
    ...open.map(({ from, to }) => Math.max(there, from) + length - Math.min(to, shift.latest - back)),
  );
  return over > 0 ? { kind: "too-long", overMin: over } : undefined;
}
