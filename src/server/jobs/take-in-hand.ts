import type { StripFailure } from "@/core/build";
import { advance, type Run, run } from "@/core/job";
import { err, ok, type Problem, type Result } from "@/core/result";
import type { StoredJob } from "@/data";
import { speaker, stripMessage } from "@/words";
import { doubtOfJob } from "../proof/verify";
import { watched } from "../proof/watch";
import { atOneMoment, type Services } from "../services";
import type { JobInHand } from "./jobs-in-hand";

export type AppendFailure =
  | { readonly kind: "unknown-job"; readonly problems: readonly Problem[] }
  | { readonly kind: "unreadable"; readonly problems: readonly Problem[] }
  | { readonly kind: "tampered"; readonly problems: readonly Problem[] }
  /** It is by somebody who is not signed in on the device it comes from: it waits there. */
  | { readonly kind: "not-signed-in"; readonly problems: readonly Problem[] }
  /** The rules of the job say no; what came before in the batch was not stored either. */
  | { readonly kind: "refused"; readonly problems: readonly Problem[] };

/**
 * The job as it stands, verified and compiled. What is in hand is relied on as long as nobody else has written to the
 * file; only what was added since is verified then.
 */
export function jobInHand(services: Services, id: string): Result<JobInHand, AppendFailure> {
  watched(services);
  return atOneMoment(services, () => {
    const known = services.inHand.get(id);
    const head = services.jobs.head(id);
    const entries = head?.entries ?? 0;
    if (known === undefined || known.events.length > entries) return takeInHand(services, id);
    if (known.events.length < entries) return takeInHand(services, id, known);
    return known.head === (head?.hash ?? known.head) ? ok(known) : takeInHand(services, id);
  });
}

/** Reads, verifies and compiles a job; of one that was in hand before, what was added since. */
function takeInHand(services: Services, id: string, known?: JobInHand): Result<JobInHand, AppendFailure> {
  const { jobs, inHand, anchors } = services;
  const sound = known?.events.length ?? 0;
  const added = known && jobs.eventsAfter(id, sound);
  const stored = known ? { inputs: known.inputs, events: [...known.events, ...added!] } : jobs.find(id);
  if (stored === undefined)
    return err({ kind: "unknown-job", problems: [{ path: "", message: "There is no such job here." }] });
  const doubt = doubtOfJob(services, stored, undefined, sound);
  if (doubt !== undefined) return err({ kind: "tampered", problems: [{ path: "", message: doubt.message }] });
  const at = known ? advance(known.run, ...added!.map(({ event }) => event)) : jobAt(stored);
  if (!at.ok)
    return err({
      kind: "refused",
      problems: [{ path: "", message: stripMessage(speaker(), at.error, stored.inputs.sheet) }],
    });
  const made = { ...stored, run: at.value, head: anchors.head("job", id)!.head };
  inHand.keep(made);
  return ok(made);
}

/** A stored job as it stands. */
export const jobAt = ({ inputs, events }: Pick<StoredJob, "inputs" | "events">): Result<Run, StripFailure> =>
  run(
    inputs,
    events.map((each) => each.event),
  );
