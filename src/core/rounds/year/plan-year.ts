import type { IntegerSolver } from "../../store";
import { bestOf, Trips } from "./best-of";
import { yearBound } from "./bound";
import { ledgerOf } from "./ledger";
import { type YearCost, type YearPlan, type YearProblem, yearTotal } from "./problem";
import { searchYear } from "./search";

export interface YearAsk {
  readonly seed: number;
  /** Steps of the search in all. */
  readonly steps: number;
  readonly solve: IntegerSolver;
  /** Asked now and then: what is best so far is kept when it says no. */
  readonly goesOn?: (step: number, best: number) => boolean;
  /** A plan of before: it stays where another would hardly be cheaper. */
  readonly from?: YearPlan;
}

export interface PlannedYear {
  readonly plan: YearPlan;
  readonly cost: YearCost;
  /** No plan costs less. */
  readonly bound: number;
  /** Steps that were made; fewer than asked when it was stopped. */
  readonly steps: number;
}

/** Shares of the steps: the search finds trips, the integer program the best of them, and the search goes on there. */
const SHARES = [0.75, 1] as const;

/** min of a crew: for less nobody is told anew when he does what. */
export const WORTH_MOVING = 15;

/** A year in weeks: the same for a seed and as many steps. */
export function planYear(problem: YearProblem, { seed, steps, solve, goesOn, from }: YearAsk): PlannedYear {
  const trips = new Trips(problem);
  const better = (each: YearPlan) => trips.keep(each);
  let plan = from;
  let made = 0;
  for (const [round, share] of SHARES.entries()) {
    const asked = Math.floor(steps * share) - made;
    const before = made;
    const found = searchYear(problem, {
      seed: seed + round,
      steps: asked,
      cooler: round === 0 ? 1 : 0.25,
      better,
      ...(goesOn && { goesOn: (step, cost) => goesOn(before + step, cost) }),
      ...(plan && { from: plan }),
    });
    made += found.steps;
    const stopped = found.steps < asked;
    plan = stopped ? found.plan : bestOf(problem, trips, found.plan, solve);
    trips.keep(plan);
    if (stopped) break;
  }
  const before = from && searchYear(problem, { seed, steps: 0, from });
  if (before && before.cost - yearTotal(ledgerOf(problem, plan!).cost()) < WORTH_MOVING) plan = before.plan;
  const cost = ledgerOf(problem, plan!).cost();
  return { plan: plan!, cost, bound: yearBound(problem, yearTotal(cost)), steps: made };
}
