import type { RoundsTask } from "../../formats";
import type { Choice, YearProblem, YearTask } from "../year/problem";
import { DEFAULTS } from "./day-problem";
import { type Asked, type AskedCrew, type AskedShift, keeps } from "./read-question";

const MIN_MS = 60_000;
const DAY_MS = 86_400_000;
const WEEK_MS = 7 * DAY_MS;
/** 1970 began on a Thursday: weeks begin on Mondays. */
const FIRST_MONDAY = 4 * DAY_MS;
/** Share of a week's hours that is planned: days never fill to the minute. */
const FILLED = 0.95;
/** With more tasks than this each is offered only its cheapest weeks and its nearest crews. */
const MANY_TASKS = 1000;
const FEW_WEEKS = 13;
const FEW_CREWS = 3;

/** A question as a year in weeks. */
export interface AskedYear {
  readonly problem: YearProblem;
  /** ms since the epoch of each week's Monday, UTC. */
  readonly mondays: readonly number[];
  readonly crews: readonly AskedCrew[];
  /** Shifts of each week. */
  readonly shifts: readonly (readonly AskedShift[])[];
  /** Some tasks have further weeks or crews that were not looked at; the bound does not count those. */
  readonly narrowed: boolean;
}

/** When the week began that a moment lies in, where weeks begin as one of them did. */
const weekStart = (ms: number, anchor: number): number =>
  Math.floor((ms - anchor) / WEEK_MS) * WEEK_MS + anchor;

export function yearProblem({ question, shifts, areaOf, minutes }: Asked): AskedYear {
  const { tasks, crews } = question;
  const anchor = question.week_from === undefined ? FIRST_MONDAY : Date.parse(question.week_from);
  const first = weekStart(Math.min(...shifts.map(({ from }) => from)), anchor);
  const weeks = 1 + (weekStart(Math.max(...shifts.map(({ from }) => from)), anchor) - first) / WEEK_MS;
  const weekOf = (ms: number) => Math.floor((ms - first) / WEEK_MS);
  const byWeek: AskedShift[][] = Array.from({ length: weeks }, () => []);
  for (const shift of shifts) byWeek[weekOf(shift.from)]!.push(shift);
  const areas = [...new Set(tasks.map(({ place }) => areaOf(place)))];
  const areaRow = new Map(areas.map((area, row) => [area, row]));
  const placesIn = areas.map((area) => [
    ...new Set(tasks.flatMap(({ place }) => (areaOf(place) === area ? [place] : []))),
  ]);
  const crewRow = new Map(crews.map(({ id }, row) => [id, row]));
  const shutdowns = question.shutdowns ?? [];
  const shutdownRow = new Map(shutdowns.map(({ id }, row) => [id, row]));
  const sum = (some: readonly number[]) => some.reduce((all, each) => all + each, 0);
  const trips = crews.map(({ base }) =>
    placesIn.map(
      (places) => sum(places.map((place) => minutes(base, place) + minutes(place, base))) / places.length,
    ),
  );
  const narrowed = tasks.length > MANY_TASKS;
  const asTask = (task: RoundsTask): YearTask => {
    const area = areaRow.get(areaOf(task.place))!;
    const able = crews.flatMap((crew, row) => (isAble(shifts, crew, task) ? [row] : []));
    const nearest = [...able]
      .sort((a, b) => trips[a]![area]! - trips[b]![area]! || a - b)
      .slice(0, FEW_CREWS);
    const choices = choicesOf(task, byWeek);
    const cheapest = [...choices].sort((a, b) => a.cost - b.cost || a.week - b.week).slice(0, FEW_WEEKS);
    const kept = task.keep && shifts.findLast((shift) => keeps(task.keep!, shift));
    return {
      id: task.id,
      area,
      minutes: sum(task.stretches.map(({ work_min }) => work_min)),
      choices: narrowed ? cheapest.sort((a, b) => a.week - b.week) : choices,
      crews: narrowed ? nearest : able,
      leftOut: task.left_out ?? DEFAULTS.leftOut,
      shutdown: task.shutdown === undefined ? undefined : shutdownRow.get(task.shutdown)!,
      ...(kept !== undefined && {
        kept: { crew: crewRow.get(kept.crew.id)!, week: weekOf(kept.from) },
      }),
    };
  };
  const perWeek = (crew: AskedCrew, of: (shift: AskedShift) => number) =>
    byWeek.map((some) => sum(some.flatMap((shift) => (shift.crew === crew ? [of(shift)] : []))));
  const lengthMin = ({ from, to }: AskedShift) => (to - from) / MIN_MS;
  return {
    mondays: byWeek.map((_, week) => first + week * WEEK_MS),
    crews,
    shifts: byWeek,
    narrowed,
    problem: {
      weeks,
      areas: areas.length,
      tasks: tasks.map(asTask),
      crews: crews.map((crew, row) => {
        const own = shifts.filter((shift) => shift.crew === crew);
        return {
          id: crew.id,
          minutes: perWeek(crew, lengthMin).map((min) => FILLED * min),
          overtime: perWeek(crew, () => crew.overtime_min ?? 0),
          trips: trips[row]!,
          day: own.length === 0 ? 1 : sum(own.map(lengthMin)) / own.length,
          pace: crew.pace ?? 1,
        };
      }),
      shutdowns: shutdowns.map(({ shut_min, restore_min }) => shut_min + restore_min),
      overtimePerMin: question.prices?.overtime_per_min ?? DEFAULTS.overtimePerMin,
    },
  };
}

const fitsShift = ({ people, skills }: AskedShift, { needs = [], people: wanted = 1 }: RoundsTask): boolean =>
  wanted <= people && needs.every((need) => skills.includes(need));

/** Whether a crew has a shift whose people may do it. */
export const isAble = (shifts: readonly AskedShift[], crew: AskedCrew, task: RoundsTask): boolean =>
  shifts.some((shift) => shift.crew === crew && fitsShift(shift, task));

/** Weeks in which a shift lies in one of its windows, with what being early or late costs. */
function choicesOf(task: RoundsTask, byWeek: readonly (readonly AskedShift[])[]): Choice[] {
  const due = task.due === undefined ? undefined : Date.parse(task.due);
  const windows = task.windows?.map(({ from, to }) => ({ from: Date.parse(from), to: Date.parse(to) }));
  const fits = (shift: AskedShift) =>
    fitsShift(shift, task) &&
    (windows === undefined || windows.some(({ from, to }) => from < shift.to && to > shift.from));
  return byWeek.flatMap((shifts, week): Choice[] => {
    const open = shifts.filter(fits);
    if (open.length === 0) return [];
    if (due === undefined) return [{ week, cost: 0 }];
    // On which of its days is not known yet: as on any of them.
    const mean = (of: (shift: AskedShift) => number) =>
      open.reduce((sum, shift) => sum + Math.max(0, of(shift)), 0) / open.length / DAY_MS;
    const [late, early] = [mean(({ to }) => to - due), mean(({ from }) => due - from)];
    const { late_per_day = DEFAULTS.latePerDay, early_per_day = DEFAULTS.earlyPerDay } = task;
    return [{ week, cost: late * late_per_day + early * early_per_day }];
  });
}
