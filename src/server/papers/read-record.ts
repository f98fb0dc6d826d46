import { type JobRecord, jobRecord, type Run } from "@/core/job";
import type { Standing } from "@/words";
import { type ReadJob, readJob } from "../jobs/read-job";
import { proofOf } from "../proof/prove";
import { doubtOfReadings } from "../proof/verify";
import { atOneMoment, type Services } from "../services";

/** A job to be told on paper: what was done, and how far it can be relied on. */
export interface ReadRecord {
  readonly stored: ReadJob;
  /** Its run and record; none where it cannot be compiled. */
  readonly told?: { readonly job: Run; readonly record: JobRecord; readonly standing: Standing };
  /** The name of the house. */
  readonly house: string | undefined;
}

export function readRecord(all: Services, id: string): ReadRecord | undefined {
  const [stored, proof] = atOneMoment(all, () => [readJob(all, id), proofOf(all, id)] as const);
  if (stored === undefined) return undefined;
  const house = all.things.one("house", "house")?.name;
  const { run, inputs, events } = stored;
  if (!run.ok) return { stored, house };
  const { origin, doubt: foreign } = all.jobs.provenance(id);
  const doubt = stored.doubt ?? doubtOfReadings(all, inputs.valve.tag)?.message;
  const standing = { job: run.value, entries: events.length, doubt, origin, foreign, proof };
  return { stored, house, told: { job: run.value, record: jobRecord(run.value, events), standing } };
}
