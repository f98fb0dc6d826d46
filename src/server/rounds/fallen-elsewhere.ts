import type { HouseAsked } from "@/core/due-work";
import type { RoundsWeek } from "@/core/formats";
import { placedElsewhere, toldDays, weekStood } from "@/core/rounds";
import { planWeeks, rowWith } from "./kept-weeks";
import { readAsked } from "./rounds-now";

/** Kept weeks in what is asked now: what falls out of its shift goes where it costs least, else to a later week. */
export function fallenElsewhere(asked: HouseAsked, rows: readonly RoundsWeek[]): RoundsWeek[] {
  const read = readAsked(asked);
  const toDo = new Set(asked.question.tasks.map(({ id }) => id));
  let left: string[] = [];
  let next = [...rows];
  for (const [index, week] of planWeeks(asked.weeks, rows).entries()) {
    const coming = week.shifts.filter(({ to }) => Date.parse(to) > asked.at);
    const planned = [
      ...new Set(
        coming.flatMap(({ visits }) => visits.map(({ task }) => task)).filter((task) => toDo.has(task)),
      ),
    ];
    const end = asked.weeks[index + 1]?.from ?? Number.POSITIVE_INFINITY;
    const stood = weekStood(read, week, end, new Set(left));
    if (stood === undefined) {
      left = [...left, ...planned];
      next = next.with(index, rowWith(next[index]!, [], asked));
      continue;
    }
    const { days } = stood;
    const rowOf = (task: string) => days.tasks.findIndex(({ id }) => id === task);
    const lost = [...left, ...planned].filter((task) => stood.standing.free.includes(rowOf(task)));
    const standing = placedElsewhere(stood, lost.map(rowOf));
    left = lost.filter((task) => standing.free.includes(rowOf(task)));
    next = next.with(index, rowWith(next[index]!, toldDays(days, standing).shifts, asked));
  }
  return next;
}
