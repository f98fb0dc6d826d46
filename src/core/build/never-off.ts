import type { Sheet } from "../formats";
import type { Problem } from "../result";
import { type Assembly, assembly, removable } from "./assembly";

/**
 * Parts that nothing can free, on each build: those that hold one another in a ring, and those right behind one that does
 * not come off. What hangs further behind them is freed with them, and is not said.
 */
export function neverOff(sheet: Sheet): Problem[] {
  const builds = sheet.builds.length === 0 ? [undefined] : sheet.builds;
  return builds.flatMap((build) => {
    const each = assembly(sheet, build?.id);
    const can = removable(each);
    const holders = (part: string) => [
      ...new Set(each.ways(part).flatMap((way) => way.heldBy.filter((id) => !can.has(id)))),
    ];
    return sheet.parts.flatMap((part, index): Problem[] => {
      const by = holders(part.id);
      if (can.has(part.id) || by.some((id) => !each.parts.has(id))) return [];
      if (!by.some((id) => isDeadEnd(each, id)) && !holdsItself(part.id, holders)) return [];
      const where = build === undefined ? "" : ` on build ${build.name}`;
      const held = by.map((id) => each.parts.get(id)!.name).join(", ");
      return [
        {
          path: `/parts/${index}/ways`,
          message: `${part.name} can never come off${where}: it is held by ${held}, and nothing frees that. Break the ring.`,
        },
      ];
    });
  });
}

/** It stays, or comes off on other builds only; one that has no way at all is told of where it stands. */
function isDeadEnd(each: Assembly, id: string): boolean {
  const part = each.parts.get(id)!;
  return part.stays === true || (part.ways.length > 0 && each.ways(id).length === 0);
}

/** Whether one comes back to the part by going from each to what holds it. */
function holdsItself(part: string, holders: (part: string) => readonly string[]): boolean {
  const seen = new Set<string>();
  const ahead = [...holders(part)];
  for (let id = ahead.pop(); id !== undefined; id = ahead.pop()) {
    if (id === part) return true;
    if (seen.has(id)) continue;
    seen.add(id);
    ahead.push(...holders(id));
  }
  return false;
}
