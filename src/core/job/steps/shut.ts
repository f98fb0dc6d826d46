import type { Medium } from "../../formats";
import type { ActReason, ClosureReason } from "../../isolation";
import { lockedOn } from "../step-rule";

/** One way in is shut and locked: a valve, a switch, a three-way stem. */
export interface ShutFacts {
  readonly kind: "shut";
  /** The valve of the line, or the node of a three-way one. */
  readonly link: string;
  readonly name: string;
  readonly lockable: boolean;
  readonly where?: string;
  readonly turns?: number;
  readonly by: ShutBy;
}

export type ShutBy =
  | {
      readonly kind: "closure";
      readonly medium: Medium;
      readonly standsShut: boolean;
      readonly outer: boolean;
      readonly confined: boolean;
      readonly why: ClosureReason;
      readonly now: ActReason;
    }
  | { readonly kind: "turning"; readonly from: string; readonly to: string }
  /** Shut before the plan changed: it stays shut, and is no barrier where it was found to pass. */
  | { readonly kind: "shut-before"; readonly passes: boolean };

export const shut = lockedOn;
