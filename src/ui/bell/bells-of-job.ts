import { jobBells, run } from "@/core/job";
import type { LyingJob } from "@/device/jobs";
import { bellWords, type Speaker, type SpokenBell } from "@/words";

/** What a job that lies on this device rings, by all that was entered in it here. */
export function bellsOfJob(speaker: Speaker, { job, log }: LyingJob): SpokenBell[] {
  const made = run(job.inputs, log);
  return made.ok ? jobBells(made.value).map((bell) => bellWords(speaker, bell)) : [];
}
