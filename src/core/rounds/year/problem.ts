/**
 * A year in weeks: who does what in which week. In minutes and rows, as a day is; within a week the days sort out the
 * rest.
 */

/** A week in which a task may be done, and what that costs: too early wears an interval, too late harms somebody. */
export interface Choice {
  readonly week: number;
  readonly cost: number;
}

export interface YearTask {
  readonly id: string;
  /** Row of the areas: one trip does all that a crew does there in a day. */
  readonly area: number;
  /** At a usual pace. */
  readonly minutes: number;
  /** By week, each week once. */
  readonly choices: readonly Choice[];
  /** Rows of the crews that may. */
  readonly crews: readonly number[];
  readonly leftOut: number;
  /** Row of the shut-downs: once for all that a crew does of it in a week. */
  readonly shutdown: number | undefined;
  readonly kept?: { readonly crew: number; readonly week: number };
}

export interface YearCrew {
  readonly id: string;
  /** min of each week. */
  readonly minutes: readonly number[];
  /** min of each week that may come on top. */
  readonly overtime: readonly number[];
  /** min to each area and back. */
  readonly trips: readonly number[];
  /** min of one day: work beyond it wants another trip. */
  readonly day: number;
  /** How long its work takes, shutting and restoring too, beside what the tasks say. */
  readonly pace: number;
}

export interface YearProblem {
  readonly weeks: number;
  readonly areas: number;
  readonly tasks: readonly YearTask[];
  readonly crews: readonly YearCrew[];
  /** min to shut and restore each. */
  readonly shutdowns: readonly number[];
  /** Each minute of overtime, above its own. */
  readonly overtimePerMin: number;
}

/** min that a crew takes for a task. */
export const minutesOf = ({ tasks, crews }: YearProblem, task: number, crew: number): number =>
  crews[crew]!.pace * tasks[task]!.minutes;

/** min that a crew takes to shut and restore a section. */
export const shuttingOf = ({ shutdowns, crews }: YearProblem, shutdown: number, crew: number): number =>
  crews[crew]!.pace * shutdowns[shutdown]!;

/** A crew in a week; none where a task is left out. */
export interface Slot {
  readonly crew: number;
  readonly week: number;
}

/** Of each task. */
export type YearPlan = readonly (Slot | undefined)[];

/** Cost by part, in minutes of a crew. */
export interface YearCost {
  readonly work: number;
  readonly trips: number;
  readonly shutdowns: number;
  /** Early and late, as the tasks' choices say. */
  readonly moved: number;
  readonly overtime: number;
  readonly leftOut: number;
}

export const yearTotal = ({ work, trips, shutdowns, moved, overtime, leftOut }: YearCost): number =>
  work + trips + shutdowns + moved + overtime + leftOut;
