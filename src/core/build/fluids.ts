import type { Medium, Part, Sheet } from "../formats";

export type Material = Part["material"];
export type Base = Sheet["supplies"][number]["base"];

/** What a fluid does to a material, or to a medium, that forbids it there. */
export interface Clash {
  readonly base: Base;
  readonly why: string;
}

/**
 * One table of what does not go together. Rubber: ISO/TR 7620, chemical resistance of rubber; plastics: ISO/TR 10358. Rows
 * name what harms; what is in no row is not known to.
 */
const ON_MATERIAL: readonly (Clash & { readonly material: Material })[] = [
  {
    material: "epdm",
    base: "petroleum",
    why: "petroleum grease swells EPDM. Use silicone or food-grade grease.",
  },
  {
    material: "epdm",
    base: "refrigerant-oil",
    why: "mineral oil swells EPDM. Choose another ring, or another oil.",
  },
  { material: "epdm", base: "solvent", why: "hydrocarbons swell EPDM. Use soap and water." },
  {
    material: "nitrile",
    base: "solvent",
    why: "solvent dries nitrile out and it cracks. Use soap and water.",
  },
  {
    material: "silicone",
    base: "silicone",
    why: "silicone grease swells silicone rubber. Use another base.",
  },
  { material: "silicone", base: "petroleum", why: "petroleum swells silicone rubber. Use another base." },
  { material: "silicone", base: "solvent", why: "solvent swells silicone rubber. Use soap and water." },
  { material: "plastic", base: "anaerobic", why: "anaerobic locker cracks plastic. Leave it off." },
  { material: "plastic", base: "solvent", why: "solvent crazes plastic. Use soap and water." },
  { material: "aluminium", base: "acid", why: "acid eats aluminium. Use soap and a brush." },
];

/** What must not come into a medium. */
const IN_MEDIUM: readonly (Clash & { readonly medium: Medium })[] = (["ammonia", "co2"] as const).flatMap(
  (medium) =>
    (["petroleum", "food-grade"] as const).map((base) => ({
      medium,
      base,
      why: "it washes into the refrigerant and its oil. Use the oil or grease of the plant.",
    })),
);

/** What may touch drinking water at all, if it is listed for it. */
const NEVER_POTABLE: ReadonlySet<Base> = new Set(["petroleum", "metallic", "solvent", "refrigerant-oil"]);

/** Where a fluid comes to lie: the material under it, the medium that washes it, whether people drink that. */
export interface Place {
  readonly material: Material;
  readonly medium?: Medium;
  readonly potable?: boolean;
}

/** Why a fluid must not lie there; nothing where it may. */
export function fluidClash(
  { material, medium, potable = false }: Place,
  base: Base | undefined,
): string | undefined {
  if (base === undefined) return undefined;
  const rubber = ON_MATERIAL.find((each) => each.material === material && each.base === base);
  if (rubber !== undefined) return rubber.why;
  const washed = IN_MEDIUM.find((each) => each.medium === medium && each.base === base);
  if (washed !== undefined) return washed.why;
  return potable && NEVER_POTABLE.has(base)
    ? "people drink what touches it. Use one that is listed for drinking water."
    : undefined;
}

const LUBRICANTS: readonly Base[] = ["silicone", "petroleum", "food-grade", "ptfe", "refrigerant-oil"];

/** Lubricants that must never lie there, whatever else is in the van. */
export const neverThere = (place: Place): Base[] =>
  LUBRICANTS.filter((base) => fluidClash(place, base) !== undefined);

/**
 * How long a weak acid (vinegar, citric, a household descaler) may stand on a metal before it takes more than scale, min.
 * Usual practice; the paper of the cleaner goes before.
 */
const ACID_MOST_MIN: Partial<Record<Material, number>> = {
  iron: 60,
  steel: 60,
  brass: 240,
  bronze: 240,
  copper: 240,
  nitrile: 240,
};

/** Longer than this the acid harms it, min; nothing where no limit is known. */
export const acidMost_min = (material: Material): number | undefined => ACID_MOST_MIN[material];

/** The least that a medium has when it is at work, °C: steam at the pressure of the air. */
const HOT_C: Partial<Record<Medium, number>> = { steam: 100, condensate: 100 };

/** What softens below the heat of its medium. */
export const tooHotFor = (hottest_C: number, medium: Medium): number | undefined => {
  const hot = HOT_C[medium];
  return hot !== undefined && hottest_C <= hot ? hot : undefined;
};
