import { checkSheet } from "@/core/build";
import { SheetSchema } from "@/core/formats";
import { problem, readBody } from "../../../edge";

export async function POST(request: Request): Promise<Response> {
  const body = await readBody(request, SheetSchema);
  if (!body.ok) return body.error;
  const problems = checkSheet(body.value);
  if (problems.length > 0) return problem(422, "The sheet is not valid", problems);
  const { parts, checks, kits } = body.value;
  return Response.json({ valid: true, parts: parts.length, checks: checks.length, kits: kits.length });
}
