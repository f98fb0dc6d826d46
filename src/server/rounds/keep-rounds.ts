import type { Moved } from "@/core/due-work";
import type { RoundsSlot, RoundsWeek } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import { type Asked, moveTo, named, planStood, toldDays, type WeekStood, weekStood } from "@/core/rounds";
import { speaker, whyNotWords } from "@/words";
import { type Edited, edit } from "../book/edit";
import type { Services } from "../services";
import { changedBetween, planWeeks, rowsOf, rowWith, slotsOf } from "./kept-weeks";
import type { PlannedAgain } from "./plan-again";
import { whileAsked } from "./planned-rounds";
import { keptOf } from "./propose";
import { type HouseGround, readAsked } from "./rounds-now";

type Done = Result<Edited, Problem[]>;

/** What is done with one piece of work: it goes to a shift, out of the plan, or wherever planning again wants it. */
export type WorkMove =
  | { readonly task: string; readonly to: RoundsSlot }
  | { readonly task: string; readonly out: true }
  | { readonly task: string; readonly loose: true };

/** A move as it is asked: one of the three. */
export function readMove({
  task,
  to,
  out,
  loose,
}: {
  readonly task: string;
  readonly to?: RoundsSlot;
  readonly out?: true;
  readonly loose?: true;
}): Result<WorkMove, Problem[]> {
  const asked: WorkMove[] = [
    ...(to === undefined ? [] : [{ task, to }]),
    ...(out === undefined ? [] : [{ task, out }]),
    ...(loose === undefined ? [] : [{ task, loose }]),
  ];
  return asked.length === 1 ? ok(asked[0]!) : err([{ path: "", message: speaker().say.rounds.oneMove }]);
}

/** The weeks as they are kept; a proposal is kept with the first that is done with it. */
export function weeksOf(services: Services, { asked, proposal }: HouseGround): RoundsWeek[] {
  const rows = keptOf(services, asked);
  if (rows.length === 0) return rowsOf(asked, [], proposal?.shifts ?? []);
  return asked.weeks.map(({ id }) => rows.find((row) => row.id === id) ?? { id, fixed: [], shifts: [] });
}

/** Keeps weeks in the book, in one act. */
export const keepWeeks = (
  services: Services,
  ground: HouseGround,
  rows: readonly RoundsWeek[],
  by: string,
): Done =>
  whileAsked(services, ground, () =>
    edit(
      services,
      { by, what: { kind: "changed", thing: "rounds", ids: rows.map(({ id }) => id) } },
      rows.map((row) => ({ kind: "rounds", id: row.id, after: row })),
    ),
  );

/** Moves one piece of work, as cheap as the shift can have it; the others keep their crew and day. */
export function moveWork(services: Services, ground: HouseGround, move: WorkMove, by: string): Done {
  const { asked } = ground;
  const words = speaker();
  const rows = weeksOf(services, ground);
  const problem = (path: string, message: string): Done => err([{ path, message }]);
  if (asked.works[move.task] === undefined) return problem("/task", words.say.rounds.unknownWork(move.task));
  const here = rows.findIndex(({ shifts }) => shifts.some((shift) => has(shift, move.task)));
  if ("loose" in move)
    return keepWeeks(
      services,
      ground,
      rows.map((row) => ({ ...row, fixed: row.fixed.filter((task) => task !== move.task) })),
      by,
    );
  const read = readAsked(asked);
  const at = "to" in move ? Date.parse(move.to.from) : undefined;
  const there = at === undefined ? here : asked.weeks.findLastIndex(({ from }) => from <= at);
  let next = rows.map((row) => ({ ...row, fixed: row.fixed.filter((task) => task !== move.task) }));
  for (const index of new Set([here, there])) {
    if (index < 0) continue;
    const week = stoodWeek(read, ground, next, index, move.task);
    const row = week === undefined ? -1 : week.days.tasks.findIndex(({ id }) => id === move.task);
    if (week === undefined || row < 0) continue;
    const shift = index === there && "to" in move ? shiftAt(week, move.to) : undefined;
    if (shift === -1 && "to" in move) return problem("/to/from", words.say.rounds.unknownShift(move.to.crew));
    const moved = moveTo(week.ready, week.standing, row, shift);
    if (moved.kind === "not") return problem("/to", whyNotWords(words, named(week.days, moved.why)));
    const was = next[index]!;
    next = next.with(index, {
      ...rowWith(was, toldDays(week.days, moved.standing).shifts, asked),
      fixed: shift === undefined ? was.fixed : [...was.fixed, move.task],
    });
  }
  if ("to" in move && !next.some(({ fixed }) => fixed.includes(move.task)))
    return problem("/to/from", words.say.rounds.unknownShift(move.to.crew));
  return keepWeeks(services, ground, next, by);
}

const has = ({ visits }: RoundsWeek["shifts"][number], tag: string) =>
  visits.some(({ task }) => task === tag);

function stoodWeek(
  read: Asked,
  { asked }: HouseGround,
  rows: readonly RoundsWeek[],
  index: number,
  task: string,
): WeekStood | undefined {
  const week = planWeeks(asked.weeks, rows)[index]!;
  return weekStood(read, week, asked.weeks[index + 1]?.from ?? Number.POSITIVE_INFINITY, new Set([task]));
}

const shiftAt = ({ days }: WeekStood, { crew, from }: RoundsSlot): number => {
  const at = Date.parse(from);
  return days.shifts.findIndex((shift) => shift.crew.id === crew && at >= shift.from && at < shift.to);
};

/** Tells people of a week as it stands, not as it was once kept: from now on planning again leaves it so. */
export function publishWeek(services: Services, ground: HouseGround, id: string, by: string): Done {
  const rows = weeksOf(services, ground);
  const stands = planStood(readAsked(ground.asked), planWeeks(ground.asked.weeks, rows));
  const row = rowsOf(ground.asked, rows, stands.shifts).find((each) => each.id === id);
  if (row === undefined || row.shifts.length === 0)
    return err([{ path: "/week", message: speaker().say.rounds.nothingToPublish }]);
  const { asked } = ground;
  const coming = (shifts: RoundsWeek["shifts"]) =>
    new Map([...slotsOf(shifts)].filter(([, { from }]) => Date.parse(from) > asked.at));
  const changed = changedBetween(coming(row.published?.shifts ?? []), coming(row.shifts));
  const published = { at: new Date(services.now()).toISOString(), by, shifts: row.shifts, changed };
  return keepWeeks(
    services,
    ground,
    rows.map((each) => (each.id === id ? { ...row, published } : each)),
    by,
  );
}

/** Keeps what was planned again, and says what that moved. */
export function keepAgain(
  services: Services,
  { proposal, moved, ...ground }: PlannedAgain,
  by: string,
): Result<Edited & { readonly moved: readonly Moved[] }, Problem[]> {
  const { asked } = ground;
  const done = keepWeeks(services, ground, rowsOf(asked, keptOf(services, asked), proposal.shifts), by);
  return done.ok ? ok({ ...done.value, moved }) : done;
}
