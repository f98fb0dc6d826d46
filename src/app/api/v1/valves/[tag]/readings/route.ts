import { KeepRequest } from "@/server/api/contract";
import { keepResult } from "@/server/bench/keep-result";
import { services } from "@/server/services";
import { problem, readBody } from "../../../../edge";

type Params = { params: Promise<{ tag: string }> };

/** Every reading of a valve, oldest first. */
export async function GET(_request: Request, { params }: Params): Promise<Response> {
  const { tag } = await params;
  const { library } = services();
  return library.valve(tag) === undefined
    ? problem(404, "No such valve", [{ path: "", message: `There is no valve "${tag}" in the register.` }])
    : Response.json({ readings: library.readings(tag) });
}

/** Keeps a result of the bench book with the valve. */
export async function POST(request: Request, { params }: Params): Promise<Response> {
  const body = await readBody(request, KeepRequest);
  if (!body.ok) return body.error;
  const kept = keepResult(services(), (await params).tag, body.value);
  if (kept.ok) return Response.json(kept.value, { status: 201 });
  return kept.error.kind === "unknown-valve"
    ? problem(404, "No such valve", kept.error.problems)
    : problem(422, "Not valid", kept.error.problems);
}
