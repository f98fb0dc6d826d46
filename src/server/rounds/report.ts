import { askedAfter, type HouseAsked, type Moved } from "@/core/due-work";
import type { RoundsChanged, RoundsReport, RoundsWeek } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import { type PlannedShift, placedElsewhere, shiftAgain, toldDays, weekStood } from "@/core/rounds";
import { type Speaker, speaker } from "@/words";
import type { Edited } from "../book/edit";
import type { Services } from "../services";
import { keepWeeks, weeksOf } from "./keep-rounds";
import { comingChanges, planWeeks, rowWith } from "./kept-weeks";
import { isSameShift, whyMoved } from "./plan-again";
import { type HouseGround, readAsked } from "./rounds-now";

/** What a crew says of one piece of its day. */
export interface SaidOfDay {
  readonly task: string;
  readonly kind: RoundsReport["kind"];
  /** Longer than planned, min. */
  readonly min?: number;
  /** Nobody can get in before. */
  readonly until?: string;
  readonly why?: string;
}

type Reported = Edited & { readonly moved: readonly Moved[] };

/**
 * Keeps what a crew says of its day and plans what is left of it again, at once: the same order later, or another where
 * that saves enough; what has no room any more goes to the cheapest shift that has. All others stay where they are.
 */
export function reportWork(
  services: Services,
  ground: HouseGround,
  said: SaidOfDay,
  by: string,
): Result<Reported, Problem[]> {
  const now = services.now();
  const rows = weeksOf(services, ground);
  const at = rows.findIndex(({ shifts }) => shifts.some(isOf(said.task, now)));
  if (at < 0) return err([{ path: "/task", message: speaker().say.rounds.notPlannedNow(said.task) }]);
  const report = reportOf(said, { at: new Date(now).toISOString(), by }, now);
  if (!report.ok) return report;
  const row = rows[at]!;
  const told = rows.with(at, { ...row, reports: [...(row.reports ?? []), report.value] });
  const asked = askedAfter(ground.asked, told, report.value, now);
  const after = plannedOn(asked, told, at, said.task);
  const moved = movedBetween(asked, rows, after, report.value);
  const done = keepWeeks(services, { asked, bound: ground.bound }, after, by);
  return done.ok ? ok({ ...done.value, moved }) : done;
}

/** Shifts that are not over and have a piece of work. */
const isOf =
  (task: string, now: number) =>
  ({ to, visits }: RoundsWeek["shifts"][number]): boolean =>
    Date.parse(to) > now && visits.some((visit) => visit.task === task);

function reportOf(
  { task, kind, min, until, why }: SaidOfDay,
  when: Pick<RoundsReport, "at" | "by">,
  now: number,
): Result<RoundsReport, Problem[]> {
  const { rounds } = speaker().say;
  switch (kind) {
    case "runs-over":
      return min === undefined
        ? err([{ path: "/min", message: rounds.howLong }])
        : ok({ kind, task, ...when, min });
    case "no-way-in": {
      const at = until === undefined ? Number.NaN : Date.parse(until);
      return at > now
        ? ok({ kind, task, ...when, until: new Date(at).toISOString(), ...(why !== undefined && { why }) })
        : err([{ path: "/until", message: rounds.untilWhen }]);
    }
  }
}

/** The weeks from that of the report on, as far as something of its shift has to find another place in them. */
function plannedOn(asked: HouseAsked, rows: readonly RoundsWeek[], at: number, tag: string): RoundsWeek[] {
  const read = readAsked(asked);
  const shift = rows[at]!.shifts.find(isOf(tag, asked.at))!;
  const toDo = new Set(asked.question.tasks.map(({ id }) => id));
  let left = [...new Set(shift.visits.flatMap(({ task }) => (toDo.has(task) ? [task] : [])))];
  let next = [...rows];
  for (let index = at; index < asked.weeks.length && (index === at || left.length > 0); index++) {
    const end = asked.weeks[index + 1]?.from ?? Number.POSITIVE_INFINITY;
    const week = weekStood(read, planWeeks(asked.weeks, next)[index]!, end, new Set(left));
    if (week === undefined) continue;
    const { days } = week;
    const rowOf = (task: string) => days.tasks.findIndex(({ id }) => id === task);
    let { standing } = week;
    const before = standing.orders;
    const lost = () => left.map(rowOf).filter((task) => standing.free.includes(task));
    if (index === at) {
      const here = days.shifts.findIndex(({ crew, from, to }) =>
        sameShift(
          { crew: crew.id, from: new Date(from).toISOString(), to: new Date(to).toISOString() },
          shift,
        ),
      );
      if (here >= 0) standing = shiftAgain(week, here, lost());
    }
    standing = placedElsewhere({ ...week, standing }, lost());
    left = left.filter((task) => standing.free.includes(rowOf(task)));
    const told = toldDays(days, standing).shifts.filter(
      (each, row) => standing.orders[row] !== before[row] || (index === at && sameShift(each, shift)),
    );
    next = next.with(index, withShifts(next[index]!, told, shift, asked));
  }
  return next;
}

type Span = Pick<RoundsWeek["shifts"][number], "crew" | "from" | "to">;
const sameShift = (a: Span, b: Span): boolean =>
  a.crew === b.crew && Date.parse(a.from) < Date.parse(b.to) && Date.parse(a.to) > Date.parse(b.from);

/** A week in which some shifts are planned anew; whoever else is out has its day as it was told. */
function withShifts(
  row: RoundsWeek,
  told: readonly PlannedShift[],
  own: Span,
  asked: HouseAsked,
): RoundsWeek {
  const [anew, others] = partition(row.shifts, (shift) =>
    [own, ...told].some((each) => sameShift(each, shift)),
  );
  const next = rowWith({ ...row, shifts: anew }, told, asked);
  return { ...next, shifts: [...others, ...next.shifts] };
}

const partition = <T>(all: readonly T[], is: (each: T) => boolean): [T[], T[]] => [
  all.filter(is),
  all.filter((each) => !is(each)),
];

function movedBetween(
  asked: HouseAsked,
  before: readonly RoundsWeek[],
  after: readonly RoundsWeek[],
  report: RoundsReport,
): Moved[] {
  const read = readAsked(asked);
  const words = speaker();
  const shifts = after.flatMap((row) => row.shifts);
  return comingChanges(asked, before, after).map((change) => ({
    ...change,
    says: movedHere(words, change, report) ?? whyMoved(words, read, asked, [], shifts, change),
  }));
}

/** Why something is another as far as the report itself says it. */
function movedHere({ say: { rounds } }: Speaker, { task, was, is }: RoundsChanged, report: RoundsReport) {
  if (task === report.task && report.kind === "no-way-in") return rounds.noWayIn(report.by, report.why);
  if (was === undefined || is === undefined || !isSameShift(was, is)) return undefined;
  return report.kind === "runs-over" ? rounds.becauseOver(report.task) : rounds.becauseNoWayIn(report.task);
}
