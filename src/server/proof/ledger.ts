import { canonical, digest } from "@/core/job";
import type { Result } from "@/core/result";
import type { Anchor, AnchoredHead, StoredReading } from "@/data";
import { storageFault } from "../faults/storage-fault";
import { ringAnew } from "../register/keep-valve";
import type { Services } from "../services";

/** What goes before the first anchor: the chain belongs to one key from its beginning. */
export const ledgerStart = (publicKey: string): string => digest({ publicKey });

/** What the hash of an anchor is taken over. */
export const anchorHash = ({
  seq,
  at,
  heads,
  previous,
}: Pick<Anchor, "seq" | "at" | "heads" | "previous">): string => digest({ seq, at, heads, previous });

/** The readings of a valve as one hash: none can be changed, added or taken away without it showing. */
export const readingsHead = (readings: readonly StoredReading[]): string => digest(readings.map(canonical));

/** What a transaction adds to, so that its new heads are anchored with it. */
export class Ledger {
  readonly #jobs = new Map<string, AnchoredHead>();
  readonly #valves = new Set<string>();

  job(id: string, entries: number, head: string): void {
    this.#jobs.set(id, { subject: "job", id, entries, head });
  }

  /** Valves whose readings have changed. */
  get valves(): ReadonlySet<string> {
    return this.#valves;
  }

  readings(valve: string): void {
    this.#valves.add(valve);
  }

  heads({ library }: Services): AnchoredHead[] {
    return [
      ...this.#jobs.values(),
      ...[...this.#valves].map((id): AnchoredHead => {
        const readings = library.readings(id);
        return { subject: "readings", id, entries: readings.length, head: readingsHead(readings) };
      }),
    ];
  }
}

/** A refusal inside a transaction: nothing of it may stay. */
class Refused extends Error {
  constructor(readonly result: { readonly ok: false; readonly error: unknown }) {
    super("refused");
  }
}

/**
 * Stores in one transaction, all or nothing: a refusal takes back what was written before it. What was added to logs and
 * readings is anchored in the same transaction; what is acknowledged is remembered outside the database, too, so that a
 * database that lost its end is found out.
 */
export function store<T, E>(services: Services, work: (ledger: Ledger) => Result<T, E>): Result<T, E> {
  const { db, installation, live } = services;
  let anchored: Anchor | undefined;
  try {
    const done = db.transaction(
      () => {
        const ledger = new Ledger();
        const result = work(ledger);
        if (!result.ok) throw new Refused(result);
        for (const valve of ledger.valves) ringAnew(services, valve);
        anchored = anchor(services, ledger.heads(services));
        return result;
      },
      { behavior: "immediate" },
    );
    if (anchored !== undefined) installation.remember({ seq: anchored.seq, hash: anchored.hash });
    live.failing(undefined);
    live.changed();
    return done;
  } catch (thrown) {
    if (thrown instanceof Refused) return thrown.result as Result<T, E>;
    live.failing(storageFault(thrown)?.message);
    throw thrown;
  }
}

function anchor(
  { anchors, installation, now }: Services,
  heads: readonly AnchoredHead[],
): Anchor | undefined {
  if (heads.length === 0) return undefined;
  const last = anchors.last();
  const body = {
    seq: (last?.seq ?? 0) + 1,
    at: new Date(now()).toISOString(),
    heads,
    previous: last?.hash ?? ledgerStart(installation.publicKey),
  };
  const hash = anchorHash(body);
  const made = { ...body, hash, signature: installation.sign(hash) };
  anchors.add(made);
  return made;
}
