import type { Static } from "@sinclair/typebox";
import { keptFrom, workAgain } from "@/core/calculators";
import { err, ok, type Problem, type Result } from "@/core/result";
import type { StoredReading } from "@/data";
import type { KeepRequest } from "../api/contract";
import type { Services } from "../services";

export type KeepFailure =
  | { readonly kind: "unknown-valve"; readonly problems: readonly Problem[] }
  | { readonly kind: "not-worked-out"; readonly problems: readonly Problem[] };

export interface KeptOnValve extends StoredReading {
  readonly id: number;
  readonly label: string;
}

/** Keeps a result of the bench book as a reading of a valve: worked out again here from what was typed. */
export function keepResult(
  { library, now }: Services,
  tag: string,
  request: Static<typeof KeepRequest>,
): Result<KeptOnValve, KeepFailure> {
  const valve = library.valve(tag);
  if (valve === undefined)
    return err({
      kind: "unknown-valve",
      problems: [{ path: "", message: `There is no valve "${tag}" in the register.` }],
    });
  const worked = workAgain(request, request.system);
  if (!worked.ok) return err({ kind: "not-worked-out", problems: worked.error });
  const { what, label, dimension, si, said } = worked.value;
  const reading = { valve: tag, at: now(), what, dimension, si, typed: said, by: request.by };
  return ok({ ...reading, id: library.addReading(reading), label });
}

/** Takes a kept result back; false for what a job measured and for what was brought in: that is nobody's to remove. */
export function takeBack({ library }: Services, tag: string, id: number): boolean {
  const reading = Number.isSafeInteger(id) ? library.reading(tag, id) : undefined;
  if (reading === undefined || reading.job !== undefined || keptFrom(reading.what) === undefined)
    return false;
  library.removeReading(id);
  return true;
}
