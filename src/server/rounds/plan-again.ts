import type { HouseAsked, Moved, NoCrews } from "@/core/due-work";
import type { RoundsChanged, RoundsSlot, RoundsTask, RoundsWeek } from "@/core/formats";
import { ok, type Result } from "@/core/result";
import {
  type Asked,
  type Fallen,
  moveTo,
  named,
  type PlannedShift,
  planStood,
  type ShiftOfBefore,
  weekStood,
} from "@/core/rounds";
import type { IntegerSolver } from "@/core/store";
import { type Speaker, speaker, whyNotWords } from "@/words";
import type { Services } from "../services";
import { askHouse } from "./ask-house";
import { changedBetween, planWeeks, slotsOf } from "./kept-weeks";
import { answered, keptOf, spoken } from "./propose";
import { type HouseGround, type Proposal, readAsked } from "./rounds-now";

/** All of it planned again, with what that moved. */
export interface PlannedAgain extends HouseGround {
  readonly proposal: Proposal;
  readonly moved: readonly Moved[];
}

/** Plans the quarter again: what is published stays at its very time, what was put by hand with its crew on its day. */
export function plannedAgain(services: Services, solve: IntegerSolver): Result<PlannedAgain, NoCrews> {
  const found = askHouse(services);
  if (!found.ok) return found;
  const asked = found.value;
  const rows = keptOf(services, asked);
  const before = planStood(readAsked(asked), planWeeks(asked.weeks, rows));
  const keeps = keptIn(before.shifts, rows);
  const tasks = asked.question.tasks.map((task): RoundsTask => {
    const keep = keeps.get(task.id);
    return keep === undefined ? task : { ...task, keep };
  });
  const answer = answered({ ...asked, question: { ...asked.question, tasks } }, solve, before.shifts);
  const proposal = spoken(answer);
  return ok({
    asked,
    bound: answer.bound,
    proposal,
    moved: rows.length === 0 ? [] : movedBetween(asked, rows, before.fallen, proposal),
  });
}

/** Where what is published or fixed stands now, and has to stay. */
function keptIn(
  shifts: readonly PlannedShift[],
  rows: readonly RoundsWeek[],
): ReadonlyMap<string, NonNullable<RoundsTask["keep"]>> {
  const fixed = new Set(rows.flatMap((row) => row.fixed));
  const published = new Map(
    rows.flatMap((row) => [...slotsOf(row.published?.shifts ?? [])].map(([task, { crew }]) => [task, crew])),
  );
  const keeps = new Map<string, NonNullable<RoundsTask["keep"]>>();
  for (const { crew, visits } of shifts)
    for (const { task, stretch, from } of visits) {
      if (stretch !== 1) continue;
      // What was moved since it was published was moved by hand: on its day it may go to another hour.
      if (fixed.has(task)) keeps.set(task, { crew, from });
      else if (published.get(task) === crew) keeps.set(task, { crew, from, exactly: true });
    }
  return keeps;
}

function movedBetween(
  asked: HouseAsked,
  rows: readonly RoundsWeek[],
  fallen: readonly Fallen[],
  { shifts }: Proposal,
): Moved[] {
  const read = readAsked(asked);
  const words = speaker();
  const was = slotsOf(rows.flatMap((row) => row.shifts.filter(({ to }) => Date.parse(to) > asked.at)));
  const known = new Map([...was].filter(([task]) => asked.works[task] !== undefined));
  return changedBetween(known, slotsOf(shifts)).map((change) => ({
    ...change,
    says: whyMoved(words, read, asked, fallen, shifts, change),
  }));
}

/** With the same crew on the same day. */
export const isSameShift = (a: RoundsSlot, b: RoundsSlot): boolean => {
  const day = (slot: RoundsSlot) => new Date(slot.from).setHours(0, 0, 0, 0);
  return a.crew === b.crew && day(a) === day(b);
};

/** Why it is not where it was: what keeps it from being there in the plan as it is now. */
export function whyMoved(
  words: Speaker,
  read: Asked,
  { weeks }: HouseAsked,
  fallen: readonly Fallen[],
  shifts: readonly ShiftOfBefore[],
  { task, was, is }: RoundsChanged,
): string {
  const { rounds } = words.say;
  if (was === undefined) return rounds.new;
  if (is !== undefined && isSameShift(was, is)) return rounds.otherHour;
  const fell = fallen.find((each) => each.task === task);
  if (fell !== undefined) return whyNotWords(words, fell.why);
  const at = Date.parse(was.from);
  const index = weeks.findLastIndex(({ from }) => from <= at);
  const week = { from: weeks[index]?.from ?? 0, shifts };
  const to = weeks[index + 1]?.from ?? Number.POSITIVE_INFINITY;
  const here = weekStood(read, week, to, new Set([task]));
  if (here === undefined) return rounds.noShiftInWindows;
  const { days, ready, standing } = here;
  const row = days.tasks.findIndex(({ id }) => id === task);
  const shift = days.shifts.findIndex(
    ({ crew, from, to: end }) => crew.id === was.crew && at >= from && at < end,
  );
  if (shift < 0) return rounds.unknownShift(was.crew);
  const back = moveTo(ready, standing, row, shift);
  if (back.kind === "not") return whyNotWords(words, named(days, back.why));
  const isThere = !standing.free.includes(row);
  const more = Math.round(back.effect.total);
  return isThere && more > 0 ? rounds.dearerThere(more) : rounds.noDearerThere;
}
