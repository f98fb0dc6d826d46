import type { RoundsQuestion, RoundsReport, RoundsTask, RoundsWeek } from "../formats";

const MIN_MS = 60_000;
const DAY_MS = 86_400_000;

/** Work of a kept plan whose hour has come and that is not to be planned any more: with its waits, one crew's. */
export interface Begun {
  readonly crew: string;
  readonly task: string;
  /**
   * ms, from its first stretch to the end of its last. What is done ended by now, what is not ends by the plan and by how
   * long it runs over.
   */
  readonly from: number;
  readonly to: number;
  /** A crew is at it. */
  readonly open: boolean;
  /** Of the shift that it lies in, ms. */
  readonly shift: { readonly from: number; readonly to: number };
}

/** What is known of the work of a house when it is asked what is begun. */
export interface AtHand {
  /** ms. */
  readonly now: number;
  /** Valves that an open job is at. */
  readonly atWork: ReadonlySet<string>;
  /** Valves that ring. */
  readonly rings: (task: string) => boolean;
}

/** What crews are at or have done by the kept weeks. Of what rings still somebody has to have said that it runs over. */
export function begunIn(weeks: readonly RoundsWeek[], { now, atWork, rings }: AtHand): Begun[] {
  return weeks.flatMap(({ shifts, reports = [] }) =>
    shifts.flatMap(({ crew, from: first, to: last, visits }) => {
      const shift = { from: Date.parse(first), to: Date.parse(last) };
      return [...new Set(visits.map(({ task }) => task))].flatMap((task): Begun[] => {
        const own = visits.filter((visit) => visit.task === task);
        const from = Math.min(...own.map((visit) => Date.parse(visit.from)));
        if (from > now) return [];
        const over = reports.flatMap((each) => (saidAt(each, task, from) ? [each.min] : []));
        const end = Math.max(...own.map((visit) => Date.parse(visit.to)));
        const to = end + over.reduce((sum, min) => sum + min * MIN_MS, 0);
        const open = atWork.has(task) || (rings(task) && over.length > 0 && to > now);
        if (open) return [{ crew, task, from, to, open, shift }];
        return rings(task) ? [] : [{ crew, task, from, to: Math.min(to, now), open, shift }];
      });
    }),
  );
}

const saidAt = (
  report: RoundsReport,
  task: string,
  from: number,
): report is Extract<RoundsReport, { kind: "runs-over" }> =>
  report.kind === "runs-over" && report.task === task && Date.parse(report.at) >= from;

/**
 * A question without what crews are at: their day goes on where and when they are done with it.
 *
 * @param placeOf place of the question where a task is; nothing where nobody knows
 * @param now what is behind of a shift is none of it, ms
 */
export function afterBegun(
  question: RoundsQuestion,
  begun: readonly Begun[],
  placeOf: (task: string) => string | undefined,
  now: number,
): RoundsQuestion {
  const open = new Set(begun.flatMap(({ open: isOpen, task }) => (isOpen ? [task] : [])));
  const lastIn = (crew: string, from: number, to: number) =>
    begun
      .filter((each) => each.crew === crew && each.shift.from < to && each.shift.to > from)
      .reduce<Begun | undefined>((late, each) => (late && late.to >= each.to ? late : each), undefined);
  return {
    ...question,
    tasks: question.tasks.filter(({ id }) => !open.has(id)),
    crews: question.crews.map((crew) => ({
      ...crew,
      shifts: crew.shifts.flatMap((shift) => {
        const [from, to] = [Date.parse(shift.from), Date.parse(shift.to)];
        const last = lastIn(crew.id, from, to);
        const free = Math.max(from, now, last?.to ?? 0);
        if (free >= to) return [];
        const start = last && placeOf(last.task);
        if (free === from && start === undefined) return [shift];
        return [{ ...shift, from: new Date(free).toISOString(), ...(start !== undefined && { start }) }];
      }),
    })),
  };
}

/** What was said of work that is still to be done. */
export const saidOfWork = (weeks: readonly RoundsWeek[], now: number): RoundsReport[] =>
  weeks.flatMap(({ shifts, reports = [] }) =>
    reports.filter((report) => {
      if (report.kind === "no-way-in") return Date.parse(report.until) > now;
      return !shifts.some(({ visits }) =>
        visits.some(({ task, from }) => saidAt(report, task, Date.parse(from))),
      );
    }),
  );

/** Tasks with what a crew said of one of them. */
export function withReport(tasks: readonly RoundsTask[], report: RoundsReport): RoundsTask[] {
  return tasks.map((task) => (task.id === report.task ? reported(task, report) : task));
}

function reported(task: RoundsTask, report: RoundsReport): RoundsTask {
  switch (report.kind) {
    case "runs-over": {
      const last = task.stretches.length - 1;
      const { work_min, ...stretch } = task.stretches[last]!;
      return {
        ...task,
        stretches: task.stretches.with(last, { ...stretch, work_min: work_min + report.min }),
      };
    }
    case "no-way-in":
      return { ...task, windows: windowsFrom(task.windows ?? [], report.until) };
  }
}

/** What is left of some windows from a time on; a day of it at the least, so that it stays a window. */
function windowsFrom(windows: NonNullable<RoundsTask["windows"]>, until: string) {
  const at = Date.parse(until);
  const left = windows
    .filter(({ to }) => Date.parse(to) > at)
    .map(({ from, to }) => ({ from: Date.parse(from) > at ? from : until, to }));
  return left.length > 0 ? left : [{ from: until, to: new Date(at + DAY_MS).toISOString() }];
}
