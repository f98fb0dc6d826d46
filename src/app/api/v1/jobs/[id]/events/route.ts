import { type AppendFailure, appendEvents } from "@/server/jobs/append-events";
import { services } from "@/server/services";
import { problem, readJson } from "../../../../edge";

const STATUS: Record<AppendFailure["kind"], readonly [number, string]> = {
  "unknown-job": [404, "No such job"],
  unreadable: [422, "Not valid"],
  refused: [409, "The job does not allow this"],
  tampered: [409, "The log was changed"],
};

export async function POST(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const body = await readJson(request);
  if (!body.ok) return body.error;
  const events = (body.value as { events?: unknown } | null)?.events;
  const log = appendEvents(services(), (await params).id, events);
  if (log.ok) return Response.json({ events: log.value });
  const [status, title] = STATUS[log.error.kind];
  return problem(status, title, log.error.problems);
}
