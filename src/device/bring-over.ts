import { Dexie, type DexieOptions, type EntityTable, type Table } from "dexie";
import { type JobEvent, readJson } from "@/core/formats";
import type { KeptAct, KeptEntry, KeptPhoto } from "./kept";

/** Where it is brought to. */
interface Into {
  readonly entries: Pick<EntityTable<KeptEntry, "order">, "add">;
  readonly acts: Pick<EntityTable<KeptAct, "id">, "put">;
  readonly photos: Pick<Table<KeptPhoto>, "bulkPut">;
}

/** Under these lay the entries of a job up to version 0.20, one key an entry: `prefix`, job, `/`, id. */
const ENTRIES = { waiting: "loftbell.outbox.", refused: "loftbell.refused." } as const;
const PHOTOS = "loftbell-photos";

interface Found {
  readonly key: string;
  readonly order: number;
  readonly entry: Omit<KeptEntry, "order">;
}

/** Brings over what an older program kept on this device; what lay there is taken away only when it lies here. */
export async function bringOver(store: Into, options: DexieOptions): Promise<void> {
  const found = entriesIn(typeof localStorage === "undefined" ? undefined : localStorage);
  for (const { key, entry } of found) {
    await store.entries.add(entry).catch((fault: unknown) => {
      // Another page of this device was quicker.
      if (!(fault instanceof Dexie.ConstraintError)) throw fault;
    });
    localStorage.removeItem(key);
  }
  await casesInto(store);
  await photosInto(store, options);
}

/** Under it lay cases that had come to their end without signal. */
const CASES = "loftbell.cases.waiting";

async function casesInto(store: Into): Promise<void> {
  const text = typeof localStorage === "undefined" ? null : localStorage.getItem(CASES);
  if (text === null) return;
  const read = readJson(text);
  const cases = read.ok && Array.isArray(read.value) ? (read.value as OldCase[]) : [];
  for (const body of cases)
    await store.acts.put({
      id: body.id,
      act: "keepCase",
      params: undefined,
      body,
      says: `${body.valve}: ${body.says}`,
      at: Date.parse(body.at ?? "") || 0,
      state: "waiting",
    });
  localStorage.removeItem(CASES);
}

interface OldCase {
  readonly id: string;
  readonly valve: string;
  readonly says: string;
  readonly at?: string;
}

/** What waits and what was refused, each in the order it was made. */
function entriesIn(shelf: Storage | undefined): Found[] {
  return Object.entries(ENTRIES)
    .flatMap(([state, prefix]) =>
      keysOf(shelf, prefix).flatMap((key) => {
        const job = key.slice(prefix.length, key.lastIndexOf("/"));
        const kept = readKept(shelf?.getItem(key));
        if (kept === undefined) return [];
        const { order, event, why } = kept;
        return [
          {
            key,
            order,
            entry: {
              job,
              id: event.id,
              event,
              state: state as keyof typeof ENTRIES,
              ...(why !== undefined && { why }),
            },
          },
        ];
      }),
    )
    .sort((a, b) => a.order - b.order);
}

const keysOf = (shelf: Storage | undefined, prefix: string): string[] =>
  Array.from({ length: shelf?.length ?? 0 }, (_, index) => shelf?.key(index) ?? "").filter((key) =>
    key.startsWith(prefix),
  );

function readKept(text: string | null | undefined) {
  try {
    const read = JSON.parse(text ?? "") as {
      readonly order: number;
      readonly event: JobEvent;
      readonly why?: string;
    };
    return typeof read.event?.id === "string" ? read : undefined;
  } catch {
    // Another program's text under our name is no entry.
    return undefined;
  }
}

async function photosInto(store: Into, options: DexieOptions): Promise<void> {
  const older = new Dexie(PHOTOS, options);
  try {
    await older.open();
  } catch (fault) {
    if (fault instanceof Dexie.NoSuchDatabaseError) return;
    throw fault;
  }
  const waiting = older.tables.find(({ name }) => name === "waiting");
  const kept = ((await waiting?.toArray()) ?? []) as KeptPhoto[];
  await store.photos.bulkPut(kept.filter(({ blob }) => blob instanceof Blob));
  await older.delete();
}
