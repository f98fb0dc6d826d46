import { format } from "date-fns";
import type { HouseRounds } from "@/core/due-work";
import { type Asked, type Effect, moveTo, named, readRounds, type WeekStood, weekStood } from "@/core/rounds";
import { effectWords, type Speaker, whyNotWords } from "@/words";

const WEEK_MS = 7 * 86_400_000;

/** A shift of a week: what work can be moved to. */
export interface Target {
  readonly row: number;
  readonly crew: string;
  /** ISO, as a route takes it; and the midnight of its day, ms. */
  readonly from: string;
  readonly day: number;
}

/** What becomes of it when a piece of work goes to a shift. */
export interface Outlook {
  readonly target: Target;
  readonly says: readonly string[];
  /** It is there already. */
  readonly here: boolean;
  /** Where and when it would be, ms; none where it cannot be. */
  readonly at?: { readonly from: number; readonly to: number };
  /** Minutes of a crew that it costs in all, beside how it is. */
  readonly total?: number;
  /** Others that stand in its way. */
  readonly against: readonly string[];
}

/** A week with the engine that answers what a move would do: here, in the browser, so that it answers while dragging. */
export interface WeekMoves {
  readonly targets: readonly Target[];
  readonly outlook: (tag: string, target: Target) => Outlook | undefined;
}

export const NO_MOVES: WeekMoves = { targets: [], outlook: () => undefined };

/** The question as the engines read it; the server made it, so nothing is wrong with it. */
export function readHouse({ question }: HouseRounds): Asked | undefined {
  const read = readRounds(question);
  return read.ok ? read.value : undefined;
}

/** @param from midnight of its Monday, ms */
export function weekMoves(speaker: Speaker, asked: Asked, rounds: HouseRounds, from: number): WeekMoves {
  const to = rounds.weeks.find((week) => week.from > from)?.from ?? from + WEEK_MS;
  const shifts = rounds.shifts.filter((shift) => {
    const at = Date.parse(shift.from);
    return at >= from && at < to;
  });
  const more = new Set(rounds.unplaced.map(({ task }) => task));
  const week = weekStood(asked, { from, shifts }, to, more);
  if (week === undefined) return NO_MOVES;
  const targets = week.days.shifts.map(
    (shift, row): Target => ({
      row,
      crew: shift.crew.id,
      from: new Date(shift.from).toISOString(),
      day: new Date(shift.from).setHours(0, 0, 0, 0),
    }),
  );
  return { targets, outlook: (tag, target) => outlookOf(speaker, week, tag, target) };
}

function outlookOf(
  speaker: Speaker,
  { days, ready, standing }: WeekStood,
  tag: string,
  target: Target,
): Outlook | undefined {
  const task = days.tasks.findIndex(({ id }) => id === tag);
  if (task < 0) return undefined;
  const here = standing.orders[target.row]!.some((visit) => visit.task === task);
  const move = moveTo(ready, standing, task, target.row);
  if (move.kind === "not") {
    const why = named(days, move.why);
    const says = [whyNotWords(speaker, why)];
    return { target, says, here, against: "tasks" in why ? why.tasks : [] };
  }
  const wasFree = standing.free.includes(task);
  const timed = move.standing.timed[target.row]!;
  const own = move.standing.orders[target.row]!.flatMap((visit, at) => (visit.task === task ? [at] : []));
  const clock = (minute: number) => format(days.at(minute), "EEE HH:mm");
  return {
    target,
    here,
    says: effectWords(speaker, move.effect, (other) => days.tasks[other]!.id, clock),
    at: { from: days.at(timed.starts[own[0]!]!), to: days.at(timed.ends[own.at(-1)!]!) },
    total: totalOf(move.effect, wasFree ? days.problem.tasks[task]!.leftOut : 0),
    against: [],
  };
}

/** What was left out saved nothing: that it is done now is no gain of this shift before another. */
const totalOf = ({ total }: Effect, leftOut: number): number => total + leftOut;

/** The shift that has it cheapest, where that is cheaper than this one. */
export function betterThan(outlooks: readonly Outlook[], than: Outlook): Outlook | undefined {
  const best = outlooks.reduce<Outlook | undefined>(
    (least, each) =>
      each.total !== undefined && each.total < (least?.total ?? Number.POSITIVE_INFINITY) ? each : least,
    undefined,
  );
  if (best === undefined || best.target.row === than.target.row) return undefined;
  return than.total === undefined || best.total! < than.total - 1 ? best : undefined;
}
