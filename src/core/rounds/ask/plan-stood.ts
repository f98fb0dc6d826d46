import type { KeptShift } from "../../formats";
import { whyNot } from "../day/explain";
import { type NamedWhyNot, named, type PlannedShift, shiftName, toldDays } from "./answer-day";
import { type AskedDays, dayProblem } from "./day-problem";
import type { Asked } from "./read-question";
import { type ShiftOfBefore, type Stood, stood } from "./stood";

/** A week of a plan of before, from its beginning on. */
export interface PlanWeek {
  /** ms. */
  readonly from: number;
  readonly shifts: readonly ShiftOfBefore[];
}

/** What was planned and cannot be where it was any more. */
export interface Fallen {
  readonly task: string;
  readonly crew: string;
  readonly from: string;
  readonly why: NamedWhyNot;
}

/** A week as it is asked now: its shifts and the tasks that were planned in it; and how it stands. */
export interface WeekStood extends Stood {
  readonly days: AskedDays;
}

/**
 * One week of a plan of before as it stands now.
 *
 * @param to when the next begins, ms
 * @param more further tasks, planned nowhere yet
 * @returns nothing where nobody is on shift
 */
export function weekStood(
  asked: Asked,
  { from, shifts: kept }: PlanWeek,
  to: number,
  more: ReadonlySet<string> = new Set(),
): WeekStood | undefined {
  const shifts = asked.shifts.filter((shift) => shift.from >= from && shift.from < to);
  if (shifts.length === 0) return undefined;
  const planned = new Set([...more, ...kept.flatMap(({ visits }) => visits.map(({ task }) => task))]);
  const tasks = asked.question.tasks.filter(({ id }) => planned.has(id));
  const days = dayProblem(asked, tasks, shifts);
  return { days, ...stood(days, kept) };
}

/** All weeks of a plan of before as they stand now: shifts that go out, and what fell out of them. */
export function planStood(
  asked: Asked,
  weeks: readonly PlanWeek[],
): { readonly shifts: readonly PlannedShift[]; readonly fallen: readonly Fallen[] } {
  const shifts: PlannedShift[] = [];
  const fallen: Fallen[] = [];
  for (const [index, week] of weeks.entries()) {
    const here = weekStood(asked, week, weeks[index + 1]?.from ?? Number.POSITIVE_INFINITY);
    if (here === undefined) continue;
    const { days, ready, standing } = here;
    shifts.push(...toldDays(days, standing).shifts.filter(({ visits }) => visits.length > 0));
    for (const { task, shift } of here.fallen)
      fallen.push({
        task: days.tasks[task]!.id,
        ...shiftName(days, shift),
        ...{ why: named(days, whyNot(ready, standing, task, shift)) },
      });
  }
  return { shifts, fallen };
}

/** A planned shift as it is kept. */
export const keptShift = ({ crew, from, to, visits }: PlannedShift): KeptShift => ({
  crew,
  from,
  to,
  visits: visits.map(({ task, stretch, from: start, to: end }) => ({ task, stretch, from: start, to: end })),
});
