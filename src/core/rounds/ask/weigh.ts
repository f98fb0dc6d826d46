import { yearBound } from "../year/bound";
import { ledgerOf } from "../year/ledger";
import { yearTotal } from "../year/problem";
import { round } from "./answer-day";
import { type CostOfYear, costByPart } from "./answer-plan";
import type { Asked } from "./read-question";
import { type Placed, slotsOf } from "./slots";
import { yearProblem } from "./year-problem";

/** What a plan costs in weeks, whoever made it. */
export function planCost(asked: Asked, placed: readonly Placed[]): CostOfYear {
  const year = yearProblem(asked);
  return costByPart(ledgerOf(year.problem, slotsOf(asked, year, placed)).cost());
}

/** What no plan in weeks costs less than. */
export function planBound(asked: Asked, placed: readonly Placed[]): number {
  const year = yearProblem(asked);
  const cost = yearTotal(ledgerOf(year.problem, slotsOf(asked, year, placed)).cost());
  return round(yearBound(year.problem, cost));
}
