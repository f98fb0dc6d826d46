"use client";

import { useLiveQuery } from "dexie-react-hooks";
import type { KeptAct, KeptJob } from "@/device/kept";
import { deviceStore } from "@/device/store";

/** What of one job lies on this device and not on the server. */
export interface JobWaiting {
  readonly id: string;
  readonly job: KeptJob | undefined;
  readonly entries: number;
  readonly photos: number;
  /** Entries that the server did not take. */
  readonly aside: number;
}

export interface KeptHere {
  readonly waiting: number;
  readonly aside: number;
  readonly jobs: readonly JobWaiting[];
  /** What else was asked without signal: readings, counts, cases, reports. */
  readonly acts: readonly KeptAct[];
}

/** What waits on this device, job by job; nothing until the device has said it. */
export function useKeptHere(): KeptHere | undefined {
  return useLiveQuery(async () => {
    const store = deviceStore();
    const [entries, photos, opening, acts] = await Promise.all([
      store.entries.toArray(),
      store.photos.toCollection().primaryKeys() as Promise<readonly [string, string][]>,
      store.jobs.filter((job) => job.opening !== undefined).toArray(),
      store.acts.toArray(),
    ]);
    const ids = [
      ...new Set([
        ...opening.map(({ id }) => id),
        ...entries.map(({ job }) => job),
        ...photos.map(([job]) => job),
      ]),
    ];
    const known = await store.jobs.bulkGet(ids);
    const jobs = ids.map((id, index): JobWaiting => {
      const job = known[index];
      return {
        id,
        job,
        entries: entries.filter((each) => each.job === id && each.state === "waiting").length,
        photos: photos.filter(([of]) => of === id).length,
        aside: entries.filter((each) => each.job === id && each.state === "refused").length,
      };
    });
    return {
      waiting: jobs.reduce(
        (sum, { entries: made, photos: taken, job }) =>
          sum + made + taken + (job?.opening === undefined ? 0 : 1),
        acts.filter(({ state }) => state === "waiting").length,
      ),
      aside: jobs.reduce(
        (sum, { aside, job }) => sum + aside + (job?.refused === undefined ? 0 : 1),
        acts.filter(({ state }) => state === "refused").length,
      ),
      jobs,
      acts,
    };
  }, []);
}
