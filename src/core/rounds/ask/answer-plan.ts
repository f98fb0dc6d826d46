import type { RoundsQuestion, RoundsTask } from "../../formats";
import { err, ok, type Problem, type Result } from "../../result";
import type { IntegerSolver } from "../../store";
import { search } from "../day/search";
import type { Standing } from "../day/standing";
import { planYear, WORTH_MOVING } from "../year/plan-year";
import { type YearCost, yearTotal } from "../year/problem";
import {
  nextBest,
  type PlannedShift,
  type RoundsDayAnswer,
  round,
  stepsFor,
  toldDays,
  type Unplaced,
  watched,
} from "./answer-day";
import { type AskedDays, dayProblem } from "./day-problem";
import { type Asked, readRounds } from "./read-question";
import { placedIn, slotsOf } from "./slots";
import { type ShiftOfBefore, stood } from "./stood";
import { type AskedYear, isAble, yearProblem } from "./year-problem";

/** Why no week has a task. */
export type WhyNoWeek =
  | { readonly kind: "nobody-able"; readonly needs: readonly string[]; readonly people: number }
  | { readonly kind: "no-shift-in-windows" }
  /** Every week in which it might be done is full, or doing it costs more than leaving it. */
  | { readonly kind: "no-room" };

export interface CostOfYear {
  readonly work: number;
  readonly trips: number;
  readonly shutdowns: number;
  readonly early_and_late: number;
  readonly overtime: number;
  readonly left_out: number;
  readonly total: number;
}

export interface RoundsPlanAnswer {
  readonly weeks: readonly {
    /** Its Monday. */
    readonly from: string;
    readonly crews: readonly { readonly crew: string; readonly hours: number; readonly planned_h: number }[];
    readonly tasks: readonly { readonly task: string; readonly crew: string }[];
  }[];
  /** Shifts that go out, with times. */
  readonly shifts: readonly PlannedShift[];
  /** What the next best shift of the same week would cost more; not worked out for very many tasks. */
  readonly otherwise: RoundsDayAnswer["otherwise"];
  readonly unplaced: readonly ({ readonly task: string; readonly week?: WhyNoWeek } & Partial<Unplaced>)[];
  /** Of the weeks. */
  readonly cost: CostOfYear;
  /** No plan in weeks costs less. */
  readonly bound: number;
  /** Each task was offered its cheapest weeks and nearest crews alone, and the bound is that of such plans. */
  readonly narrowed: boolean;
  readonly steps: number;
  readonly stopped_early: boolean;
}

export interface PlanGiven {
  readonly solve: IntegerSolver;
  /** Whether there is time left: core has no clock. */
  readonly goesOn?: () => boolean;
  /** A plan of before: what of it would hardly be cheaper elsewhere stays. */
  readonly before?: readonly ShiftOfBefore[];
}

const DEFAULT_SECONDS = 10;
/** Steps of the year that a usual machine makes in a second. */
const YEAR_STEPS = 8_000;
/** Share of the time that the days get, after the weeks. */
const FOR_DAYS = 0.25;
/** Of more tasks than this nobody asks what each would cost elsewhere. */
const MOST_EXPLAINED = 500;

export function answerPlan(
  question: RoundsQuestion,
  { solve, goesOn = () => true, before }: PlanGiven,
): Result<RoundsPlanAnswer, readonly Problem[]> {
  const asked = readRounds(question);
  if (!asked.ok) return asked;
  if (asked.value.shifts.length === 0)
    return err([{ path: "/crews", message: "Nobody is on shift. Give a crew at least one shift." }]);
  const year = yearProblem(asked.value);
  const { seed = 1, seconds = DEFAULT_SECONDS } = question;
  const steps = Math.round(seconds * (1 - FOR_DAYS) * YEAR_STEPS);
  const watch = watched(goesOn);
  const planned = planYear(year.problem, {
    seed,
    steps,
    solve,
    goesOn: watch.goesOn,
    ...(before && { from: slotsOf(asked.value, year, placedIn(before)) }),
  });
  const weekly = year.mondays.map((_, week) =>
    question.tasks.filter((_, task) => planned.plan[task]?.week === week),
  );
  const forWeek: ForWeek = { seed, seconds: (seconds * FOR_DAYS) / weekly.length, goesOn: watch.goesOn };
  const days = inDays(asked.value, year, weekly, before, forWeek);
  return ok({
    weeks: year.mondays.map((monday, week) => ({
      from: new Date(monday).toISOString(),
      crews: year.crews.map(({ id, pace = 1 }, row) => ({
        crew: id,
        hours: round(
          year.shifts[week]!.reduce((sum, { crew, from, to }) => sum + (crew.id === id ? to - from : 0), 0) /
            3_600_000,
        ),
        planned_h: round(
          question.tasks.reduce((sum, { stretches }, task) => {
            const slot = planned.plan[task];
            const here = slot?.week === week && slot.crew === row;
            return (
              sum + (here ? (pace * stretches.reduce((all, { work_min }) => all + work_min, 0)) / 60 : 0)
            );
          }, 0),
        ),
      })),
      tasks: question.tasks.flatMap(({ id }, task) => {
        const slot = planned.plan[task];
        return slot?.week === week ? [{ task: id, crew: year.crews[slot.crew]!.id }] : [];
      }),
    })),
    shifts: days.shifts,
    otherwise: days.otherwise,
    unplaced: [
      ...question.tasks.flatMap((task, row) =>
        planned.plan[row] === undefined
          ? [{ task: task.id, week: whyNoWeek(asked.value, year, task, row) }]
          : [],
      ),
      ...days.unplaced,
    ],
    cost: costByPart(planned.cost),
    bound: round(planned.bound),
    narrowed: year.narrowed,
    steps: planned.steps,
    stopped_early: watch.stopped(),
  });
}

/** That no crew may do it at all, if so. */
export function nobodyAble({ question, shifts }: Asked, task: RoundsTask): WhyNoWeek | undefined {
  return question.crews.some((crew) => isAble(shifts, crew, task))
    ? undefined
    : { kind: "nobody-able", needs: task.needs ?? [], people: task.people ?? 1 };
}

function whyNoWeek(asked: Asked, { problem }: AskedYear, task: RoundsTask, row: number): WhyNoWeek {
  const never = nobodyAble(asked, task);
  if (never !== undefined) return never;
  return problem.tasks[row]!.choices.length === 0 ? { kind: "no-shift-in-windows" } : { kind: "no-room" };
}

interface ForWeek {
  readonly seed: number;
  readonly seconds: number;
  readonly goesOn: () => boolean;
}

/** A week in its days: as it was before, where another order would hardly be cheaper. */
function weekIn(
  days: AskedDays,
  before: readonly ShiftOfBefore[] | undefined,
  { seed, seconds, goesOn }: ForWeek,
): Standing {
  const steps = stepsFor(seconds, days.tasks.length);
  const was = before && stood(days, before);
  // What is kept and does not stand as it was is looked for anew.
  const keeps = was?.standing.free.every((task) => days.problem.tasks[task]!.kept === undefined) === true;
  if (was === undefined || !keeps) return search(days.problem, { seed, steps, goesOn }).standing;
  const stays = search(days.problem, { seed, steps: 0, from: was.standing });
  const found = search(days.problem, { seed, steps, goesOn, from: was.standing });
  return stays.cost - found.cost < WORTH_MOVING ? stays.standing : found.standing;
}

/** Each week's tasks in its days; what finds no room there is tried in the week after. */
function inDays(
  asked: Asked,
  { shifts }: AskedYear,
  weekly: readonly (readonly RoundsTask[])[],
  before: readonly ShiftOfBefore[] | undefined,
  forWeek: ForWeek,
): Pick<RoundsDayAnswer, "shifts" | "unplaced" | "otherwise"> {
  const planned: PlannedShift[] = [];
  const lost: Unplaced[] = [];
  const others: RoundsDayAnswer["otherwise"][number][] = [];
  let left: Unplaced[] = [];
  const byId = new Map(asked.question.tasks.map((task) => [task.id, task]));
  for (const [week, own] of weekly.entries()) {
    const tasks = [...left.map(({ task }) => byId.get(task)!), ...own];
    if (tasks.length === 0 || shifts[week]!.length === 0) continue;
    const days = dayProblem(asked, tasks, shifts[week]!);
    const standing = weekIn(days, before, forWeek);
    const told = toldDays(days, standing);
    if (byId.size <= MOST_EXPLAINED) others.push(...nextBest(days, standing));
    planned.push(...told.shifts.filter(({ visits }) => visits.length > 0));
    // What is kept in a shift and finds no room there is told, not moved.
    const keeps = ({ task }: Unplaced) => byId.get(task)!.keep !== undefined;
    lost.push(...told.unplaced.filter(keeps));
    left = told.unplaced.filter((each) => !keeps(each));
  }
  return { shifts: planned, unplaced: [...lost, ...left], otherwise: others };
}

export const costByPart = (cost: YearCost): CostOfYear => ({
  work: round(cost.work),
  trips: round(cost.trips),
  shutdowns: round(cost.shutdowns),
  early_and_late: round(cost.moved),
  overtime: round(cost.overtime),
  left_out: round(cost.leftOut),
  total: round(yearTotal(cost)),
});
