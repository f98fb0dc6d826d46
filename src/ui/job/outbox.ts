import type { JobEvent } from "@/core/formats";
import { call } from "@/edge/client";
import { clockAhead, corrected } from "@/edge/clock";
import { ADD_EVENTS } from "@/edge/contracts/jobs";

/** An entry that the server did not take, and why. */
export interface Refused {
  readonly event: JobEvent;
  readonly why: string;
}

/** What the browser keeps on the device; a test gives its own. */
type Shelf = Pick<Storage, "getItem" | "setItem" | "removeItem" | "key" | "length">;

/**
 * Entries of one job on this device: those the server does not have yet, and those it did not take. Each lies under a
 * key of its own, so that two pages open on one job never write over one another, and is written before it is shown.
 */
export class Outbox {
  readonly #waiting: string;
  readonly #refused: string;

  constructor(
    job: string,
    private readonly shelf: Shelf = localStorage,
  ) {
    this.#waiting = `loftbell.outbox.${job}/`;
    this.#refused = `loftbell.refused.${job}/`;
  }

  keep(event: JobEvent): void {
    this.shelf.setItem(this.#waiting + event.id, JSON.stringify({ order: this.#next(), event }));
  }

  /** What waits for the server, in the order it was made. */
  waiting(): JobEvent[] {
    return this.#all<{ order: number; event: JobEvent }>(this.#waiting)
      .sort((a, b) => a.order - b.order)
      .map((each) => each.event);
  }

  /** The server has these, or another page of this device took them off. */
  drop(ids: Iterable<string>): void {
    for (const id of ids) this.shelf.removeItem(this.#waiting + id);
  }

  /** Puts an entry aside that the server did not take: it is lost only when somebody lets it go. */
  refuse({ event, why }: Refused): void {
    this.shelf.setItem(this.#refused + event.id, JSON.stringify({ order: this.#next(), event, why }));
    this.shelf.removeItem(this.#waiting + event.id);
  }

  refused(): Refused[] {
    return this.#all<Refused & { order: number }>(this.#refused)
      .sort((a, b) => a.order - b.order)
      .map(({ event, why }) => ({ event, why }));
  }

  letGo(ids: Iterable<string>): void {
    for (const id of ids) this.shelf.removeItem(this.#refused + id);
  }

  #all<T>(prefix: string): T[] {
    const found: T[] = [];
    for (let index = 0; index < this.shelf.length; index++) {
      const key = this.shelf.key(index);
      if (key?.startsWith(prefix) !== true) continue;
      try {
        found.push(JSON.parse(this.shelf.getItem(key) ?? "") as T);
      } catch {
        // Not ours: another program's text under our name is no entry.
      }
    }
    return found;
  }

  /** One more than the last that lies here, of either kind. */
  #next(): number {
    const orders = [this.#waiting, this.#refused].flatMap((prefix) =>
      this.#all<{ order: number }>(prefix).map((each) => each.order),
    );
    return Math.max(0, ...orders) + 1;
  }
}

/** Most entries the server takes at once. */
const MOST_AT_ONCE = 500;

export type Sent =
  /** As the server has them: an entry made under a wrong clock was put right. */
  | { readonly kind: "stored"; readonly events: readonly JobEvent[] }
  | { readonly kind: "no-signal" }
  | { readonly kind: "cannot-store"; readonly why: string }
  /** Nobody of the crew holds this device: the entries wait until somebody is chosen. */
  | { readonly kind: "nobody"; readonly why: string }
  /** This entry was not taken; those after it have not been looked at yet. */
  | { readonly kind: "refused"; readonly event: JobEvent; readonly why: string };

/**
 * Sends what waits. Sending twice is harmless: the server knows each entry by its id. What is refused for its date while
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
  const answer = await call(ADD_EVENTS, { params: { id: job }, body: { events: [...batch] } }, post);
  if (answer.ok) {
    const stored = new Map(answer.value.stored.map(({ event }) => [event.id, event]));
    return { kind: "stored", events: batch.map((event) => stored.get(event.id) ?? event) };
  }
  const { kind, problems } = answer.error;
  const [first] = problems;
  const why = first?.message ?? unsaid;
  if (kind === "no-signal") return { kind };
  if (kind === "cannot-store") return { kind, why };
  if (answer.error.kind === "refused" && answer.error.status === 401) return { kind: "nobody", why };
  const [, index, field] = /^\/events\/(\d+)(\/\w+)?/.exec(first?.path ?? "") ?? [];
  const event = batch[Number(index ?? 0)] ?? batch[0]!;
  const misdated = field === "/at" && clockAhead() !== 0 && event.off_s === undefined;
  return { kind: misdated ? "misdated" : "refused", event, why };
}
