import type { Sheet } from "../formats";
import { assembly } from "./assembly";
import type { StripMove } from "./strip-plan";

/**
 * One-use parts that this strip spoils, with the reason: what comes off, what a way spoils beside it, and every seal
 * that lies open once all that was over it is off. They go in the bin, not back.
 */
export function spoiledBy(
  sheet: Sheet,
  strip: readonly StripMove[],
  build?: string,
): ReadonlyMap<string, string> {
  const { parts, ways } = assembly(sheet, build);
  const off = new Set(strip.flatMap((move) => (move.kind === "remove" ? [move.part] : [])));
  const laidOpen = [...parts.values()].flatMap(({ id }) =>
    ways(id).some(({ heldBy }) => heldBy.length > 0 && heldBy.every((holder) => off.has(holder))) ? [id] : [],
  );
  return new Map([...takenOff(sheet, strip), ...oneUse(sheet, laidOpen)]);
}

/** One-use parts that come off, and those that a way says it spoils: all that jobs of before renewed. */
export const takenOff = (sheet: Sheet, strip: readonly StripMove[]): ReadonlyMap<string, string> =>
  oneUse(
    sheet,
    strip.flatMap((move) => (move.kind === "remove" ? [move.part, ...(move.way.spoils ?? [])] : [])),
  );

const oneUse = ({ parts }: Sheet, ids: readonly string[]): Map<string, string> =>
  new Map(
    ids.flatMap((id) => {
      const why = parts.find((part) => part.id === id)?.oneUse;
      return why === undefined ? [] : [[id, why] as const];
    }),
  );
