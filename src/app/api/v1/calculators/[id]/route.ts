import { CALCULATORS, calculate, calculatorNamed } from "@/core/calculators";
import { CalculateRequest } from "@/server/api/contract";
import { problem, readBody } from "../../../edge";

export async function POST(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const { id } = await params;
  const calculator = calculatorNamed(id);
  if (calculator === undefined)
    return problem(404, "No such calculator", [
      {
        path: "",
        message: `There is no calculator "${id}". There are: ${CALCULATORS.map((each) => each.id).join(", ")}.`,
      },
    ]);
  const body = await readBody(request, CalculateRequest);
  if (!body.ok) return body.error;
  const answer = calculate(calculator, body.value.inputs, body.value.system);
  return answer.ok ? Response.json(answer.value) : problem(422, "Not valid", answer.error);
}
