import { keptFrom, workAgain } from "@/core/calculators";
import type { UnitSystem } from "@/core/quantity";
import { notationOf } from "@/core/quantity";
import { err, ok, type Problem, type Result } from "@/core/result";
import type { StoredReading } from "@/data";
import type { Actor } from "../people";
import { store } from "../proof/ledger";
import type { Services } from "../services";

export type KeepFailure =
  | { readonly kind: "unknown-valve"; readonly problems: readonly Problem[] }
  | { readonly kind: "not-worked-out"; readonly problems: readonly Problem[] };

export interface KeepResult {
  readonly calculator: string;
  /** As typed, each with its unit. */
  readonly inputs: Readonly<Record<string, string>>;
  readonly output: string;
  readonly system?: UnitSystem;
  /** When it was worked out, without signal, ms. */
  readonly at?: number;
}

export interface KeptOnValve extends StoredReading {
  readonly id: number;
  readonly label: string;
}

/** How far the clock of a device may run ahead. */
const AHEAD_MS = 5 * 60_000;

/** Keeps a result of the bench book as a reading of a valve: worked out again here from what was typed. */
export function keepResult(
  services: Services,
  tag: string,
  request: KeepResult,
  actor: Actor,
): Result<KeptOnValve, KeepFailure> {
  const { library, register, now } = services;
  const valve = register.valve(tag);
  if (valve === undefined)
    return err({
      kind: "unknown-valve",
      problems: [{ path: "", message: `There is no valve "${tag}" in the register.` }],
    });
  const worked = workAgain(request, notationOf(request.system));
  if (!worked.ok) return err({ kind: "not-worked-out", problems: worked.error });
  const { what, label, dimension, si, said } = worked.value;
  if (request.at !== undefined && request.at > now() + AHEAD_MS)
    return err({
      kind: "not-worked-out",
      problems: [{ path: "/at", message: "The clock of this device runs ahead. Set it right." }],
    });
  const reading = { valve: tag, at: request.at ?? now(), what, dimension, si, typed: said, by: actor.name };
  // Its answer was lost on the way: it is there.
  const before = request.at === undefined ? undefined : library.keptBefore(reading);
  if (before !== undefined) return ok({ ...reading, id: before, label });
  return store(services, (ledger) => {
    const id = library.addReading(reading);
    ledger.readings(tag);
    return ok({ ...reading, id, label });
  });
}

/** Takes a kept result back; false for what a job measured and for what was brought in: that is nobody's to remove. */
export function takeBack(services: Services, tag: string, id: number): boolean {
  const { library } = services;
  const reading = Number.isSafeInteger(id) ? library.reading(tag, id) : undefined;
  if (reading === undefined || reading.job !== undefined || keptFrom(reading.what) === undefined)
    return false;
  store(services, (ledger) => {
    library.removeReading(id);
    ledger.readings(tag);
    return ok(undefined);
  });
  return true;
}
