import type { Barred, Danger as PartDanger } from "../build";
import type { BoltSet, Medium, Tool } from "../formats";
import type { LockedPiece, StoredEnergy } from "../isolation";
import type { PermitKind } from "../line";
import type { Phase } from "./phases";

/** What can happen at a step, and what to do: the words follow from the kind. */
export type Danger =
  | PartDanger
  /** Where the medium comes out. */
  | { readonly kind: "medium-out"; readonly medium: Medium; readonly hot?: true }
  | { readonly kind: "locked-liquid"; readonly piece: LockedPiece }
  | { readonly kind: "stored"; readonly energy: StoredEnergy }
  | { readonly kind: "gauge-may-be-blocked" }
  | { readonly kind: "nothing-computed" }
  | { readonly kind: "permit"; readonly permit: PermitKind }
  | { readonly kind: "fire-meets-no-water"; readonly zones: readonly string[] }
  /** Somebody who must not be without is without all the same. */
  | { readonly kind: "must-not-be-without"; readonly name: string; readonly why: string }
  /** Somebody has to let one in, now and at the end. */
  | { readonly kind: "behind-a-door"; readonly name: string; readonly door: string }
  /** What burns behind a cock that is turned goes out. */
  | { readonly kind: "goes-out-behind"; readonly names: readonly string[] }
  /** It is shut for what others open in the same shut-down, too. */
  | { readonly kind: "shut-for-others"; readonly names: readonly string[] }
  /** What is done in the same shut-down is begun before this job opens anything. */
  | { readonly kind: "opened-before-others"; readonly names: readonly string[] }
  /** Others blow into the header that is opened. */
  | { readonly kind: "shared-header"; readonly header: string; readonly others: readonly string[] }
  /** A figure of this card is for real equipment, and nobody is named who says it. */
  | { readonly kind: "no-source" }
  /** What another job opens fills what this one has opened already. */
  | { readonly kind: "comes-when-they-open" };

/** Left is anticlockwise, as one looks at what is turned. */
export interface Turning {
  readonly way: "left" | "right";
  readonly turns?: number;
  /** Where it is less than a turn. */
  readonly degrees?: number;
}

/** What a card draws. Angles from along the pipe; a clock from twelve at the top. */
export type Drawn =
  | ({ readonly kind: "turn" } & Turning)
  /** The stem, turned to this position. */
  | ({ readonly kind: "stem"; readonly to: string } & Turning)
  | { readonly kind: "lever"; readonly from_deg?: number; readonly to_deg: number }
  | { readonly kind: "arrow"; readonly to: "flow" | "up" | "down" | "outlet" }
  | { readonly kind: "clock"; readonly at: number }
  /** The body on the bench; turned over where it lay otherwise before. */
  | { readonly kind: "face-up"; readonly face: string; readonly over?: true }
  /** All sets of bolts of the body from above, and which of them this card is about. */
  | { readonly kind: "sets"; readonly sets: readonly BoltSet[]; readonly now: string };

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
  /** Which way, how far, where to: drawn beside the words. */
  readonly drawn?: readonly Drawn[];
  /** It is put together by itself, on a tray of its own: which piece of how many. */
  readonly assembly?: { readonly name: string; readonly piece: number; readonly of: number };
  /** How the valve stands before and after, by the sheet's names. */
  readonly stands?: { readonly before: string; readonly after: string };
  /** The sheet and the law allow skipping it, with a reason. A safety step never does. */
  readonly mayOverride: boolean;
}
