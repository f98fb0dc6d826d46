import type { JobInputs, SealedEvent } from "@/core/formats";
import type { Run } from "@/core/job";
import type { UnitSystem } from "@/core/quantity";
import { ok, type Result } from "@/core/result";
import type { Services } from "../services";
import { jobAt, jobInHand } from "./append-events";

/** A job to be looked at: as it stands, and what speaks against relying on it. */
export interface ReadJob {
  readonly inputs: JobInputs;
  readonly events: readonly SealedEvent[];
  readonly run: Result<Run, string>;
  readonly doubt: string | undefined;
}

/**
 * Reads a job, verified against its anchor; verified once for as long as nobody else writes to the file.
 *
 * @param system the units its texts are wanted in
 */
export function readJob(services: Services, id: string, system: UnitSystem = "metric"): ReadJob | undefined {
  const inHand = jobInHand(services, id);
  if (inHand.ok) {
    const { inputs, events, run } = inHand.value;
    const read = run.system === system ? ok(run) : jobAt(inHand.value, system);
    return { inputs, events, run: read, doubt: undefined };
  }
  const stored = services.jobs.find(id);
  if (stored === undefined) return undefined;
  const doubt = inHand.error.kind === "tampered" ? inHand.error.problems[0]?.message : undefined;
  return { inputs: stored.inputs, events: stored.events, run: jobAt(stored, system), doubt };
}
