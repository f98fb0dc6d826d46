import type { Visit } from "../day/problem";
import {
  busyFor,
  cheapestIn,
  nothingPlaced,
  type Prepared,
  placedAt,
  prepared,
  type Standing,
} from "../day/standing";
import { type Timed, timed } from "../day/timed";
import type { AskedDays } from "./day-problem";

/** One crew on one day, as it was planned: in the order of its visits. */
export interface ShiftOfBefore {
  readonly crew: string;
  readonly from: string;
  readonly to: string;
  readonly visits: readonly {
    readonly task: string;
    readonly stretch: number;
    readonly from: string;
    readonly to: string;
  }[];
}

/** A plan of before, in what is asked now. */
export interface Stood {
  readonly ready: Prepared;
  readonly standing: Standing;
  /** Tasks that were planned and that their shift cannot have any more, with its row. */
  readonly fallen: readonly { readonly task: number; readonly shift: number }[];
}

/**
 * A plan of before as it stands now: each shift in the order that it had and at its times. Where those cannot be kept it
 * is as early as it can be, in the same order; where that cannot be, one after the other finds its cheapest place in the
 * same shift or falls out. Nothing goes to another shift.
 */
export function stood(days: AskedDays, kept: readonly ShiftOfBefore[]): Stood {
  const { problem, tasks, shifts } = days;
  const ready = prepared(problem);
  const rowOf = new Map(tasks.map(({ id }, row) => [id, row]));
  const taken = new Set<number>();
  const fallen: { task: number; shift: number }[] = [];
  let standing = nothingPlaced(problem);
  for (const [row, { crew, from, to }] of shifts.entries()) {
    const before = kept.find(
      (each) => each.crew === crew.id && Date.parse(each.from) < to && Date.parse(each.to) > from,
    );
    const visits = (before?.visits ?? []).flatMap(({ task, stretch, from: start }) => {
      const known = rowOf.get(task);
      return known === undefined || taken.has(known)
        ? []
        : [{ task: known, stretch: stretch - 1, start: days.minute(Date.parse(start)) }];
    });
    const own = [...new Set(visits.map(({ task }) => task))];
    for (const task of own) taken.add(task);
    const able = own.filter((task) => ready.fits[task]!.includes(row));
    for (const task of own) if (!able.includes(task)) fallen.push({ task, shift: row });
    const order = visits.filter(({ task }) => able.includes(task));
    const at = isWhole(days, order) ? keptTimes(ready, standing, row, order) : undefined;
    if (at !== undefined) {
      standing = {
        orders: standing.orders.with(
          row,
          order.map(({ task, stretch }) => ({ task, stretch })),
        ),
        timed: standing.timed.with(row, at),
        free: standing.free.filter((task) => !able.includes(task)),
      };
      continue;
    }
    for (const task of able) {
      const place = cheapestIn(ready, standing, row, task);
      if (place === undefined) fallen.push({ task, shift: row });
      else standing = placedAt(standing, task, place);
    }
  }
  return { ready, standing, fallen };
}

/** Whether each task of an order has all its stretches there: how long it stands may have become another. */
function isWhole({ problem }: AskedDays, order: readonly Visit[]): boolean {
  return order.every(({ task }) => {
    const own = order.filter((visit) => visit.task === task);
    return (
      own.length === problem.tasks[task]!.stretches.length && own.every(({ stretch }, at) => stretch === at)
    );
  });
}

/** At the very times of before, or else as early as its order allows. */
function keptTimes(
  ready: Prepared,
  standing: Standing,
  row: number,
  order: readonly (Visit & { readonly start: number })[],
): Timed | undefined {
  const { problem } = ready;
  const starts = new Map(order.flatMap(({ task, stretch, start }) => (stretch === 0 ? [[task, start]] : [])));
  const exactly = {
    ...problem,
    tasks: problem.tasks.map((task, each) => {
      const start = starts.get(each);
      return start === undefined ? task : { ...task, kept: { shift: row, from: start } };
    }),
  };
  const busy = busyFor(ready, standing.timed, row);
  return timed(exactly, row, order, busy) ?? timed(problem, row, order, busy);
}
