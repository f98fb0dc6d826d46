import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { smallSolver } from "../../store/small-solver";
import { bestOf, Trips } from "./best-of";
import { yearBound } from "./bound";
import { ledgerOf } from "./ledger";
import { planYear } from "./plan-year";
import { type Slot, type YearPlan, type YearProblem, yearTotal } from "./problem";
import { searchYear } from "./search";
import { someYear } from "./year.fixtures";

const costOf = (problem: YearProblem, plan: YearPlan) => yearTotal(ledgerOf(problem, plan).cost());

/** Whether every crew's week holds what is in it, added up anew. */
function overfull({ tasks, crews, weeks, areas, shutdowns }: YearProblem, plan: YearPlan): string[] {
  return crews.flatMap(({ id, minutes, overtime, trips, day, pace }, crew) =>
    Array.from({ length: weeks }, (_, week) => {
      const own = tasks.filter((_task, row) => plan[row]?.crew === crew && plan[row]?.week === week);
      const sum = (some: typeof own) => some.reduce((all, task) => all + pace * task.minutes, 0);
      const shut = new Set(own.flatMap(({ shutdown }) => shutdown ?? []));
      const ways = Array.from({ length: areas }, (_area, area) => {
        const there = own.filter((task) => task.area === area);
        return there.length === 0 ? 0 : trips[area]! * Math.max(1, Math.ceil(sum(there) / day));
      });
      const load =
        sum(own) +
        ways.reduce((all, way) => all + way, 0) +
        [...shut].reduce((all, row) => all + pace * shutdowns[row]!, 0);
      return load <= minutes[week]! + overtime[week]! + 1e-6 ? [] : [`${id} week ${week}: ${load} min`];
    }).flat(),
  );
}

/** The least that a small year costs, by trying everything. */
function cheapestYear(problem: YearProblem): number {
  const { tasks } = problem;
  let best = Number.POSITIVE_INFINITY;
  const go = (task: number, plan: readonly (Slot | undefined)[]): void => {
    if (task === tasks.length) {
      if (overfull(problem, plan).length === 0) best = Math.min(best, costOf(problem, plan));
      return;
    }
    go(task + 1, [...plan, undefined]);
    for (const { week } of tasks[task]!.choices)
      for (const crew of tasks[task]!.crews) go(task + 1, [...plan, { crew, week }]);
  };
  go(0, []);
  return best;
}

const small = (seed: number) => someYear(seed, { tasks: 4, crews: 2, weeks: 3, areas: 2, load: 0.7 });
const anyYear = fc
  .record({ seed: fc.integer({ min: 1, max: 1e6 }), load: fc.double({ min: 0.3, max: 1.2, noNaN: true }) })
  .map(({ seed, load }) => someYear(seed, { tasks: 40, crews: 3, weeks: 12, load }));

describe("a year", () => {
  it("is the cheapest there is where all can be tried, and its bound is below that", () => {
    for (let seed = 1; seed <= 40; seed++) {
      const problem = small(seed);
      const cheapest = cheapestYear(problem);
      const { cost, bound } = planYear(problem, { seed: 1, steps: 300, solve: smallSolver });
      expect(yearTotal(cost), `seed ${seed}`).toBeCloseTo(cheapest, 6);
      expect(bound, `seed ${seed}`).toBeLessThanOrEqual(cheapest + 1e-6);
    }
  });

  it("keeps every crew's hours, asks only those who may in weeks that may be, and costs no less than its bound", () => {
    fc.assert(
      fc.property(anyYear, (problem) => {
        const { plan, cost } = searchYear(problem, { seed: 2, steps: 300 });
        expect(overfull(problem, plan)).toEqual([]);
        expect(costOf(problem, plan)).toBeCloseTo(cost, 6);
        for (const [row, slot] of plan.entries()) {
          const { crews, choices } = problem.tasks[row]!;
          if (slot === undefined) continue;
          expect(crews).toContain(slot.crew);
          expect(choices.map(({ week }) => week)).toContain(slot.week);
        }
        expect(yearBound(problem, cost)).toBeLessThanOrEqual(cost + 1e-6);
      }),
      { numRuns: 40 },
    );
  });

  it("leaves what is kept in its week with its crew, and its bound counts that", () => {
    fc.assert(
      fc.property(anyYear, (problem) => {
        const { plan } = searchYear(problem, { seed: 2, steps: 100 });
        const kept: YearProblem = {
          ...problem,
          tasks: problem.tasks.map((task, row) =>
            row % 3 === 0 && plan[row] !== undefined ? { ...task, kept: plan[row]! } : task,
          ),
        };
        const again = searchYear(kept, { seed: 5, steps: 200 });
        for (const [row, task] of kept.tasks.entries())
          if (task.kept !== undefined) expect(again.plan[row]).toEqual(task.kept);
        expect(yearBound(kept, again.cost)).toBeLessThanOrEqual(again.cost + 1e-6);
      }),
      { numRuns: 30 },
    );
  });

  it("is the same for the same seed, and says when it is stopped", () => {
    const problem = someYear(4);
    const once = planYear(problem, { seed: 9, steps: 600, solve: smallSolver });
    expect(planYear(problem, { seed: 9, steps: 600, solve: smallSolver })).toEqual(once);
    const stopped = planYear(problem, {
      seed: 9,
      steps: 6000,
      solve: smallSolver,
      goesOn: (step) => step < 400,
    });
    expect(stopped.steps).toBe(400);
    expect(overfull(problem, stopped.plan)).toEqual([]);
  });

  it("is made no dearer by choosing among the trips that were found", () => {
    const problem = someYear(8, { tasks: 30, crews: 2, weeks: 10 });
    const trips = new Trips(problem);
    const { plan, cost } = searchYear(problem, { seed: 1, steps: 30, better: (each) => trips.keep(each) });
    const chosen = bestOf(problem, trips, plan, smallSolver);
    expect(costOf(problem, chosen)).toBeLessThanOrEqual(cost);
    expect(overfull(problem, chosen)).toEqual([]);
  });

  it("stays as it was where the program finds nothing", () => {
    const problem = small(1);
    const trips = new Trips(problem);
    const { plan } = searchYear(problem, { seed: 1, steps: 5, better: (each) => trips.keep(each) });
    expect(bestOf(problem, trips, plan, () => undefined)).toEqual(plan);
  });
});
