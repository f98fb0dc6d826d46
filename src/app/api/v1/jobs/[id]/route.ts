import type { JobDocument } from "@/core/formats";
import { services } from "@/server/services";
import { problem } from "../../../edge";

export async function GET(
  _request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const job = services().jobs.find((await params).id);
  if (job === undefined)
    return problem(404, "No such job", [{ path: "", message: "There is no such job here." }]);
  const document: JobDocument = {
    format: "loftbell.job",
    version: 1,
    inputs: job.inputs,
    events: [...job.events],
  };
  return Response.json(document, {
    headers: {
      "content-disposition": `attachment; filename="${job.inputs.valve.tag}-${job.inputs.id}.job.json"`,
    },
  });
}
