import { checkSheet, planRebuild, planStrip, spoiledBy } from "@/core/build";
import { PLAN_QUESTION } from "@/core/formats";
import { speaker, stripMessage } from "@/words";
import { readTask } from "./read-task";
import type { TaskResult } from "./tasks";

export function planTask(body: Uint8Array): TaskResult {
  const read = readTask(body, PLAN_QUESTION);
  if (!read.ok) return read.error;
  const { sheet, ...demand } = read.value;
  const refused = (title: string, problems: readonly { path: string; message: string }[]): TaskResult => ({
    ok: false,
    status: 422,
    title,
    problems,
  });
  const problems = checkSheet(sheet);
  if (problems.length > 0)
    return refused(
      "The sheet is not valid",
      problems.map((each) => ({ path: `/sheet${each.path}`, message: each.message })),
    );
  if (demand.build !== undefined && !sheet.builds.some((build) => build.id === demand.build))
    return refused("Not valid", [{ path: "/build", message: `This sheet has no build "${demand.build}".` }]);
  const plan = planStrip(sheet, demand);
  if (!plan.ok)
    return refused("The part cannot be reached", [
      { path: "/reach", message: stripMessage(speaker(), plan.error, sheet) },
    ]);
  return {
    ok: true,
    value: {
      ...plan.value,
      rebuild: planRebuild(sheet, plan.value.moves),
      spoiled: [...spoiledBy(sheet, plan.value.moves, demand.build)].map(([part, why]) => ({ part, why })),
    },
  };
}
