import type { JobEvent } from "@/core/formats";
import { call } from "@/edge/client";
import { clockAhead, corrected } from "@/edge/clock";
import { ADD_EVENTS } from "@/edge/contracts/jobs";

/** Most entries the server takes at once. */
export const MOST_AT_ONCE = 500;
/** An answer that has not come by then does not come: the line is cut, whatever the device believes. */
export const PATIENCE_MS = 30_000;

export type Sent =
  /** As the server has them: an entry made under a wrong clock was put right. */
  | { readonly kind: "stored"; readonly events: readonly JobEvent[]; readonly entries: number }
  | { readonly kind: "no-signal" }
  | { readonly kind: "cannot-store"; readonly why: string }
  /** Nobody of the crew holds this device: the entries wait until somebody is chosen. */
  | { readonly kind: "nobody"; readonly why: string }
  /** The server does not know the job. */
  | { readonly kind: "no-such-job"; readonly why: string }
  /** This entry was not taken; those after it have not been looked at yet. */
  | { readonly kind: "refused"; readonly event: JobEvent; readonly why: string };

/**
 * Sends a batch. Sending twice is harmless: the server knows each entry by its id. What is refused for its date while
 * this device's clock is known to be wrong is put right by what was measured, marked, and sent again.
 *
 * @param unsaid what is said of a refusal that gives no reason
 */
export async function sendEntries(
  job: string,
  waiting: readonly JobEvent[],
  unsaid: string,
  post: typeof fetch = fetch,
): Promise<Sent> {
  const batch = waiting.slice(0, MOST_AT_ONCE);
  const sent = await sendBatch(job, batch, unsaid, post);
  if (sent.kind !== "misdated") return sent;
  const ahead = clockAhead();
  const again = await sendBatch(
    job,
    batch.map((event) => corrected(event, ahead)),
    unsaid,
    post,
  );
  return again.kind === "misdated" ? { ...again, kind: "refused" } : again;
}

async function sendBatch(
  job: string,
  batch: readonly JobEvent[],
  unsaid: string,
  post: typeof fetch,
): Promise<Sent | (Omit<Extract<Sent, { kind: "refused" }>, "kind"> & { readonly kind: "misdated" })> {
  const answer = await call(
    ADD_EVENTS,
    {
      params: { id: job },
      body: { events: [...batch], settles: true },
      signal: AbortSignal.timeout(PATIENCE_MS),
    },
    post,
  );
  if (answer.ok) {
    const { stored, entries } = answer.value;
    const there = new Map(stored.map(({ event }) => [event.id, event]));
    return { kind: "stored", events: batch.map((event) => there.get(event.id) ?? event), entries };
  }
  const { kind, problems } = answer.error;
  const [first] = problems;
  const why = first?.message ?? unsaid;
  if (kind === "no-signal") return { kind };
  if (kind === "cannot-store") return { kind, why };
  const { status } = answer.error;
  // Whose session has ended, or who may not: neither speaks against the entry.
  if (status === 401 || status === 403) return { kind: "nobody", why };
  if (status === 404) return { kind: "no-such-job", why };
  const [, index, field] = /^\/events\/(\d+)(\/\w+)?/.exec(first?.path ?? "") ?? [];
  const event = batch[Number(index ?? 0)] ?? batch[0]!;
  const misdated = field === "/at" && clockAhead() !== 0 && event.off_s === undefined;
  return { kind: misdated ? "misdated" : "refused", event, why };
}
