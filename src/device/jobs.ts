import type { JobEvent } from "@/core/formats";
import { call } from "@/edge/client";
import { GET_JOB } from "@/edge/contracts/jobs";
import type { KeptJob, KeptLog } from "./kept";
import type { DeviceStore } from "./store";

/** Whether a log has all that another one has: logs only grow, so one that lacks something was asked for earlier. */
function hasAllOf(log: readonly JobEvent[], other: readonly JobEvent[]): boolean {
  const ids = new Set(log.map(({ id }) => id));
  return other.every(({ id }) => ids.has(id));
}

/** A job as a page of this device opens it. */
export interface JobHere extends KeptJob {
  readonly stored: readonly JobEvent[];
  readonly heard: number;
}

/** A job that is open on this device, with what the server said of it; what was heard before is not forgotten. */
export async function keepJob(store: DeviceStore, { stored, heard, ...job }: JobHere): Promise<void> {
  const { valve, reason, openedAt } = job.inputs;
  await store.transaction("rw", store.jobs, store.logs, async () => {
    const known = await store.logs.get(job.id);
    const log = known === undefined || hasAllOf(stored, known.stored) ? stored : known.stored;
    await store.logs.put({
      ...known,
      id: job.id,
      tag: valve.tag,
      name: valve.name,
      says: reason.says,
      openedAt,
      stored: log,
      heard,
    });
    await store.jobs.put({ ...(await store.jobs.get(job.id)), ...job });
  });
}

/** What the server has of its log now; an answer that is older than what is known meanwhile is passed over. */
export async function heardLog(
  store: DeviceStore,
  job: string,
  log: readonly JobEvent[],
  heard: number,
): Promise<void> {
  await store.transaction("rw", store.logs, async () => {
    const known = await store.logs.get(job);
    if (known !== undefined && hasAllOf(log, known.stored))
      await store.logs.update(job, { stored: log, heard });
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

/** Ids of jobs of which something lies here that the server does not have. */
async function unsentJobs(store: DeviceStore): Promise<ReadonlySet<string>> {
  const [entries, photos, begun] = await Promise.all([
    store.entries.orderBy("[job+state]").uniqueKeys() as unknown as Promise<[string, string][]>,
    store.photos.toCollection().primaryKeys() as Promise<[string, string][]>,
    store.begun.toCollection().primaryKeys(),
  ]);
  return new Set([...[...entries, ...photos].map(([job]) => job), ...begun]);
}

/** Lets go of jobs on this device that the server has whole; of no other. */
export async function letGoOfJobs(store: DeviceStore, which: (log: KeptLog) => boolean): Promise<void> {
  const unsent = await unsentJobs(store);
  const ids = (await store.logs.toArray()).flatMap((log) =>
    !unsent.has(log.id) && which(log) ? [log.id] : [],
  );
  await store.transaction("rw", store.jobs, store.logs, store.recordings, async () => {
    await store.jobs.bulkDelete(ids);
    await store.logs.bulkDelete(ids);
    await store.recordings.where("job").anyOf(ids).delete();
  });
}

/** A job that is closed is looked at for some days; one that nobody opened for longer is let go. */
const CLOSED_MS = 7 * 86_400_000;
const FORGOTTEN_MS = 60 * 86_400_000;

const CLOSES: ReadonlySet<JobEvent["kind"]> = new Set(["signed-off", "given-up"]);

/** Jobs do not pile up on a device: each is a few hundred kilobytes. */
export const tidy = (store: DeviceStore, now: number): Promise<void> =>
  letGoOfJobs(store, ({ stored, heard }) => {
    const closed = stored.some(({ kind }) => CLOSES.has(kind));
    return now - heard > (closed ? CLOSED_MS : FORGOTTEN_MS);
  });

/** A job as it lies here: what the server has of its log, and after it what waits. */
export interface LyingJob {
  readonly job: KeptJob;
  readonly log: readonly JobEvent[];
}

/** Jobs on this device that nobody closed: all of them, or those of which the server has not heard everything. */
export async function jobsHere(store: DeviceStore, which: "all" | "unsent"): Promise<readonly LyingJob[]> {
  const [entries, begun] = await Promise.all([
    store.entries.where({ state: "waiting" }).toArray(),
    store.begun.toCollection().primaryKeys(),
  ]);
  const unsent = [...new Set([...entries.map(({ job }) => job), ...begun])];
  const ids = which === "all" ? await store.logs.toCollection().primaryKeys() : unsent;
  const [jobs, logs] = await Promise.all([store.jobs.bulkGet(ids), store.logs.bulkGet(ids)]);
  return jobs.flatMap((job, index) => {
    const stored = logs[index]?.stored ?? [];
    const there = new Set(stored.map(({ id }) => id));
    const waiting = entries.flatMap(({ job: of, event }) =>
      of === job?.id && !there.has(event.id) ? [event] : [],
    );
    const log = [...stored, ...waiting];
    return job === undefined || log.some(({ kind }) => CLOSES.has(kind)) ? [] : [{ job, log }];
  });
}
