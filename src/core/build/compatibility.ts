import type { Part, Sheet } from "../formats";

type Material = Part["material"];
type Base = Sheet["supplies"][number]["base"];

/**
 * Rubber and grease that do not go together, as common to the elastomer makers' tables: petroleum swells EPDM;
 * silicone swells silicone; anaerobic locker attacks several plastics.
 */
const CLASHES: readonly { readonly material: Material; readonly base: Base; readonly why: string }[] = [
  {
    material: "epdm",
    base: "petroleum",
    why: "petroleum grease swells EPDM. Use silicone or food-grade grease.",
  },
  {
    material: "silicone",
    base: "silicone",
    why: "silicone grease swells silicone rubber. Use another base.",
  },
  { material: "plastic", base: "anaerobic", why: "anaerobic locker cracks plastic. Leave it off." },
];

export function lubricantClash(material: Material, base: Base | undefined): string | undefined {
  return CLASHES.find((clash) => clash.material === material && clash.base === base)?.why;
}
