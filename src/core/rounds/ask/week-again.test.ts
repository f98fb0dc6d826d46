import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { wrongs } from "../day/check-day.fixtures";
import { anyDay } from "../day/day.fixtures";
import { type DayProblem, totalOf } from "../day/problem";
import { search } from "../day/search";
import { costOf } from "../day/standing";
import { toldDays } from "./answer-day";
import { askedFrom } from "./ask.fixtures";
import { keptShift } from "./plan-stood";
import { stood } from "./stood";
import { placedElsewhere, shiftAgain } from "./week-again";

describe("a shift after something in it turned out otherwise", () => {
  it("breaks nothing, costs no more than in the order it had, and leaves all other shifts as they were", () => {
    fc.assert(
      fc.property(anyDay, fc.nat(), fc.integer({ min: 5, max: 300 }), (problem, some, longer) => {
        const { standing: planned } = search(problem, { seed: 1, steps: 20 });
        const kept = toldDays(askedFrom(problem), planned)
          .shifts.filter(({ visits }) => visits.length > 0)
          .map(keptShift);
        const row = some % problem.shifts.length;
        const over = planned.orders[row]![0]?.task;
        const changed: DayProblem = {
          ...problem,
          tasks: problem.tasks.map((task, each) =>
            each === over
              ? { ...task, stretches: task.stretches.map((part) => ({ ...part, work: part.work + longer })) }
              : task,
          ),
        };
        const days = askedFrom(changed);
        const week = { days, ...stood(days, kept) };
        const cost = (standing: typeof planned) => totalOf(costOf(changed, standing));
        const lost = week.fallen.map(({ task }) => task);

        const again = shiftAgain(week, row, lost);
        expect(wrongs(changed, again)).toEqual([]);
        expect(cost(again)).toBeLessThanOrEqual(cost(week.standing) + 1e-6);
        for (const [other, order] of again.orders.entries())
          if (other !== row) expect(order).toBe(week.standing.orders[other]);
        // The same again for the same.
        expect(shiftAgain(week, row, lost)).toEqual(again);

        const free = lost.filter((task) => again.free.includes(task));
        const whole = placedElsewhere({ ...week, standing: again }, free);
        expect(wrongs(changed, whole)).toEqual([]);
        for (const [task, { id }] of changed.tasks.entries())
          if (!free.includes(task)) expect(whole.free.includes(task), id).toBe(again.free.includes(task));
      }),
      { numRuns: 80 },
    );
  });

  it("goes on at once where what stood before its next falls away", () => {
    const problem: DayProblem = {
      ...smallDay,
      tasks: smallDay.tasks.map((task) => ({ ...task, windows: [{ from: 0, to: 1440 }] })),
    };
    const { standing: planned } = search(problem, { seed: 1, steps: 20 });
    const kept = toldDays(askedFrom(problem), planned).shifts.map(keptShift);
    const [first] = planned.orders[0]!;
    const without: DayProblem = {
      ...problem,
      tasks: problem.tasks.map((task, row) =>
        row === first!.task ? { ...task, windows: [{ from: 2000, to: 3000 }] } : task,
      ),
    };
    const days = askedFrom(without);
    const week = { days, ...stood(days, kept) };
    expect(week.fallen.map(({ task }) => task)).toEqual([first!.task]);
    const again = shiftAgain(week, 0, [first!.task]);
    expect(again.timed[0]!.starts[0]).toBeLessThan(week.standing.timed[0]!.starts[0]!);
  });
});

/** One crew at two hours' work of its base each, the one after the other. */
const smallDay: DayProblem = {
  tasks: ["A", "B"].map((id) => ({
    id,
    place: 0,
    stretches: [{ work: 120, wait: 0, waitMost: 0 }],
    windows: [{ from: 0, to: 1440 }],
    due: Number.POSITIVE_INFINITY,
    latePerMin: 0,
    leftOut: 500,
    outagePerMin: 0,
    shutdown: undefined,
    out: [],
    needs: [],
    people: 1,
  })),
  shutdowns: [],
  shifts: [
    {
      id: "S",
      crew: "C",
      start: 0,
      base: 0,
      from: 480,
      to: 960,
      latest: 960,
      people: 1,
      skills: [],
      pace: 1,
    },
  ],
  minutes: [[0]],
  km: [[0]],
  prices: { overtimePerMin: 0.5, perKm: 1 },
};
