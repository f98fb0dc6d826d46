import type { JobEvent, SealedEvent } from "@/core/formats";
import { advance, heldLinks, heldOn, PLANS_BESIDE_OTHERS, type Run, seal } from "@/core/job";
import type { Ledger } from "../proof/ledger";
import type { Services } from "../services";
import type { JobInHand } from "./jobs-in-hand";
import { heldShut } from "./open-job";
import { keepSummary } from "./summary";
import { jobInHand } from "./take-in-hand";

/**
 * What a job shut or opened is written into the logs of the other open jobs on its line: who is without service by it is
 * out for them, too, and they can neither test nor tell against it.
 *
 * @param by whose entry changed it
 * @returns the other jobs as they stand then, to be kept in hand once all is stored
 */
export function tellOthers(services: Services, ledger: Ledger, job: Run, by: string): JobInHand[] {
  const { inputs } = job;
  if (inputs.line === undefined) return [];
  const line = inputs.line.id;
  return services.summaries.open().flatMap((other) => {
    if (other.job === inputs.id || services.register.valve(other.valve)?.line !== line) return [];
    const found = jobInHand(services, other.job);
    // A job that cannot be read is said where it is opened; it stops nobody else's.
    return found.ok ? tellOf(services, ledger, found.value, by) : [];
  });
}

/** Writes into a job's log what others hold of its line, where its log knows otherwise. @returns it, as it stands then */
export function tellOf(services: Services, ledger: Ledger, there: JobInHand, by: string): JobInHand[] {
  const { inputs, events, run, head } = there;
  if (inputs.line === undefined || (inputs.rules ?? 1) < PLANS_BESIDE_OTHERS) return [];
  const held = heldLinks(heldOn(inputs.line, heldShut(services, inputs.line.id, inputs.id)));
  if (JSON.stringify(held) === JSON.stringify(heldLinks(run.progress.held))) return [];
  const at = new Date(services.now()).toISOString();
  const event: JobEvent = { v: 1, id: services.newId(), kind: "others-hold", at, by, held };
  const after = advance(run, event);
  if (!after.ok) return [];
  const sealed: SealedEvent = seal(event, events.length + 1, at, head);
  services.jobs.append(inputs.id, [sealed]);
  ledger.job(inputs.id, events.length + 1, sealed.seal.hash);
  const { origin, doubt } = services.jobs.provenance(inputs.id);
  keepSummary(services, after.value, { origin, ...(doubt !== undefined && { doubt }) });
  return [{ inputs, events: [...events, sealed], run: after.value, head: sealed.seal.hash }];
}
