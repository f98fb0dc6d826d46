import type { Difference, ThingKind } from "@/core/formats";
import { canonical } from "@/core/job";
import type { Ledger } from "../proof/ledger";

/** One thing to store: how it stands, and how it will. */
export interface Step {
  readonly kind: ThingKind;
  readonly id: string;
  readonly before: unknown;
  readonly after: unknown;
  readonly stays?: readonly Difference[];
  /** How it is stored, where that takes more than the thing itself. */
  readonly store?: (ledger: Ledger) => void;
}

export interface Planned {
  readonly file: string;
  readonly what: string;
  readonly steps: readonly Step[];
  readonly caution?: string;
}

export type PlannedFile = Omit<Planned, "file">;

/** Whether two documents say the same, however they are written. */
export const same = (a: unknown, b: unknown): boolean =>
  a === b || (a !== undefined && b !== undefined && canonical(a) === canonical(b));
