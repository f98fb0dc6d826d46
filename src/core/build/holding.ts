import type { Part, Sheet } from "../formats";

/** Parts that cannot come off before this one. */
export const heldBy = (sheet: Sheet, { id }: Part): Part[] =>
  sheet.parts.filter((each) => each.ways.some((way) => way.heldBy.includes(id)));

export const fastens = (part: Part): boolean => part.fastener !== undefined || part.shape.kind === "screws";

/** Pressure stands behind it. */
export const closes = (part: Part): boolean => part.role === "cover" || part.role === "bonnet";

/**
 * Whether pressure stands behind this part: a cover, a bonnet, a gland; where a sheet names none, any part that is no
 * fastener.
 */
export function holdsBack(parts: ReadonlyMap<string, Part>, id: string): boolean {
  const part = parts.get(id);
  if (part === undefined || part.dry === true) return false;
  const named = [...parts.values()].some((each) => each.role !== undefined);
  return named ? part.role !== undefined : part.fastener === undefined;
}
