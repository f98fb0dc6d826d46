import type { Part, Sheet } from "../formats";

/** How a flange gasket is cut: with a hole for every bolt, or to lie inside them. */
export type Cut = "full-face" | "ring";

/** The flange a gasket lies in. */
export interface Flange {
  readonly bolts: Part;
  readonly circle_mm: number;
  /** Of one bolt; nothing where its thread does not say. */
  readonly bolt_mm?: number;
  /** What the bolts clamp. */
  readonly clamps: readonly Part[];
}

/** Metric threads say their diameter. */
const METRIC = /^M(\d+(?:\.\d+)?)/;

/** Of one bolt of these, mm; nothing where its thread does not say. */
export function boltOf_mm({ fastener }: Part): number | undefined {
  const bolt = METRIC.exec(fastener?.thread ?? "")?.[1];
  return bolt === undefined ? undefined : Number(bolt);
}

/** The bolts that press a gasket: the nearest on a circle among what has to be off before it, and what they clamp. */
export function flangeOf(sheet: Sheet, gasket: Part): Flange | undefined {
  const parts = new Map(sheet.parts.map((part) => [part.id, part]));
  const seen = new Set([gasket.id]);
  for (let at = [gasket]; at.length > 0; ) {
    const above = [...new Set(at.flatMap(({ ways }) => ways.flatMap(({ heldBy }) => heldBy)))].flatMap(
      (id) => (seen.has(id) ? [] : (parts.get(id) ?? [])),
    );
    for (const { id } of above) seen.add(id);
    const bolts = above.find(({ fastener }) => fastener?.circle_mm !== undefined);
    if (bolts?.fastener?.circle_mm !== undefined) {
      const bolt_mm = boltOf_mm(bolts);
      return {
        bolts,
        circle_mm: bolts.fastener.circle_mm,
        ...(bolt_mm !== undefined && { bolt_mm }),
        clamps: sheet.parts.filter(
          ({ id, ways, fastener }) =>
            id !== gasket.id &&
            fastener === undefined &&
            ways.some(({ heldBy }) => heldBy.includes(bolts.id)),
        ),
      };
    }
    at = above;
  }
  return undefined;
}

/** How the sheet draws it; nothing where it is no flange gasket. */
export function cutOf(sheet: Sheet, part: Part): Cut | undefined {
  const flange = part.face === undefined ? undefined : flangeOf(sheet, part);
  if (flange === undefined) return undefined;
  return part.shape.diameter_mm > flange.circle_mm ? "full-face" : "ring";
}
