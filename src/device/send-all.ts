import type { JobEvent } from "@/core/formats";
import { call } from "@/edge/client";
import { GET_JOB, OPEN_JOB } from "@/edge/contracts/jobs";
import { sendActs } from "./acts";
import { outboxOf } from "./entries";
import { heardLog, hearLog } from "./jobs";
import { sendPhotos } from "./photos";
import { MOST_AT_ONCE, PATIENCE_MS, sendEntries } from "./send-entries";
import type { DeviceStore } from "./store";

/** How a round of sending ended. */
export type Round =
  | { readonly kind: "all-there" }
  | { readonly kind: "no-signal" }
  /** The server answers, but not to store. */
  | { readonly kind: "cannot-store"; readonly why: string }
  /** The session of this device has ended, or nobody of the crew holds it. */
  | { readonly kind: "nobody"; readonly why: string };

/** Why a round cannot go on. */
type Halt = Exclude<Round, { kind: "all-there" }>;

export interface Sending {
  readonly store: DeviceStore;
  readonly now: () => number;
  /** What is said of a refusal that gives no reason. */
  readonly unsaid: string;
  readonly post?: typeof fetch;
}

/** Entries that go in one piece: fewer when the line was cut, more when it held. */
let piece = 64;

/**
 * Sends all that waits on this device, job by job in the order it was made: a new job before its entries, entries
 * before the photographs they speak of. What was sent is taken off at once, so a line that is cut costs one piece.
 */
export async function sendAll(sending: Sending): Promise<Round> {
  for (const job of await jobsWaiting(sending.store)) {
    const halt =
      (await openFirst(sending, job)) ?? (await sendLog(sending, job)) ?? (await sendPictures(sending, job));
    if (halt !== undefined) return halt;
  }
  const halt = await sendActs(sending.store, sending.post);
  if (halt?.kind === "cannot-store")
    return { kind: "cannot-store", why: halt.problems[0]?.message ?? sending.unsaid };
  return halt === undefined ? { kind: "all-there" } : halt.kind === "nobody" ? halt : { kind: "no-signal" };
}

/** Jobs something waits of, those first whose oldest entry is the oldest. */
async function jobsWaiting(store: DeviceStore): Promise<readonly string[]> {
  const pairs = (await store.entries.orderBy("[job+state]").uniqueKeys()) as unknown as [string, string][];
  const oldest = await Promise.all(
    pairs
      .filter(([, state]) => state === "waiting")
      .map(async ([job]) => ({
        job,
        order: (await store.entries.where({ job, state: "waiting" }).first())?.order ?? 0,
      })),
  );
  const opened = await store.begun.toCollection().primaryKeys();
  const pictured = ((await store.photos.toCollection().primaryKeys()) as [string, string][]).map(
    ([job]) => job,
  );
  return [
    ...new Set([...oldest.sort((a, b) => a.order - b.order).map(({ job }) => job), ...opened, ...pictured]),
  ];
}

/** A job that was begun without signal has to be there before its entries are. */
async function openFirst(
  { store, unsaid, post = fetch, now }: Sending,
  job: string,
): Promise<Halt | undefined> {
  if ((await store.begun.get(job)) === undefined) return undefined;
  const known = await store.jobs.get(job);
  if (known?.opening === undefined) return undefined;
  const answer = await call(
    OPEN_JOB,
    { body: known.opening, signal: AbortSignal.timeout(PATIENCE_MS) },
    post,
  );
  if (answer.ok) {
    const { meanwhile = [] } = answer.value;
    await store.transaction("rw", store.jobs, store.logs, store.begun, async () => {
      await store.begun.delete(job);
      await store.jobs.update(job, { opening: undefined });
      await store.logs.update(job, { heard: now(), meanwhile });
    });
    // It was opened there before, and its answer was lost: the job goes by what stands there.
    const there = await call(GET_JOB, { params: { id: job } }, post);
    const inputs = there.ok ? there.value.inputs : known.inputs;
    if (inputs.openedAt !== known.inputs.openedAt) {
      await store.jobs.update(job, { inputs });
      await store.logs.update(job, { openedAt: inputs.openedAt });
    }
    return undefined;
  }
  const { error } = answer;
  const why = error.problems[0]?.message ?? unsaid;
  if (error.kind === "no-signal") return { kind: "no-signal" };
  if (error.kind === "cannot-store") return { kind: "cannot-store", why };
  if (error.status === 401 || error.status === 403) return { kind: "nobody", why };
  await store.begun.update(job, { refused: why });
  return undefined;
}

async function sendLog(sending: Sending, job: string): Promise<Halt | undefined> {
  const { store, unsaid, post = fetch, now } = sending;
  const box = outboxOf(store, job);
  // A job that is not taken keeps its entries with it.
  if ((await store.begun.get(job)) !== undefined) return undefined;
  for (;;) {
    const waiting = await box.waiting(piece);
    if (waiting.length === 0) return undefined;
    const sent = await sendEntries(job, waiting, unsaid, post);
    switch (sent.kind) {
      case "no-signal":
        piece = Math.max(4, Math.floor(piece / 2));
        return { kind: "no-signal" };
      case "cannot-store":
      case "nobody":
        return { kind: sent.kind, why: sent.why };
      case "no-such-job":
        for (const event of await box.waiting()) await box.refuse({ event, why: sent.why });
        return undefined;
      case "stored":
        piece = Math.min(MOST_AT_ONCE, piece * 2);
        await took(sending, job, sent.events, sent.entries);
        break;
      case "refused":
        // The server's log is the truth: somebody else went on meanwhile. What it did not take is put aside, not lost;
        // what came after is judged on its own.
        await box.refuse({ event: sent.event, why: sent.why });
        await hearLog(store, job, now(), post);
    }
  }
}

/** The server has these: they lie in its log as it has them, and wait no more. */
async function took(
  { store, now, post = fetch }: Sending,
  job: string,
  events: readonly JobEvent[],
  entries: number,
): Promise<void> {
  const ids = events.map(({ id }) => id);
  const complete = await store.transaction("rw", store.logs, store.entries, async () => {
    const known = await store.logs.get(job);
    const there = new Set(known?.stored.map(({ id }) => id));
    const log = [...(known?.stored ?? []), ...events.filter(({ id }) => !there.has(id))];
    if (known !== undefined) await heardLog(store, job, log, now());
    await outboxOf(store, job).drop(ids);
    return known === undefined || log.length === entries;
  });
  // Somebody else's lie between them.
  if (!complete) await hearLog(store, job, now(), post);
}

async function sendPictures({ store, post = fetch }: Sending, job: string): Promise<Halt | undefined> {
  return (await sendPhotos(store, job, post)) ? undefined : { kind: "no-signal" };
}
