import type { RoundsQuestion } from "../../formats";
import { err, ok, type Problem, type Result } from "../../result";
import { lowerBound } from "../day/bound";
import { otherwise, type WhyNot, whyNot } from "../day/explain";
import { type Cost, totalOf } from "../day/problem";
import { search } from "../day/search";
import { costOf, prepared, type Standing } from "../day/standing";
import { type AskedDays, dayProblem } from "./day-problem";
import type { NeededThere } from "./move";
import { readRounds } from "./read-question";

/** One stretch of one task, as it is planned. */
export interface PlannedVisit {
  readonly task: string;
  readonly place: string;
  /** From 1; of how many. */
  readonly stretch: number;
  readonly of: number;
  /** ISO 8601. */
  readonly from: string;
  readonly to: string;
  /** After `due`. */
  readonly late_min?: number;
}

export interface PlannedShift {
  readonly crew: string;
  readonly from: string;
  readonly to: string;
  readonly visits: readonly PlannedVisit[];
  readonly back: string;
  readonly drive_min: number;
  readonly km: number;
  readonly overtime_min: number;
}

/** Why a shift does not have a task, with the names of the question. */
export type NamedWhyNot =
  | Exclude<WhyNot, { readonly kind: "out-together" }>
  | { readonly kind: "out-together" | NeededThere["kind"]; readonly tasks: readonly string[] };

export interface Unplaced {
  readonly task: string;
  readonly why: readonly ({ readonly crew: string; readonly from: string } & NamedWhyNot)[];
}

export interface CostByPart {
  readonly crew: number;
  readonly overtime: number;
  readonly km: number;
  readonly outage: number;
  readonly late: number;
  readonly left_out: number;
  readonly total: number;
}

export interface RoundsDayAnswer {
  readonly shifts: readonly PlannedShift[];
  readonly unplaced: readonly Unplaced[];
  /** What the next best place of each task would cost more. */
  readonly otherwise: readonly {
    readonly task: string;
    readonly crew: string;
    readonly from: string;
    readonly adds: number;
  }[];
  readonly cost: CostByPart;
  /** No plan of this question costs less. */
  readonly bound: number;
  readonly steps: number;
  /** Time was up before all steps were made: the same question may be answered otherwise then. */
  readonly stopped_early: boolean;
}

/** Steps of a search that a usual machine makes in a second, for some tasks in some shifts. */
export const stepsFor = (seconds: number, tasks: number): number =>
  Math.round((seconds * 20_000) / (tasks + 10));

const DEFAULT_SECONDS = 2;

/** @param goesOn says whether there is time left: core has no clock */
export function answerDay(
  question: RoundsQuestion,
  goesOn: () => boolean = () => true,
): Result<RoundsDayAnswer, readonly Problem[]> {
  const asked = readRounds(question);
  if (!asked.ok) return asked;
  if (asked.value.shifts.length === 0)
    return err([{ path: "/crews", message: "Nobody is on shift. Give a crew at least one shift." }]);
  const days = dayProblem(asked.value, question.tasks, asked.value.shifts);
  const steps = stepsFor(question.seconds ?? DEFAULT_SECONDS, question.tasks.length);
  const watch = watched(goesOn);
  const found = search(days.problem, { seed: question.seed ?? 1, steps, goesOn: watch.goesOn });
  return ok({
    ...toldDays(days, found.standing),
    otherwise: nextBest(days, found.standing),
    bound: round(lowerBound(days.problem)),
    steps: found.steps,
    stopped_early: watch.stopped(),
  });
}

/** The same question, remembering whether it was ever answered with no. */
export function watched(goesOn: () => boolean): {
  readonly goesOn: () => boolean;
  readonly stopped: () => boolean;
} {
  let stopped = false;
  return {
    goesOn: () => {
      stopped ||= !goesOn();
      return !stopped;
    },
    stopped: () => stopped,
  };
}

/** A standing in the names and times of its question. */
export function toldDays(
  days: AskedDays,
  standing: Standing,
): Pick<RoundsDayAnswer, "shifts" | "unplaced" | "cost"> {
  const { problem, shifts, tasks, at } = days;
  const ready = prepared(problem);
  const iso = (minute: number) => new Date(at(minute)).toISOString();
  return {
    shifts: shifts.map((shift, row): PlannedShift => {
      const { starts, ends, back, driveMin, km } = standing.timed[row]!;
      return {
        ...shiftName(days, row),
        to: new Date(shift.to).toISOString(),
        visits: standing.orders[row]!.map(({ task, stretch }, index): PlannedVisit => {
          const { due, stretches } = problem.tasks[task]!;
          const late = stretch === stretches.length - 1 ? ends[index]! - due : 0;
          return {
            task: tasks[task]!.id,
            place: tasks[task]!.place,
            stretch: stretch + 1,
            of: stretches.length,
            from: iso(starts[index]!),
            to: iso(ends[index]!),
            ...(late > 0 && { late_min: round(late) }),
          };
        }),
        back: iso(back),
        drive_min: round(driveMin),
        km: round(km),
        overtime_min: round(Math.max(0, back - problem.shifts[row]!.to)),
      };
    }),
    unplaced: standing.free.map((task) => ({
      task: tasks[task]!.id,
      why: shifts.map((_, row) => ({
        ...shiftName(days, row),
        ...named(days, whyNot(ready, standing, task, row)),
      })),
    })),
    cost: byPart(costOf(problem, standing)),
  };
}

/** What the next best place of each task would cost more. */
export function nextBest(days: AskedDays, standing: Standing): RoundsDayAnswer["otherwise"] {
  const ready = prepared(days.problem);
  return days.tasks.flatMap(({ id }, row) => {
    const other = otherwise(ready, standing, row);
    const next = other?.elsewhere[0];
    return other === undefined || next === undefined
      ? []
      : [{ task: id, ...shiftName(days, next.shift), adds: round(next.adds - other.here) }];
  });
}

export const shiftName = ({ shifts }: AskedDays, row: number) => ({
  crew: shifts[row]!.crew.id,
  from: new Date(shifts[row]!.from).toISOString(),
});

export const named = ({ tasks }: AskedDays, why: WhyNot | NeededThere): NamedWhyNot =>
  "tasks" in why ? { ...why, tasks: why.tasks.map((task) => tasks[task]!.id) } : why;

const byPart = (cost: Cost): CostByPart => ({
  crew: round(cost.crew),
  overtime: round(cost.overtime),
  km: round(cost.km),
  outage: round(cost.outage),
  late: round(cost.late),
  left_out: round(cost.leftOut),
  total: round(totalOf(cost)),
});

/** To hundredths: nobody plans finer, and a sum of tenths prints as one. */
export const round = (value: number): number => Math.round(value * 100) / 100;
