"use client";

import { useLiveQuery } from "dexie-react-hooks";
import type { Begun, KeptAct, KeptEntry, KeptLog } from "@/device/kept";
import { deviceStore } from "@/device/store";

/** What of one job lies on this device and not on the server. */
export interface JobWaiting {
  readonly id: string;
  readonly log: KeptLog | undefined;
  readonly begun: Begun | undefined;
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
    // Keys alone: this is asked after each tap.
    const [entries, photos, begun, acts] = await Promise.all([
      store.entries.orderBy("[job+state]").keys() as unknown as Promise<
        readonly [string, KeptEntry["state"]][]
      >,
      store.photos.toCollection().primaryKeys() as Promise<readonly [string, string][]>,
      store.begun.toArray(),
      store.acts.toArray(),
    ]);
    const ids = [
      ...new Set([
        ...begun.map(({ id }) => id),
        ...entries.map(([job]) => job),
        ...photos.map(([job]) => job),
      ]),
    ];
    const logs = await store.logs.bulkGet(ids);
    const inState = (id: string, state: KeptEntry["state"]) =>
      entries.filter(([job, is]) => job === id && is === state).length;
    const jobs = ids.map(
      (id, index): JobWaiting => ({
        id,
        log: logs[index],
        begun: begun.find((each) => each.id === id),
        entries: inState(id, "waiting"),
        photos: photos.filter(([of]) => of === id).length,
        aside: inState(id, "refused"),
      }),
    );
    const asked = (state: KeptAct["state"]) => acts.filter((each) => each.state === state).length;
    const sum = (of: (each: JobWaiting) => number) => jobs.reduce((all, each) => all + of(each), 0);
    return {
      waiting:
        sum((each) => each.entries + each.photos + (each.begun === undefined ? 0 : 1)) + asked("waiting"),
      aside: sum((each) => each.aside + (each.begun?.refused === undefined ? 0 : 1)) + asked("refused"),
      jobs,
      acts,
    };
  }, []);
}
