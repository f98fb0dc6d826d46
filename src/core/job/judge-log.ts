import type { StripFailure } from "../build";
import type { JobDocument } from "../formats";
import { err, ok, type Result } from "../result";
import { accept, type JudgedBy } from "./accept";
import type { Refusal } from "./refused";
import { type Run, run } from "./run";

/** Servers that stamp one log differ by no more than this. */
const SERVERS_DIFFER_MS = 60_000;

/** The first entry of a log that the rules would not have taken when it was stored. */
export type ImpossibleEntry = { readonly seq: number } & (
  | { readonly kind: "no-plan"; readonly failure: StripFailure }
  | { readonly kind: "dated-after-today" | "sealed-out-of-time" }
  | { readonly kind: "not-taken"; readonly refusal: Refusal }
);

/**
 * Puts a whole log to the rules, entry by entry, each by the clock of the server that sealed it: whether it can have
 * happened so.
 *
 * @param now ms: nothing was stored after this
 */
export function judgeLog(
  { inputs, events }: JobDocument,
  { now, workAgain }: Pick<JudgedBy, "now" | "workAgain">,
): Result<Run, ImpossibleEntry> {
  const begun = run(inputs, []);
  if (!begun.ok) return err({ seq: 0, kind: "no-plan", failure: begun.error });
  let job = begun.value;
  let latest = Date.parse(inputs.openedAt);
  if (latest > now + SERVERS_DIFFER_MS) return err({ seq: 0, kind: "dated-after-today" });
  for (const [index, { event, seal }] of events.entries()) {
    const seq = index + 1;
    const stored = Date.parse(seal.serverAt);
    if (stored < latest - SERVERS_DIFFER_MS || stored > now + SERVERS_DIFFER_MS)
      return err({ seq, kind: "sealed-out-of-time" });
    const taken = accept(job, event, { now: stored, ...(workAgain !== undefined && { workAgain }) });
    if (!taken.ok) return err({ seq, kind: "not-taken", refusal: taken.error });
    job = taken.value;
    latest = Math.max(latest, stored);
  }
  return ok(job);
}
