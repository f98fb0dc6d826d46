import { Dexie } from "dexie";
import type { JobEvent } from "@/core/formats";
import type { KeptEntry } from "./kept";
import type { DeviceStore } from "./store";

/** An entry that the server did not take, and why. */
export interface Refused {
  readonly event: JobEvent;
  readonly why: string;
}

/** In the order they were kept, which is that of their key. */
const inState = (
  store: DeviceStore,
  job: string,
  state: KeptEntry["state"],
  most = Number.POSITIVE_INFINITY,
): Promise<KeptEntry[]> => store.entries.where({ job, state }).limit(most).toArray();

/** Entries of one job on this device: those the server does not have yet, and those it did not take. */
export const outboxOf = (store: DeviceStore, job: string) => ({
  /** On the disk when it answers; an entry that lies here already stays as it is. */
  keep: async (event: JobEvent): Promise<void> => {
    await store.entries.add({ job, id: event.id, event, state: "waiting" }).catch((fault: unknown) => {
      if (!(fault instanceof Dexie.ConstraintError)) throw fault;
    });
  },

  /** What waits for the server, in the order it was made. */
  waiting: async (most?: number): Promise<JobEvent[]> =>
    (await inState(store, job, "waiting", most)).map(({ event }) => event),

  /** The server has these. */
  drop: async (ids: readonly string[]): Promise<void> => {
    await store.entries
      .where("[job+id]")
      .anyOf(ids.map((id) => [job, id]))
      .delete();
  },

  /** Puts an entry aside that the server did not take: it is lost only when somebody lets it go. */
  refuse: async ({ event, why }: Refused): Promise<void> => {
    await store.transaction("rw", store.entries, async () => {
      await store.entries.where({ job, id: event.id }).delete();
      await store.entries.add({ job, id: event.id, event, state: "refused", why });
    });
  },

  refused: async (): Promise<Refused[]> =>
    (await inState(store, job, "refused")).map(({ event, why = "" }) => ({ event, why })),

  letGo: async (ids: readonly string[]): Promise<void> => {
    await store.entries
      .where("[job+id]")
      .anyOf(ids.map((id) => [job, id]))
      .and(({ state }) => state === "refused")
      .delete();
  },
});
