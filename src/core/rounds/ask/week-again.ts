import { seeded, shuffled } from "../../seeded";
import { totalOf } from "../day/problem";
import {
  cheapestIn,
  costOf,
  type Insertion,
  type Prepared,
  placedAt,
  type Standing,
  withoutTasks,
} from "../day/standing";
import { WORTH_MOVING } from "../year/plan-year";
import type { WeekStood } from "./plan-stood";

/** Orders that are tried for what one crew has still to do on a day. */
const ORDERS = 60;

/**
 * One shift after something in it turned out otherwise: in the order that it had, unless another order saves so much that
 * it is worth telling people, or has room for what would fall out. Only this shift becomes another.
 *
 * @param fallen what was planned in it and has no place in the order that it had
 */
export function shiftAgain({ ready, standing }: WeekStood, row: number, fallen: readonly number[]): Standing {
  const { problem } = ready;
  const own = [...new Set(standing.orders[row]!.map(({ task }) => task))];
  const able = fallen.filter((task) => ready.fits[task]!.includes(row));
  const bare = withoutTasks(ready, standing, new Set(own));
  if (bare === undefined || own.length + able.length === 0) return standing;
  const random = seeded(1);
  const cost = (each: Standing) => totalOf(costOf(problem, each));
  let [best, least] = [standing, cost(standing) - WORTH_MOVING];
  for (let order = 0; order < ORDERS; order++) {
    const next = filledIn(
      ready,
      bare,
      row,
      order === 0 ? [...own, ...able] : shuffled([...own, ...able], random),
    );
    const costs = cost(next);
    if (costs < least) [best, least] = [next, costs];
  }
  return best;
}

function filledIn(ready: Prepared, bare: Standing, row: number, tasks: readonly number[]): Standing {
  return tasks.reduce((next, task) => {
    const place = cheapestIn(ready, next, row, task);
    return place === undefined ? next : placedAt(next, task, place);
  }, bare);
}

/** What has no place any more goes where it costs least in this week, what weighs most first; the others stay. */
export function placedElsewhere({ ready, standing }: WeekStood, tasks: readonly number[]): Standing {
  const { problem } = ready;
  const weighs = (task: number) => problem.tasks[task]!.leftOut;
  return [...tasks]
    .sort((a, b) => weighs(b) - weighs(a))
    .reduce((next, task) => {
      const best = ready.fits[task]!.reduce<Insertion | undefined>(
        (least, shift) => cheapestIn(ready, next, shift, task, least?.adds) ?? least,
        undefined,
      );
      return best === undefined ? next : placedAt(next, task, best);
    }, standing);
}
