import loadHighs, { type Highs } from "highs";
import type { IntegerProgram, IntegerSolver } from "@/core/store";

/** Before the deadline of a worker: then the best that was found is told, as not proven. */
const MOST_SECONDS = 6;

/**
 * Costs are whole numbers, so an answer is proven when nothing cheaper by one can be. The heuristics that large programs
 * want only cost time in ours: without them most are answered twice as fast.
 */
const OPTIONS = {
  output_flag: false,
  time_limit: MOST_SECONDS,
  mip_rel_gap: 0,
  mip_abs_gap: 0.99,
  mip_allow_restart: false,
  mip_detect_symmetry: false,
  mip_heuristic_effort: 0,
  mip_heuristic_run_feasibility_jump: false,
  mip_heuristic_run_rins: false,
  mip_heuristic_run_rens: false,
  mip_heuristic_run_root_reduced_cost: false,
} as const;

/** HiGHS, loaded when it is first asked. */
export async function highsSolver(): Promise<IntegerSolver> {
  const highs = await loaded();
  return (program) => solveBy(highs, program);
}

let loading: Promise<Highs> | undefined;
const loaded = () => {
  loading ??= loadHighs();
  return loading;
};

function solveBy(highs: Highs, program: IntegerProgram): ReturnType<IntegerSolver> {
  // A program without a variable is no program to it; nothing has to be found then.
  if (program.variables.length === 0) return { values: [], proven: true };
  const solution = highs.solve(textOf(program), OPTIONS);
  const found = solution.Status === "Optimal" || solution.Status === "Time limit reached";
  if (!found) return undefined;
  const values = program.variables.map((_, index) => Math.round(primalOf(solution.Columns[`x${index}`])));
  return values.every(Number.isFinite) ? { values, proven: solution.Status === "Optimal" } : undefined;
}

const primalOf = (column: object | undefined) =>
  column !== undefined && "Primal" in column ? Number(column.Primal) : Number.NaN;

/** The program as the text that HiGHS reads; a line for each term, since lines there may not be long. */
function textOf({ variables, rows }: IntegerProgram): string {
  const sum = (terms: readonly (readonly [number, number])[]) =>
    terms.map(([variable, coefficient]) => `+ ${coefficient} x${variable}`).join("\n");
  return [
    "Minimize",
    `cost: ${sum(variables.map(({ cost }, index) => [index, cost] as const))}`,
    "Subject To",
    ...rows.map(
      ({ terms, bound, value }, index) =>
        `r${index}: ${sum(terms)} ${bound === "at-least" ? ">=" : "<="} ${value}`,
    ),
    "Bounds",
    ...variables.map(({ most }, index) => `0 <= x${index} <= ${most}`),
    "General",
    ...variables.map((_, index) => `x${index}`),
    "End",
  ].join("\n");
}
