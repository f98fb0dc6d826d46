import { type WhyNot, whyNot } from "../day/explain";
import { type Cost, type DayProblem, totalOf } from "../day/problem";
import { cheapestIn, costOf, type Prepared, placedAt, type Standing, withoutTasks } from "../day/standing";

/** What becomes of a plan when a task goes to another shift: as cheap as that shift can have it. */
export type Move =
  | { readonly kind: "fits"; readonly standing: Standing; readonly effect: Effect }
  | { readonly kind: "not"; readonly why: WhyNot | NeededThere };

/** Without it these cannot be done where they are. */
export interface NeededThere {
  readonly kind: "needed-there";
  readonly tasks: readonly number[];
}

/** What a move does, beside how it was. Minutes and km are more by so much; less where they are below nothing. */
export interface Effect {
  /** min of crews, km, min without service, cost in all. */
  readonly crewMin: number;
  readonly km: number;
  readonly outage: number;
  readonly total: number;
  /** When the shift is back, and how much of that lies after its end. min */
  readonly back: number;
  readonly overMin: number;
  /** How late the task is done, min after its date; 0 when in time. */
  readonly lateMin: number;
  /** Others that begin at another time. */
  readonly others: readonly { readonly task: number; readonly was: number; readonly is: number }[];
}

/** @param shift row of where it shall be; without one it is taken out */
export function moveTo(ready: Prepared, standing: Standing, task: number, shift: number | undefined): Move {
  const { problem } = ready;
  const taken = standing.free.includes(task) ? { standing, left: [] } : takenOut(ready, standing, task);
  if (taken.left.length > 0) return { kind: "not", why: { kind: "needed-there", tasks: taken.left } };
  const without = taken.standing;
  const fits = (next: Standing): Move => ({
    kind: "fits",
    standing: next,
    effect: effectOf(problem, standing, next, task),
  });
  if (shift === undefined) return fits(without);
  const place = ready.fits[task]!.includes(shift) ? cheapestIn(ready, without, shift, task) : undefined;
  return place === undefined
    ? { kind: "not", why: whyNot(ready, without, task, shift) }
    : fits(placedAt(without, task, place));
}

/** Without a task: in the same order, or where that cannot be, because it shut what others need, one after the other. */
function takenOut(
  ready: Prepared,
  standing: Standing,
  task: number,
): { readonly standing: Standing; readonly left: readonly number[] } {
  const shorter = withoutTasks(ready, standing, new Set([task]));
  if (shorter !== undefined) return { standing: shorter, left: [] };
  const row = standing.orders.findIndex((order) => order.some((visit) => visit.task === task));
  const own = [...new Set(standing.orders[row]!.map((visit) => visit.task))];
  let next = withoutTasks(ready, standing, new Set(own))!;
  const left: number[] = [];
  for (const other of own) {
    const place = other === task ? undefined : cheapestIn(ready, next, row, other);
    if (place !== undefined) next = placedAt(next, other, place);
    else if (other !== task) left.push(other);
  }
  return { standing: next, left };
}

function effectOf(problem: DayProblem, before: Standing, after: Standing, task: number): Effect {
  const [was, is] = [costOf(problem, before), costOf(problem, after)];
  const more = (part: keyof Cost) => is[part] - was[part];
  const row = after.orders.findIndex((order) => order.some((visit) => visit.task === task));
  const at = after.timed[row];
  const { due, latePerMin } = problem.tasks[task]!;
  const last = after.orders[row]?.findLastIndex((visit) => visit.task === task) ?? -1;
  const startedAt = startsOf(before);
  return {
    crewMin: more("crew"),
    km: problem.prices.perKm === 0 ? 0 : more("km") / problem.prices.perKm,
    outage: outageOf(after) - outageOf(before),
    total: totalOf(is) - totalOf(was),
    back: at?.back ?? 0,
    overMin: at === undefined ? 0 : Math.max(0, at.back - problem.shifts[row]!.to),
    lateMin: at === undefined || latePerMin === 0 ? 0 : Math.max(0, at.ends[last]! - due),
    others: [...startsOf(after)].flatMap(([other, start]) => {
      const then = startedAt.get(other);
      return other === task || then === undefined || Math.abs(then - start) < 1
        ? []
        : [{ task: other, was: then, is: start }];
    }),
  };
}

const outageOf = ({ timed }: Standing): number =>
  timed.reduce((sum, { outages }) => sum + outages.reduce((all, { from, to }) => all + to - from, 0), 0);

/** When each task begins. */
function startsOf({ orders, timed }: Standing): Map<number, number> {
  const starts = new Map<number, number>();
  orders.forEach((order, row) => {
    order.forEach(({ task, stretch }, at) => {
      if (stretch === 0) starts.set(task, timed[row]!.starts[at]!);
    });
  });
  return starts;
}
