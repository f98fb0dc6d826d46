import type { HouseAsked, HouseRounds, PublishedWeek } from "@/core/due-work";
import type { RoundsWeek } from "@/core/formats";
import {
  type Asked,
  nobodyAble,
  type PlannedShift,
  placedIn,
  planCost,
  planStood,
  readRounds,
} from "@/core/rounds";
import { type Speaker, speaker, whyNotWords, whyNoWeekWords } from "@/words";
import { changedBetween, planWeeks, slotsOf } from "./kept-weeks";

/** A plan that nobody kept yet. */
export interface Proposal {
  readonly shifts: readonly PlannedShift[];
  readonly unplaced: HouseRounds["unplaced"];
}

/** What is asked, with what no plan of it costs less than, and a plan where none is kept. */
export interface HouseGround {
  readonly asked: HouseAsked;
  readonly bound: number;
  readonly proposal?: Proposal;
}

/** The question as the engines read it. It is made here: what is wrong with it is a bug of ours. */
export function readAsked({ question }: HouseAsked): Asked {
  const read = readRounds(question);
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
}

/** The rounds as they stand: what is kept, in what is asked now; or what is proposed. */
export function roundsNow(ground: HouseGround, rows: readonly RoundsWeek[]): HouseRounds {
  const { asked, bound, proposal } = ground;
  const read = readAsked(asked);
  const { shifts, unplaced } = proposal ?? asKept(asked, read, rows);
  const placed = placedIn(shifts);
  const now = slotsOf(shifts);
  const { brings, ...known } = asked;
  const kits = Object.values(brings).flatMap((bring) => bring.kits.map(({ name }) => name));
  return {
    ...known,
    kept: proposal === undefined,
    weeks: asked.weeks.map(({ id, from }, index) => {
      const to = asked.weeks[index + 1]?.from ?? Number.POSITIVE_INFINITY;
      const row = rows.find((each) => each.id === id);
      return {
        id,
        from,
        crews: hoursOf(asked, read, shifts, from, to),
        fixed: row?.fixed ?? [],
        ...(row?.published && { published: told(row.published, now, asked, { from, to }) }),
      };
    }),
    shifts,
    kits: [...new Set(kits)].sort(),
    unplaced,
    cost: planCost(read, placed),
    bound,
  };
}

function asKept(asked: HouseAsked, read: Asked, rows: readonly RoundsWeek[]): Proposal {
  const { shifts, fallen } = planStood(read, planWeeks(asked.weeks, rows));
  const words = speaker();
  const placed = new Set(shifts.flatMap(({ visits }) => visits.map(({ task }) => task)));
  return {
    shifts,
    unplaced: asked.question.tasks.flatMap((task) => {
      const { id } = task;
      if (placed.has(id)) return [];
      const fell = fallen.find((each) => each.task === id);
      if (fell !== undefined) return [{ task: id, says: [fellWords(words, fell)] }];
      const never = nobodyAble(read, task);
      return [
        { task: id, says: [never === undefined ? words.say.rounds.notInPlan : whyNoWeekWords(words, never)] },
      ];
    }),
  };
}

const fellWords = (words: Speaker, { crew, why }: ReturnType<typeof planStood>["fallen"][number]): string =>
  words.say.rounds.fellOut(crew, whyNotWords(words, why));

/** Hours that there are, and that are planned. */
function hoursOf(
  { crews }: HouseAsked,
  read: Asked,
  shifts: readonly PlannedShift[],
  from: number,
  to: number,
) {
  const inWeek = (at: number) => at >= from && at < to;
  const hours = (ms: number) => Math.round((100 * ms) / 3_600_000) / 100;
  const sum = (some: readonly number[]) => some.reduce((all, each) => all + each, 0);
  return crews.map(({ id }) => ({
    crew: id,
    hours: hours(
      sum(
        read.shifts.map((shift) => (shift.crew.id === id && inWeek(shift.from) ? shift.to - shift.from : 0)),
      ),
    ),
    planned_h: hours(
      sum(
        shifts.flatMap((shift) =>
          shift.crew === id && inWeek(Date.parse(shift.from))
            ? shift.visits.map((visit) => Date.parse(visit.to) - Date.parse(visit.from))
            : [],
        ),
      ),
    ),
  }));
}

/** What people were told of a week, and what of it is another by now; what is behind, or done, is none of it. */
function told(
  { at, by, shifts, changed }: NonNullable<RoundsWeek["published"]>,
  now: ReturnType<typeof slotsOf>,
  asked: HouseAsked,
  week: { readonly from: number; readonly to: number },
): PublishedWeek {
  const was = new Map(
    [...slotsOf(shifts)].filter(
      ([task, { from }]) => asked.works[task] !== undefined && Date.parse(from) > asked.at,
    ),
  );
  const is = new Map(
    [...now].filter(([task, { from }]) => {
      const at = Date.parse(from);
      return was.has(task) || (at >= week.from && at < week.to);
    }),
  );
  return { at, by, changed, since: changedBetween(was, is) };
}
