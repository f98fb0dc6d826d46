import { moveTo, prepared, search } from "@/core/rounds";
import { someDay } from "@/core/rounds/day/day.fixtures";
import { telling } from "./rounds/tell";

const tell = telling("rounds-drag");
const timeOf = <T>(does: () => T): { readonly ms: number; readonly value: T } => {
  const begun = performance.now();
  const value = does();
  return { ms: performance.now() - begun, value };
};

console.log("\nWhat a drag answers, and planning again, by what the screen asks");
for (const [name, tasks, crews, days] of [
  ["a day of 25 jobs, 3 crews", 25, 3, 1],
  ["a week of 60 jobs, 3 crews", 60, 3, 5],
  ["a week of 120 jobs, 5 crews", 120, 5, 5],
] as const) {
  const problem = someDay(3, { tasks, crews, days });
  const { standing } = search(problem, { seed: 1, steps: 400 });
  const ready = prepared(problem);
  // The first few warm the machine's compiler, as the first drag of a session would be slower.
  const drags = problem.tasks.map(
    (_, task) => timeOf(() => problem.shifts.map((_shift, row) => moveTo(ready, standing, task, row))).ms,
  );
  const sorted = drags.toSorted((a, b) => a - b);
  tell(
    `${name}: every shift tried for one that is picked up, median and worst`,
    `${sorted[Math.floor(sorted.length / 2)]!.toFixed(1)} and ${sorted.at(-1)!.toFixed(1)} ms`,
    "100 ms",
  );
  const ill = problem.shifts.map((shift, row) =>
    row === 0 ? { ...shift, to: shift.to - 120, latest: shift.latest - 120 } : shift,
  );
  const kept = problem.tasks.map((task, row) => {
    const shift = standing.orders.findIndex((order) => order.some((visit) => visit.task === row));
    return shift > 0 ? { ...task, kept: { shift } } : task;
  });
  const again = timeOf(() => search({ ...problem, tasks: kept, shifts: ill }, { seed: 1, steps: 400 }));
  tell(
    `${name}: again after a shift ends two hours earlier, the others kept`,
    `${(again.ms / 1000).toFixed(2)} s, ${again.value.standing.free.length} left`,
    "1 s",
  );
}
