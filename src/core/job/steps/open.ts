import type { ActReason } from "../../isolation";
import { ticked } from "../step-rule";

/** A way in comes back: its lock off, opened, switched on, turned back, or left shut as it stands. */
export interface OpenFacts {
  readonly kind: "open";
  readonly link: string;
  readonly name: string;
  readonly how: "open" | "switch-on" | "turn-back" | "leave-shut";
  readonly why: ActReason;
  /** The number of the lock that was put on. */
  readonly lock?: string;
  readonly where?: string;
  readonly turns?: number;
}

export const open = ticked;
