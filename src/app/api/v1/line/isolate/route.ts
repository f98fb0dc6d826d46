import { alternatives, isolationMessage, planIsolation } from "@/core/isolation";
import { IsolateRequest } from "@/server/api/contract";
import { problem, readBody } from "../../../edge";

export async function POST(request: Request): Promise<Response> {
  const body = await readBody(request, IsolateRequest);
  if (!body.ok) return body.error;
  const { line, ...demand } = body.value;
  const plan = planIsolation(line, demand);
  if (plan.ok) return Response.json({ ...plan.value, alternatives: alternatives(line, demand, plan.value) });
  const failure = plan.error;
  if (failure.kind === "bad-line")
    return problem(
      422,
      "The line is not valid",
      failure.problems.map((each) => ({ path: `/line${each.path}`, message: each.message })),
    );
  const { kind, ...facts } = failure;
  return problem(422, "There is no isolation", [{ path: "/open", message: isolationMessage(failure) }], {
    kind,
    ...facts,
  });
}
