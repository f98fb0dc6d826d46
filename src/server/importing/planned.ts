import type { Difference } from "@/core/formats";
import { canonical } from "@/core/job";
import type { ImportedKind } from "@/data";
import type { Ledger } from "../proof/ledger";

/** One thing to store: how it stands, how it will, and the storing of it. */
export interface Step {
  readonly kind: ImportedKind;
  readonly id: string;
  readonly before: unknown;
  readonly after: unknown;
  readonly stays?: readonly Difference[];
  readonly store: (ledger: Ledger) => void;
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
