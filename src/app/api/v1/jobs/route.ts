import { OpenJobRequest } from "@/server/api/contract";
import { openJob } from "@/server/jobs/open-job";
import { services } from "@/server/services";
import { problem, readBody } from "../../edge";

export async function POST(request: Request): Promise<Response> {
  const body = await readBody(request, OpenJobRequest);
  if (!body.ok) return body.error;
  const opened = openJob(services(), body.value);
  return opened.ok
    ? Response.json({ id: opened.value.id }, { status: 201 })
    : problem(422, "The job cannot be opened", opened.error);
}
