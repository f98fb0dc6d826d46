/** Ends of a round vessel. */
export const HEADS = ["flat", "elliptical", "hemispherical"] as const;
export type Head = (typeof HEADS)[number];

/** How far a head stands out, as a share of the inside radius: 2:1 elliptical is half as deep as it is wide. */
const DEPTH: Record<Head, number> = { flat: 0, elliptical: 0.5, hemispherical: 1 };

/** A round vessel inside: radius and length between the heads in m. */
export interface Vessel {
  readonly radius: number;
  readonly straight: number;
  readonly head: Head;
}

export const headDepth = ({ radius, head }: Vessel): number => DEPTH[head] * radius;

/** Content of the whole vessel, m³: a cylinder and two half ellipsoids. */
export const vesselVolume = (vessel: Vessel): number =>
  Math.PI * vessel.radius ** 2 * (vessel.straight + (4 / 3) * headDepth(vessel));

/** How high it is inside, m. */
export const vesselHeight = (vessel: Vessel, lying: boolean): number =>
  lying ? 2 * vessel.radius : vessel.straight + 2 * headDepth(vessel);

/**
 * Content up to a level, m³. Lying: a segment of the circle times the length, and of both heads the cap of an ellipsoid,
 * π·h²·(3R − h)/3 of a sphere shrunk to the heads' depth. Standing: the caps of the lower head, the cylinder, the upper.
 *
 * @param level m above the lowest point inside, from nothing to `vesselHeight`
 */
export function contentUpTo(vessel: Vessel, level: number, lying: boolean): number {
  const { radius, straight } = vessel;
  const depth = headDepth(vessel);
  if (lying) {
    const segment =
      radius ** 2 * Math.acos((radius - level) / radius) -
      (radius - level) * Math.sqrt(Math.max(0, level * (2 * radius - level)));
    return segment * straight + (depth / radius) * ((Math.PI * level ** 2 * (3 * radius - level)) / 3);
  }
  /** Of one head, its rounded end down, up to a height in it. */
  const cap = (height: number) =>
    depth === 0 ? 0 : (Math.PI * radius ** 2 * height ** 2 * (3 * depth - height)) / (3 * depth ** 2);
  if (level <= depth) return cap(level);
  if (level <= depth + straight) return cap(depth) + Math.PI * radius ** 2 * (level - depth);
  return vesselVolume(vessel) - cap(vesselHeight(vessel, false) - level);
}
