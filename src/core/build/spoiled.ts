import type { Sheet } from "../formats";
import type { StripMove } from "./strip-plan";

/** One-use parts that this strip spoils, with the reason: they go in the bin, not on the tray. */
export function spoiledBy(sheet: Sheet, strip: readonly StripMove[]): ReadonlyMap<string, string> {
  const parts = new Map(sheet.parts.map((part) => [part.id, part]));
  const spoiled = new Map<string, string>();
  for (const move of strip) {
    if (move.kind !== "remove") continue;
    for (const id of [move.part, ...(move.way.spoils ?? [])]) {
      const why = parts.get(id)?.oneUse;
      if (why !== undefined && !spoiled.has(id)) spoiled.set(id, why);
    }
  }
  return spoiled;
}
