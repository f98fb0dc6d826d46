import { type DayProblem, totalOf, type Visit } from "./problem";
import { busyFor, costOf, nothingPlaced, prepared, type Standing } from "./standing";
import { timed } from "./timed";

/** The least a day costs, by trying every share of the tasks and every order of them. For four or five tasks. */
export function cheapestDay(problem: DayProblem): number {
  const ready = prepared(problem);
  let best = Number.POSITIVE_INFINITY;
  const empty = nothingPlaced(problem);
  const rows = problem.shifts.map((_, row) => row);
  const share = (task: number, shares: readonly (readonly number[])[], free: readonly number[]): void => {
    if (task === problem.tasks.length) {
      // Who comes first has the way; the others wait for what is out.
      for (const turns of permutations(rows)) timeAll(turns, shares, { ...empty, free });
      return;
    }
    share(task + 1, shares, [...free, task]);
    for (const shift of ready.fits[task]!)
      share(task + 1, shares.with(shift, [...shares[shift]!, task]), free);
  };
  const timeAll = (
    turns: readonly number[],
    shares: readonly (readonly number[])[],
    standing: Standing,
  ): void => {
    const [shift, ...others] = turns;
    if (shift === undefined) {
      best = Math.min(best, totalOf(costOf(problem, standing)));
      return;
    }
    for (const order of orders(problem, shares[shift]!)) {
      const at = timed(problem, shift, order, busyFor(ready, standing.timed, shift));
      if (at === undefined) continue;
      timeAll(others, shares, {
        ...standing,
        orders: standing.orders.with(shift, order),
        timed: standing.timed.with(shift, at),
      });
    }
  };
  share(
    0,
    rows.map(() => []),
    [],
  );
  return best;
}

function* permutations(rows: readonly number[]): Generator<readonly number[]> {
  if (rows.length < 2) {
    yield rows;
    return;
  }
  for (const row of rows)
    for (const rest of permutations(rows.filter((each) => each !== row))) yield [row, ...rest];
}

/** Every order of the stretches of some tasks, those of each in their own order. */
function* orders({ tasks }: DayProblem, some: readonly number[]): Generator<readonly Visit[]> {
  const next = some.map(() => 0);
  const order: Visit[] = [];
  function* go(): Generator<readonly Visit[]> {
    let ended = true;
    for (const [index, task] of some.entries()) {
      const stretch = next[index]!;
      if (stretch === tasks[task]!.stretches.length) continue;
      ended = false;
      order.push({ task, stretch });
      next[index] = stretch + 1;
      yield* go();
      next[index] = stretch;
      order.pop();
    }
    if (ended) yield [...order];
  }
  yield* go();
}
