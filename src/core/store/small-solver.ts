import { solve } from "yalps";
import type { IntegerAnswer, IntegerProgram, IntegerSolver } from "./integer-program";

/** Branches that are looked at before it gives up proving: some tens of milliseconds on a phone. */
const MOST_BRANCHES = 1000;

/**
 * Branch and cut for a device: it answers at once and without signal what a sheet's kits ask. What it cannot prove
 * within its branches it says.
 */
export const smallSolver: IntegerSolver = (program: IntegerProgram): IntegerAnswer | undefined => {
  const columns = program.variables.map(({ cost }) => new Map([["cost", cost]]));
  const constraints = new Map<string, { min: number } | { max: number }>();
  program.rows.forEach(({ terms, bound, value }, index) => {
    constraints.set(`r${index}`, bound === "at-least" ? { min: value } : { max: value });
    for (const [variable, coefficient] of terms) columns[variable]?.set(`r${index}`, coefficient);
  });
  program.variables.forEach(({ most, limited }, index) => {
    if (!limited) return;
    constraints.set(`v${index}`, { max: most });
    columns[index]?.set(`v${index}`, 1);
  });
  const { status, variables } = solve(
    {
      direction: "minimize",
      objective: "cost",
      constraints,
      variables: columns.map((column, index) => [`${index}`, column] as const),
      integers: true,
    },
    { maxIterations: MOST_BRANCHES, timeout: Number.POSITIVE_INFINITY },
  );
  const found = status === "optimal" || (status === "timedout" && variables.length > 0);
  if (!found) return undefined;
  const values = program.variables.map(() => 0);
  for (const [name, value] of variables) values[Number(name)] = Math.round(value);
  return { values, proven: status === "optimal" };
};
