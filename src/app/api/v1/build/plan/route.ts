import { checkSheet, planRebuild, planStrip, spoiledBy, stripMessage } from "@/core/build";
import { PlanRequest } from "@/server/api/contract";
import { problem, readBody } from "../../../edge";

export async function POST(request: Request): Promise<Response> {
  const body = await readBody(request, PlanRequest);
  if (!body.ok) return body.error;
  const { sheet, ...demand } = body.value;
  const problems = checkSheet(sheet);
  if (problems.length > 0)
    return problem(
      422,
      "The sheet is not valid",
      problems.map((each) => ({ path: `/sheet${each.path}`, message: each.message })),
    );
  if (demand.build !== undefined && !sheet.builds.some((build) => build.id === demand.build))
    return problem(422, "Not valid", [
      { path: "/build", message: `This sheet has no build "${demand.build}".` },
    ]);
  const plan = planStrip(sheet, demand);
  if (!plan.ok)
    return problem(422, "The part cannot be reached", [
      { path: "/reach", message: stripMessage(plan.error, sheet) },
    ]);
  return Response.json({
    ...plan.value,
    rebuild: planRebuild(sheet, plan.value.moves),
    spoiled: [...spoiledBy(sheet, plan.value.moves)].map(([part, why]) => ({ part, why })),
  });
}
