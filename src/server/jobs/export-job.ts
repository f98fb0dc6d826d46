import type { JobDocument } from "@/core/formats";
import { proofOf } from "../proof/prove";
import type { Services } from "../services";

/** A job as it travels: what it began with, its log, and the anchor that signs for it. */
export function exportJob(services: Services, id: string): JobDocument | undefined {
  const stored = services.jobs.find(id);
  if (stored === undefined) return undefined;
  const proof = proofOf(services, id);
  return {
    format: "loftbell.job",
    version: 1,
    inputs: stored.inputs,
    events: [...stored.events],
    ...(proof !== undefined && { proof }),
  };
}
