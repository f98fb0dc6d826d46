import type { ActReason } from "../../isolation";
import { ticked } from "../step-rule";

/** A pump runs again. */
export interface StartPumpFacts {
  readonly kind: "start-pump";
  readonly link: string;
  readonly name: string;
  readonly why: ActReason;
}

export const startPump = ticked;
