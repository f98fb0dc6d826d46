import type { Part, Sheet, Way } from "../formats";

/** A sheet as the planner walks it, for one build of the model. */
export interface Assembly {
  readonly sheet: Sheet;
  readonly parts: ReadonlyMap<string, Part>;
  /** The ways a part comes off on this build. */
  readonly ways: (part: string) => readonly Way[];
}

export function assembly(sheet: Sheet, build?: string): Assembly {
  const parts = new Map(sheet.parts.map((part) => [part.id, part]));
  const waysOf = new Map(
    sheet.parts.map((part) => [
      part.id,
      part.stays
        ? []
        : part.ways.filter(
            (way) => way.builds === undefined || build === undefined || way.builds.includes(build),
          ),
    ]),
  );
  return { sheet, parts, ways: (part) => waysOf.get(part) ?? [] };
}

/** Parts that can come off at all, found by letting go of everything nothing holds, again and again. */
export function removable(each: Assembly): ReadonlySet<string> {
  const off = new Set<string>();
  for (let grew = true; grew; ) {
    grew = false;
    for (const part of each.parts.keys())
      if (!off.has(part) && each.ways(part).some((way) => way.heldBy.every((holder) => off.has(holder)))) {
        off.add(part);
        grew = true;
      }
  }
  return off;
}
