import { sha256 } from "@noble/hashes/sha2.js";
import { bytesToHex, utf8ToBytes } from "@noble/hashes/utils.js";
import canonicalize from "canonicalize";
import type { JobEvent, JobInputs, SealedEvent } from "../formats";
import { err, ok, type Result } from "../result";

/**
 * The one text of a value (RFC 8785, JSON Canonicalization Scheme), so that strangers can check a chain by a named
 * standard. Fields that are undefined are not there.
 */
export function canonical(value: unknown): string {
  const text = canonicalize(value);
  if (text === undefined) throw new Error(`no canonical text of ${typeof value}`);
  return text;
}

/** SHA-256 over the canonical text, in hexadecimal. */
export const digest = (value: unknown): string => bytesToHex(sha256(utf8ToBytes(canonical(value))));

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

/** Walks the chain; the first event that does not fit is named. @param sound how many are known to be good */
export function verifyChain(
  inputs: JobInputs,
  events: readonly SealedEvent[],
  sound = 0,
): Result<number, BrokenChain> {
  let previous = events[sound - 1]?.seal.hash ?? chainStart(inputs);
  for (const [index, sealed] of events.entries()) {
    if (index < sound) continue;
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
