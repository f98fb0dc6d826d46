import { err, ok } from "@/core/result";
import { ADD_EVENTS } from "@/edge/contracts/jobs";
import { refusal } from "@/edge/problem";
import { route } from "@/edge/route";
import { namesOn } from "@/server/access/sessions";
import { appendEvents } from "@/server/jobs/append-events";
import type { AppendFailure } from "@/server/jobs/take-in-hand";

const STATUS: Record<AppendFailure["kind"], readonly [number, string]> = {
  "unknown-job": [404, "No such job"],
  unreadable: [422, "Not valid"],
  "not-signed-in": [401, "Sign in first"],
  refused: [409, "The job does not allow this"],
  tampered: [409, "The log was changed"],
};

export const POST = route(ADD_EVENTS, async ({ params: { id }, body, entered, services }) => {
  const signedIn = entered && namesOn(services, entered.device);
  const log = await appendEvents(services, id, body.events, { signedIn, settles: body.settles });
  if (log.ok) {
    const sent = new Set(body.events.map((event) => (event as { id?: unknown }).id));
    return ok({ entries: log.value.length, stored: log.value.filter(({ event }) => sent.has(event.id)) });
  }
  const [status, title] = STATUS[log.error.kind];
  return err(refusal(status, title, log.error.problems));
});
