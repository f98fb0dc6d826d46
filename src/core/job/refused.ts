import type { StripFailure } from "../build";
import type { EntryRefusal, LogRefusal } from "./refusal";
import type { ShutGate } from "./run";
import type { Step } from "./step";

/** Why an event is not taken: the field it concerns and the facts of the matter. */
export type Refusal =
  | EntryRefusal
  | LogRefusal
  | { readonly path: string; readonly kind: "done-already"; readonly step: Step }
  /** Another step stands before it; nothing when all is done. */
  | { readonly path: string; readonly kind: "first"; readonly step?: Step }
  | { readonly path: string; readonly kind: "gate"; readonly gate: ShutGate }
  | { readonly path: string; readonly kind: "not-yet"; readonly step?: Step }
  | { readonly path: string; readonly kind: "no-plan"; readonly failure: StripFailure };
