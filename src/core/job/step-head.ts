import type { Barred, Danger as PartDanger } from "../build";
import type { Medium, Tool } from "../formats";
import type { LockedPiece, StoredEnergy } from "../isolation";
import type { PermitKind } from "../line";
import type { Phase } from "./phases";

/** What can happen at a step, and what to do: the words follow from the kind. */
export type Danger =
  | PartDanger
  /** Where the medium comes out. */
  | { readonly kind: "medium-out"; readonly medium: Medium }
  | { readonly kind: "locked-liquid"; readonly piece: LockedPiece }
  | { readonly kind: "stored"; readonly energy: StoredEnergy }
  | { readonly kind: "gauge-may-be-blocked" }
  | { readonly kind: "nothing-computed" }
  | { readonly kind: "permit"; readonly permit: PermitKind }
  | { readonly kind: "fire-meets-no-water"; readonly zones: readonly string[] }
  /** What another job opens fills what this one has opened already. */
  | { readonly kind: "comes-when-they-open" };

/** What every step has, whatever its kind. */
export interface StepHead {
  /** Stays the same when the plan is compiled anew, so that what was done is found again. */
  readonly id: string;
  readonly phase: Phase;
  readonly minutes: number;
  readonly tools: readonly Tool[];
  readonly forbidden: readonly Barred[];
  readonly dangers: readonly Danger[];
  readonly part?: string;
  /** How the valve stands before and after, by the sheet's names. */
  readonly stands?: { readonly before: string; readonly after: string };
  /** The sheet and the law allow skipping it, with a reason. A safety step never does. */
  readonly mayOverride: boolean;
}
