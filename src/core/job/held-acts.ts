import type { Step, StepKind } from "./step";

/** What is let loose, brought back or opened here is not stopped again by letting go. */
const LETS_LOOSE: ReadonlySet<StepKind> = new Set<StepKind>([
  "crack",
  "release",
  "open-bleed",
  "drain",
  "drain-at-valve",
  "pump-out",
  "start-pump",
  "charge",
  "put-back",
  "open",
  "open-by-hand",
]);

/** What comes out, or flies off, when the last thread lets go. */
const COMES_OUT: ReadonlySet<Step["dangers"][number]["kind"]> = new Set([
  "medium-out",
  "locked-liquid",
  "stored",
  "loaded",
] satisfies Step["dangers"][number]["kind"][]);

/** Whether a card is done by a press that is held: its act can hurt somebody who did not mean it. */
export const heldAct = (step: Step): boolean =>
  LETS_LOOSE.has(step.kind) ||
  // Of a stack each piece is counted by a tap.
  (step.kind === "strip" && step.pieces.length === 0 && step.dangers.some(({ kind }) => COMES_OUT.has(kind)));
