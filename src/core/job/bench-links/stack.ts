import type { Part } from "../../formats";
import { type BenchLink, figure } from "./rule";

/** Pieces of a stack by their heights, and how deep its bore is when the last sits where it should. */
export function stack(part: Part | undefined): BenchLink["start"] {
  const pieces = part?.pieces ?? [];
  const seals = pieces.filter(({ kind }) => kind === "ring");
  const spacers = pieces.filter(({ kind }) => kind !== "ring");
  const end = part?.fit?.end;
  const height = pieces.reduce((sum, each) => sum + each.height_mm, 0);
  return pieces.length === 0
    ? {}
    : {
        seals: figure(seals.length),
        spacers: figure(spacers.length),
        seal: `${figure(seals[0]?.height_mm ?? 0)} mm`,
        spacer: `${figure(spacers[0]?.height_mm ?? 0)} mm`,
        squeeze: "0 %",
        ...(end?.kind === "seat-to-depth" && { bore: `${figure(height + end.depth_mm)} mm` }),
      };
}
