import type { YearPlan } from "../year/problem";
import type { Asked } from "./read-question";
import type { ShiftOfBefore } from "./stood";
import type { AskedYear } from "./year-problem";

/** Who does a task, and when its shift begins. */
export interface Placed {
  readonly task: string;
  readonly crew: string;
  /** ms. */
  readonly at: number;
}

const WEEK_MS = 7 * 86_400_000;

/** Who does what of some shifts. */
export const placedIn = (shifts: readonly ShiftOfBefore[]): Placed[] =>
  shifts.flatMap(({ crew, from, visits }) =>
    visits.flatMap(({ task, stretch }) => (stretch === 1 ? [{ task, crew, at: Date.parse(from) }] : [])),
  );

/** A plan of before in the weeks and crews of what is asked now. */
export function slotsOf(
  { question }: Asked,
  { mondays, crews }: AskedYear,
  placed: readonly Placed[],
): YearPlan {
  const byTask = new Map(placed.map((each) => [each.task, each]));
  return question.tasks.map(({ id }) => {
    const where = byTask.get(id);
    const crew = crews.findIndex((each) => each.id === where?.crew);
    const week = where === undefined ? -1 : Math.floor((where.at - mondays[0]!) / WEEK_MS);
    return crew < 0 || week < 0 || week >= mondays.length ? undefined : { crew, week };
  });
}
