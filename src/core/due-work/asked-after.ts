import type { RoundsReport, RoundsWeek } from "../formats";
import type { BegunWork, HouseAsked } from "./house-rounds";
import { afterBegun, begunIn, saidOfWork, withReport } from "./reported";

/**
 * What is asked once a crew said something of its day.
 *
 * @param weeks as they are kept, with the report in one of them
 * @param now ms
 */
export function askedAfter(
  asked: HouseAsked,
  weeks: readonly RoundsWeek[],
  report: RoundsReport,
  now: number,
): HouseAsked {
  const { works, question } = asked;
  const atWork = new Set(asked.not.flatMap(({ tag, kind }) => (kind === "at-work" ? [tag] : [])));
  const spotOf = new Map([
    ...asked.begun.map(({ task, spot }) => [task, spot] as const),
    ...question.tasks.map(({ id, place }) => [id, place] as const),
  ]);
  const known = new Map<string, Pick<BegunWork, "name" | "place">>([
    ...asked.begun.map((each) => [each.task, each] as const),
    ...Object.entries(works),
  ]);
  const begun = begunIn(weeks, { now, atWork, rings: (task) => works[task] !== undefined }).flatMap(
    (each): BegunWork[] => {
      const [of, spot] = [known.get(each.task), spotOf.get(each.task)];
      return of === undefined || spot === undefined
        ? []
        : [{ ...each, name: of.name, place: of.place, spot }];
    },
  );
  const tasks = saidOfWork(weeks, now).includes(report) ? withReport(question.tasks, report) : question.tasks;
  return {
    ...asked,
    at: now,
    begun,
    question: afterBegun({ ...question, tasks }, begun, (task) => spotOf.get(task), now),
  };
}
