import { sha256 } from "@noble/hashes/sha2.js";
import { bytesToHex, utf8ToBytes } from "@noble/hashes/utils.js";
import type { JobEvent, JobInputs, SealedEvent } from "../formats";
import { err, ok, type Result } from "../result";

/** JSON with sorted keys: the same value always gives the same text. */
export function canonical(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonical).join(",")}]`;
  if (typeof value === "object" && value !== null) {
    const entries = Object.entries(value).filter(([, each]) => each !== undefined);
    return `{${entries
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, each]) => `${JSON.stringify(key)}:${canonical(each)}`)
      .join(",")}}`;
  }
  return JSON.stringify(value);
}

const digest = (value: unknown): string => bytesToHex(sha256(utf8ToBytes(canonical(value))));

/** The first link of the chain is what the job began with: changing the inputs afterwards shows, too. */
export const chainStart = (inputs: JobInputs): string => digest(inputs);

/** Seals an event: its number, the server's time, and a hash over both, the event and the one before. */
export function seal(event: JobEvent, seq: number, serverAt: string, previous: string): SealedEvent {
  return { event, seal: { seq, serverAt, previous, hash: digest({ event, seq, serverAt, previous }) } };
}

export interface BrokenChain {
  readonly seq: number;
  readonly message: string;
}

/** Walks the chain; the first event that does not fit is named. */
export function verifyChain(inputs: JobInputs, events: readonly SealedEvent[]): Result<number, BrokenChain> {
  let previous = chainStart(inputs);
  for (const [index, sealed] of events.entries()) {
    const { seq, serverAt, hash } = sealed.seal;
    const again = seal(sealed.event, index + 1, serverAt, previous);
    if (seq !== index + 1 || sealed.seal.previous !== previous || again.seal.hash !== hash)
      return err({
        seq: index + 1,
        message: `Entry ${index + 1} does not fit the one before: the log was changed after it was written. Do not rely on this record; ask for the original.`,
      });
    previous = hash;
  }
  return ok(events.length);
}
