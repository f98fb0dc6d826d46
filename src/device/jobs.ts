import type { JobEvent } from "@/core/formats";
import { call } from "@/edge/client";
import { GET_JOB } from "@/edge/contracts/jobs";
import type { KeptJob } from "./kept";
import type { DeviceStore } from "./store";

/** Whether a log has all that another one has: logs only grow, so one that lacks something was asked for earlier. */
function hasAllOf(log: readonly JobEvent[], other: readonly JobEvent[]): boolean {
  const ids = new Set(log.map(({ id }) => id));
  return other.every(({ id }) => ids.has(id));
}

/** A job that is open on this device, with what the server said of it; what was heard before is not forgotten. */
export async function keepJob(store: DeviceStore, job: KeptJob): Promise<void> {
  await store.transaction("rw", store.jobs, async () => {
    const known = await store.jobs.get(job.id);
    const stored = known === undefined || hasAllOf(job.stored, known.stored) ? job.stored : known.stored;
    await store.jobs.put({ ...known, ...job, stored });
  });
}

/** What the server has of its log now; an answer that is older than what is known meanwhile is passed over. */
export async function heardLog(
  store: DeviceStore,
  job: string,
  log: readonly JobEvent[],
  heard: number,
): Promise<void> {
  await store.transaction("rw", store.jobs, async () => {
    const known = await store.jobs.get(job);
    if (known !== undefined && hasAllOf(log, known.stored))
      await store.jobs.update(job, { stored: log, heard });
  });
}

/** Asks the server for the log, and keeps it. @returns whether it answered */
export async function hearLog(
  store: DeviceStore,
  job: string,
  now: number,
  post: typeof fetch = fetch,
): Promise<boolean> {
  const fresh = await call(GET_JOB, { params: { id: job } }, post);
  if (!fresh.ok) return false;
  await heardLog(
    store,
    job,
    fresh.value.events.map(({ event }) => event),
    now,
  );
  return true;
}
