import type { RoundsQuestion } from "@/core/formats";
import { answerPlan, lowerBound, type PlannedShift, search } from "@/core/rounds";
import { someDay } from "@/core/rounds/day/day.fixtures";
import { cheapestDay } from "@/core/rounds/day/every-day.fixtures";
import { highsSolver } from "@/server/heavy/highs";
import { plainWay } from "./rounds/plain-way";
import { district } from "./rounds/question";
import { telling } from "./rounds/tell";

const solve = await highsSolver();
const tell = telling("rounds");

interface Sums {
  readonly km: number;
  readonly outage_h: number;
  readonly late_d: number;
  readonly overtime_h: number;
}

/** What the users and the crews have of a plan. */
function sums({ tasks }: RoundsQuestion, shifts: readonly PlannedShift[]): Sums {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  let [outage, late] = [0, 0];
  for (const { visits } of shifts) {
    const spans = new Map<string, { from: number; to: number }>();
    for (const { task, from, to } of visits) {
      const key = byId.get(task)!.shutdown ?? task;
      const span = spans.get(key) ?? { from: Date.parse(from), to: 0 };
      spans.set(key, { from: span.from, to: Math.max(span.to, Date.parse(to)) });
    }
    for (const { task, stretch, of, to } of visits) {
      if (stretch !== of) continue;
      const { outage_per_min = 0, due, shutdown } = byId.get(task)!;
      const span = spans.get(shutdown ?? task)!;
      if (outage_per_min > 0) outage += (span.to - span.from) / 3_600_000;
      late += Math.max(0, Date.parse(to) - Date.parse(due!)) / 86_400_000;
    }
  }
  const sum = (of: (shift: PlannedShift) => number) => shifts.reduce((all, shift) => all + of(shift), 0);
  return {
    km: sum(({ km }) => km),
    outage_h: outage,
    late_d: late,
    overtime_h: sum(({ overtime_min }) => overtime_min) / 60,
  };
}

console.log(
  "\nRounds beside doing it by due date and nearest next (crew's km, users' hours out, days late, overtime)",
);
for (const [valves, crews, weeks, seconds, reach] of [
  [60, 2, 8, 5, undefined],
  [500, 3, 52, 25, "2 % of the bound in 30 s"],
  [5000, 20, 52, 120, "the bound stated, 5 min"],
] as const) {
  const question: RoundsQuestion = { ...district(1, valves, crews, weeks), seconds };
  const begun = performance.now();
  const answer = answerPlan(question, { solve });
  const took = (performance.now() - begun) / 1000;
  if (!answer.ok) throw new Error(JSON.stringify(answer.error));
  const { cost, bound, shifts, unplaced } = answer.value;
  const plain = plainWay(question);
  const [ours, theirs] = [sums(question, shifts), sums(question, plain.shifts)];
  const name = `${valves} valves, ${crews} crews, ${weeks} weeks`;
  tell(
    `${name}: above the bound of its weeks`,
    `${((100 * (cost.total - bound)) / bound).toFixed(2)} % in ${took.toFixed(0)} s`,
    reach,
  );
  for (const part of ["km", "outage_h", "late_d", "overtime_h"] as const)
    tell(
      `${name}: ${part}, planned and plain`,
      `${ours[part].toFixed(0)} and ${theirs[part].toFixed(0)}`,
      undefined,
      theirs[part] > 0 ? `${(ours[part] / theirs[part]).toFixed(2)} ×` : "",
    );
  tell(`${name}: found no place, planned and plain`, `${unplaced.length} and ${plain.left}`);
}

console.log("\nA day beside trying everything, and beside a search of twelve times as many steps");
const small = Array.from({ length: 60 }, (_, seed) =>
  someDay(seed + 1, { tasks: 4, crews: 2, waits: 0.5, exclusions: 0.5 }),
);
const above = small.map(
  (problem) => search(problem, { seed: 1, steps: 900 }).cost / cheapestDay(problem) - 1,
);
tell(
  "4 jobs, 2 crews: above the cheapest of all, mean and worst of 60",
  `${(100 * (above.reduce((sum, each) => sum + each, 0) / above.length)).toFixed(2)} and ${(100 * Math.max(...above)).toFixed(2)} %`,
  "1 %",
);
const days = [1, 2, 3, 4].map((seed) => someDay(seed, { tasks: 25, crews: 3 }));
const steps = 5_000;
for (const [at, problem] of days.entries()) {
  const begun = performance.now();
  const { cost } = search(problem, { seed: 1, steps });
  const took = (performance.now() - begun) / 1000;
  const long = search(problem, { seed: 2, steps: 12 * steps }).cost;
  tell(
    `25 jobs with waits, 3 crews, day ${at + 1}: above the long search; above the bound`,
    `${((100 * (cost - Math.min(cost, long))) / Math.min(cost, long)).toFixed(2)} % in ${took.toFixed(1)} s; ${((100 * (cost - lowerBound(problem))) / lowerBound(problem)).toFixed(0)} %`,
    "1 %",
  );
}
