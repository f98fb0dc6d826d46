import type { Part } from "../../formats";
import type { Progress } from "../progress";
import type { EntryRefusal } from "../refusal";
import type { StepHead } from "../step-head";
import type { AtEntry } from "../step-rule";

/** A piece of a stack, from the bottom up. */
export type Piece = NonNullable<Part["pieces"]>[number];

/** What is counted out of a valve or into it. */
export interface Counted {
  readonly count: number;
  readonly pieces: readonly Piece[];
}

type CountedStep = Pick<StepHead, "id"> & Counted;

/** Pieces of a stack still to count on a step. */
export const piecesLeft = (step: CountedStep, progress: Progress): number =>
  step.pieces.length - (progress.pieces.get(step.id) ?? 0);

/** A stack is counted piece by piece. */
export function refusePiece(
  step: CountedStep,
  piece: number,
  { progress }: Pick<AtEntry, "progress">,
): EntryRefusal | undefined {
  const next = (progress.pieces.get(step.id) ?? 0) + 1;
  return piece === next && next <= step.pieces.length
    ? undefined
    : { path: "/piece", kind: "count-on-from", piece: Math.min(next, step.pieces.length) };
}

/** A stack piece by piece, loose pieces by their number: what was counted, where it can be so many. */
export function refuseCount(step: CountedStep, entry: string, progress: Progress): EntryRefusal | undefined {
  const left = piecesLeft(step, progress);
  if (left > 0) return { path: "/step", kind: "count-the-stack", left, of: step.pieces.length };
  const counted = countIn(entry);
  return counted !== undefined && !(counted >= 0 && counted <= step.count)
    ? { path: "/entry", kind: "more-than-there-are", of: step.count }
    : undefined;
}

/** A number that was written down; nothing where there is none, and no number where it cannot be read. */
export const countIn = (entry: string): number | undefined =>
  entry === "" ? undefined : Number.parseInt(entry, 10);
