import type { Part, Sheet } from "../formats";

/** Parts that cannot come off before this one. */
export const heldBy = (sheet: Sheet, { id }: Part): Part[] =>
  sheet.parts.filter((each) => each.ways.some((way) => way.heldBy.includes(id)));

export const fastens = (part: Part): boolean => part.fastener !== undefined || part.shape.kind === "screws";

/** Pressure stands behind it. */
export const closes = (part: Part): boolean => part.role === "cover" || part.role === "bonnet";
