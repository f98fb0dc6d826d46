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

/** A supply that does the opposite of what the thread is meant to do: locker that never sets, anti-seize that glues. */
export function threadClash(
  meant: "locker" | "anti-seize" | "sealant",
  supply: Sheet["supplies"][number] | undefined,
): string | undefined {
  if (supply === undefined) return undefined;
  if (meant === "locker" && supply.base !== "anaerobic")
    return `${supply.name} does not lock: locker is anaerobic. Choose a threadlocker, or say anti-seize.`;
  if (meant === "anti-seize" && supply.base === "anaerobic")
    return `${supply.name} locks, and the thread has to release. Choose an anti-seize paste.`;
  return undefined;
}
