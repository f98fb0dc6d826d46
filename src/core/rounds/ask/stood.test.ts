import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { KeptShift } from "../../formats";
import { wrongs } from "../day/check-day.fixtures";
import { anyDay } from "../day/day.fixtures";
import type { DayProblem } from "../day/problem";
import { totalOf } from "../day/problem";
import { search } from "../day/search";
import { costOf, type Standing } from "../day/standing";
import { toldDays } from "./answer-day";
import { askedFrom } from "./ask.fixtures";
import { moveTo } from "./move";
import { keptShift } from "./plan-stood";
import { stood } from "./stood";

const keptOf = (problem: DayProblem, standing: Standing): KeptShift[] =>
  toldDays(askedFrom(problem), standing)
    .shifts.filter(({ visits }) => visits.length > 0)
    .map(keptShift);

describe("a plan of before", () => {
  it("stands as it was, to the minute, as long as nothing changed", () => {
    fc.assert(
      fc.property(anyDay, (problem) => {
        const { standing } = search(problem, { seed: 1, steps: 20 });
        const again = stood(askedFrom(problem), keptOf(problem, standing));
        expect(again.fallen).toEqual([]);
        expect(again.standing.orders).toEqual(standing.orders);
        for (const [row, { starts }] of standing.timed.entries())
          for (const [at, start] of starts.entries())
            expect(again.standing.timed[row]!.starts[at]).toBeCloseTo(start, 2);
      }),
      { numRuns: 60 },
    );
  });

  it("loses what is done since, lets fall what its crew may no longer, and breaks nothing whatever takes longer", () => {
    fc.assert(
      fc.property(anyDay, fc.double({ min: 1, max: 2, noNaN: true }), (problem, longer) => {
        const { standing } = search(problem, { seed: 1, steps: 20 });
        const kept = keptOf(problem, standing);
        const changed: DayProblem = {
          ...problem,
          tasks: problem.tasks
            .map((task, row) => ({
              ...task,
              ...(row % 3 === 1 && { needs: ["nobody has this"] }),
              stretches: task.stretches.map((each) => ({ ...each, work: each.work * longer })),
            }))
            .filter((_, row) => row % 3 !== 2),
        };
        const again = stood(askedFrom(changed), kept);
        expect(wrongs(changed, again.standing)).toEqual([]);
        const placed = new Set(keptTasks(kept));
        const fell = new Set(again.fallen.map(({ task }) => task));
        for (const [row, { id, needs }] of changed.tasks.entries())
          if (placed.has(id)) {
            expect(again.standing.free.includes(row)).toBe(fell.has(row));
            if (needs.includes("nobody has this")) expect(fell.has(row)).toBe(true);
          } else expect(again.standing.free).toContain(row);
      }),
      { numRuns: 60 },
    );
  });
});

const keptTasks = (kept: readonly KeptShift[]) =>
  kept.flatMap(({ visits }) => visits.map(({ task }) => task));

describe("a move", () => {
  it("breaks nothing, says to the cent what it costs, and where it cannot be says why", () => {
    fc.assert(
      fc.property(anyDay, fc.nat(), fc.nat(), (problem, someTask, someShift) => {
        const { standing } = search(problem, { seed: 1, steps: 20 });
        const { ready } = stood(askedFrom(problem), keptOf(problem, standing));
        const [task, shift] = [someTask % problem.tasks.length, someShift % problem.shifts.length];
        const move = moveTo(ready, standing, task, shift);
        if (move.kind === "not") {
          expect(move.why.kind).not.toBe("not-worth-it");
          return;
        }
        expect(wrongs(problem, move.standing)).toEqual([]);
        expect(move.standing.orders[shift]!.some((visit) => visit.task === task)).toBe(true);
        const more = totalOf(costOf(problem, move.standing)) - totalOf(costOf(problem, standing));
        expect(move.effect.total).toBeCloseTo(more, 6);
        // The others stay with their crew.
        const others = ({ orders }: Standing) =>
          orders.map((order) => new Set(order.flatMap((visit) => (visit.task === task ? [] : visit.task))));
        expect(others(move.standing)).toEqual(others(standing));
      }),
      { numRuns: 120 },
    );
  });
});
