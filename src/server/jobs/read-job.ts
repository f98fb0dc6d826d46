import type { StripFailure } from "@/core/build";
import type { JobInputs, SealedEvent } from "@/core/formats";
import type { Run } from "@/core/job";
import { ok, type Result } from "@/core/result";
import type { Services } from "../services";
import { jobAt, jobInHand } from "./take-in-hand";

/** A job to be looked at: as it stands, and what speaks against relying on it. */
export interface ReadJob {
  readonly inputs: JobInputs;
  readonly events: readonly SealedEvent[];
  readonly run: Result<Run, StripFailure>;
  readonly doubt: string | undefined;
}

/** Reads a job, verified against its anchor; verified once for as long as nobody else writes to the file. */
export function readJob(services: Services, id: string): ReadJob | undefined {
  const inHand = jobInHand(services, id);
  if (inHand.ok) {
    const { inputs, events, run } = inHand.value;
    return { inputs, events, run: ok(run), doubt: undefined };
  }
  const stored = services.jobs.find(id);
  if (stored === undefined) return undefined;
  const doubt = inHand.error.kind === "tampered" ? inHand.error.problems[0]?.message : undefined;
  return { inputs: stored.inputs, events: stored.events, run: jobAt(stored), doubt };
}
