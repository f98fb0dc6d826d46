import type { HouseAsked } from "@/core/due-work";
import type { KeptShift, RoundsChanged, RoundsSlot, RoundsWeek } from "@/core/formats";
import { keptShift, type PlannedShift, type PlanWeek, type ShiftOfBefore } from "@/core/rounds";

type Weeks = HouseAsked["weeks"];

/** Of each week that is planned what of it is kept. */
export const planWeeks = (weeks: Weeks, rows: readonly RoundsWeek[]): PlanWeek[] =>
  weeks.map(({ id, from }) => ({ from, shifts: rows.find((row) => row.id === id)?.shifts ?? [] }));

/**
 * A week with what is planned in it from now on; what lies behind stays as it was, so does what is begun, fixed and
 * published.
 */
export function rowWith(
  row: RoundsWeek,
  shifts: readonly PlannedShift[],
  { at, begun }: Pick<HouseAsked, "at" | "begun">,
): RoundsWeek {
  const left = row.shifts.flatMap((shift): KeptShift[] => {
    if (Date.parse(shift.to) <= at) return [shift];
    const own = begun.filter(
      (each) => each.crew === shift.crew && each.shift.from === Date.parse(shift.from),
    );
    const visits = shift.visits.filter(({ task }) => own.some((each) => each.task === task));
    return visits.length > 0 ? [{ ...shift, visits }] : [];
  });
  return { ...row, shifts: shifts.reduce(withShift, left) };
}

/** A shift that goes on where it was begun is one with what was done in it. */
function withShift(shifts: KeptShift[], planned: PlannedShift): KeptShift[] {
  if (planned.visits.length === 0) return shifts;
  const shift = keptShift(planned);
  const at = shifts.findIndex(
    ({ crew, from, to }) => crew === shift.crew && from < shift.to && to > shift.from,
  );
  if (at < 0) return [...shifts, shift];
  const { from, visits } = shifts[at]!;
  return shifts.with(at, { ...shift, from, visits: [...visits, ...shift.visits] });
}

/** Planned shifts, each in its week. */
export function rowsOf(
  { weeks, ...asked }: Pick<HouseAsked, "weeks" | "at" | "begun">,
  rows: readonly RoundsWeek[],
  shifts: readonly PlannedShift[],
): RoundsWeek[] {
  return weeks.map(({ id, from }, index) => {
    const to = weeks[index + 1]?.from ?? Number.POSITIVE_INFINITY;
    const row = rows.find((each) => each.id === id) ?? { id, fixed: [], shifts: [] };
    const own = shifts.filter((shift) => Date.parse(shift.from) >= from && Date.parse(shift.from) < to);
    return rowWith(row, own, asked);
  });
}

/** Who does each task, and when it begins. */
export function slotsOf(shifts: readonly ShiftOfBefore[]): ReadonlyMap<string, RoundsSlot> {
  const slots = new Map<string, RoundsSlot>();
  for (const { crew, visits } of shifts)
    for (const { task, stretch, from } of visits) if (stretch === 1) slots.set(task, { crew, from });
  return slots;
}

const MIN_MS = 60_000;
const alike = (a: RoundsSlot, b: RoundsSlot) =>
  a.crew === b.crew && Math.abs(Date.parse(a.from) - Date.parse(b.from)) < MIN_MS;

/** What is another in the second of two plans. */
export function changedBetween(
  before: ReadonlyMap<string, RoundsSlot>,
  after: ReadonlyMap<string, RoundsSlot>,
): RoundsChanged[] {
  const tasks = new Set([...before.keys(), ...after.keys()]);
  return [...tasks].sort().flatMap((task): RoundsChanged[] => {
    const [was, is] = [before.get(task), after.get(task)];
    if (was !== undefined && is !== undefined && alike(was, is)) return [];
    return [{ task, ...(was && { was }), ...(is && { is }) }];
  });
}

/** What is to come and is still to be done, as far as two plans of it differ. */
export function comingChanges(
  { at, question }: Pick<HouseAsked, "at" | "question">,
  before: readonly RoundsWeek[],
  after: readonly RoundsWeek[],
): RoundsChanged[] {
  const toDo = new Set(question.tasks.map(({ id }) => id));
  const coming = (rows: readonly RoundsWeek[]) => {
    const shifts = rows.flatMap((row) => row.shifts.filter(({ to }) => Date.parse(to) > at));
    return new Map([...slotsOf(shifts)].filter(([task]) => toDo.has(task)));
  };
  return changedBetween(coming(before), coming(after));
}
