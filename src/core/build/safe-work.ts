import type { Caution, Part, Sheet, Way } from "../formats";
import { MEDIA_RULES, type MediumRule, releaseCaution } from "../line";
import { formatKept, type UnitSystem } from "../quantity";

/**
 * What a step must keep to, worked out from what the part is made of, what it does and what stands behind it, so that
 * no sheet has to say it again and none can forget it. What a sheet says itself is kept and comes first.
 */

/** Bolts that stay in while a cover is cracked. */
export const STAY_IN = 2;
/** From here a part is held before its last fastener is out; from the second on by two people or a hoist, kg. */
const SUPPORT_KG = 8;
/** The guideline weight of the UK's HSE leaflet INDG143 for lifting close to the body at waist height, kg. */
const HOIST_KG = 25;

interface Facts {
  readonly part: Part;
  /** Parts that this one holds. */
  readonly holds: readonly Part[];
  readonly medium: MediumRule;
  /** What can happen where the medium comes out. */
  readonly release: Caution;
  readonly system: UnitSystem;
}

type Forbidden = NonNullable<Way["forbidden"]>[number];

const isFastener = (part: Part) => part.fastener !== undefined || part.shape.kind === "screws";
const closes = (part: Part) => part.role === "cover" || part.role === "bonnet";
const rubber = (part: Part) => ["nitrile", "epdm", "silicone", "ptfe"].includes(part.material);
const seals = (part: Part) => ["seat", "disc", "ball"].includes(part.shape.kind);

const FORBIDDEN: readonly (Forbidden & { readonly when: (facts: Facts) => boolean })[] = [
  {
    tool: "Hammer",
    why: "it cracks without warning. Use oil, heat and a steady pull",
    when: ({ part }) => part.brittle === true || part.material === "plastic",
  },
  {
    tool: "Impact driver",
    why: "a shock cracks what the screws clamp",
    when: ({ part, holds }) =>
      isFastener(part) && holds.some((each) => each.brittle === true || each.material === "plastic"),
  },
  {
    tool: "Power driver",
    why: "it strips or cracks plastic before you feel it",
    when: ({ part, holds }) =>
      part.material === "plastic" || (isFastener(part) && holds.some((each) => each.material === "plastic")),
  },
  {
    tool: "Pipe wrench",
    why: "it bites the soft metal, and the flats round next time",
    when: ({ part }) => ["brass", "bronze"].includes(part.material) && part.shape.kind !== "stem",
  },
  {
    tool: "Adjustable spanner",
    why: "on soft brass it slips and rounds the flats",
    when: ({ part }) => part.fastener !== undefined && ["brass", "bronze", "plastic"].includes(part.material),
  },
  {
    tool: "Pipe wrench",
    why: "it scores the stem where the seal runs, or shears it",
    when: ({ part }) => part.shape.kind === "stem",
  },
  {
    tool: "Steel pick",
    why: "a scratch in the groove leaks for good",
    when: ({ part }) => rubber(part) && ["ring", "packing", "washer", "diaphragm"].includes(part.shape.kind),
  },
  {
    tool: "Steel scraper",
    why: "a scratched sealing face lets through for good",
    when: ({ part }) => seals(part) || part.shape.kind === "washer",
  },
];

const SPILLS = "What is left behind it can push it off.";

function cautionsOf({ part, holds, medium, release, system }: Facts): Caution[] {
  const cautions: Caution[] = [];
  const cover = holds.find(closes);
  if (isFastener(part) && cover !== undefined)
    cautions.push({
      can: `${SPILLS} ${medium.crackCover ? "" : release.can}`.trim(),
      do: `Stand to the side, face away from the ${cover.name.toLowerCase()}.${
        medium.crackCover
          ? ""
          : " If anything comes out, tighten again and prove zero anew: never let it out here."
      }`,
    });
  if (part.loaded !== undefined)
    cautions.push({
      can: part.loaded,
      do: "Keep it held while the last thread lets go; stand clear of its line.",
    });
  const heavy = isFastener(part)
    ? holds.find((each) => (each.weight_kg ?? 0) >= SUPPORT_KG)
    : (part.weight_kg ?? 0) >= SUPPORT_KG
      ? part
      : undefined;
  if (heavy?.weight_kg !== undefined)
    cautions.push({
      can: `The ${heavy.name.toLowerCase()} weighs ${formatKept(heavy.weight_kg, "kg", system)} and drops when the last one is out.`,
      do:
        heavy.weight_kg >= HOIST_KG
          ? "Carry it on a hoist or jack, or lift with two. Feet clear, no finger in a bolt hole."
          : "Support it first. Feet clear, no finger in a bolt hole.",
    });
  return cautions;
}

/** Bolts of a cover with pressure behind: how many stay in while it is cracked. */
function stayIn({ part, holds }: Facts): number | undefined {
  return isFastener(part) && part.quantity > STAY_IN && holds.some(closes) ? STAY_IN : undefined;
}

/**
 * The position in which a part may come off and go on: a bonnet with the valve open (shut, its stem would press the
 * closing part on its seat), a gland back-seated, the bolts of a ball valve pulled with the ball shut.
 */
function positionFor(sheet: Sheet, part: Part): { off?: string; on?: string } {
  const at = (role: string) => sheet.position?.names.find((each) => each.role === role)?.id;
  const some = (off: string | undefined, on: string | undefined) => ({
    ...(off !== undefined && { off }),
    ...(on !== undefined && { on }),
  });
  if (part.role === "bonnet") return some(at("back-seated") ?? at("open"), at("back-seated") ?? at("open"));
  if (part.role === "gland") return some(at("back-seated"), at("back-seated"));
  const ball = sheet.parts.some((each) => each.shape.kind === "ball" && each.quantity === 1);
  if (ball && part.fit?.end.kind === "torque" && part.quantity > STAY_IN) return some(undefined, at("shut"));
  return {};
}

function complete(sheet: Sheet, system: UnitSystem): Sheet {
  const medium = MEDIA_RULES[sheet.isolation.medium];
  const release = releaseCaution(sheet.isolation.medium, system);
  return {
    ...sheet,
    parts: sheet.parts.map((part) => {
      if (part.stays === true) return part;
      const holds = sheet.parts.filter((each) => each.ways.some((way) => way.heldBy.includes(part.id)));
      const facts: Facts = { part, holds, medium, release, system };
      const forbidden = FORBIDDEN.filter((rule) => rule.when(facts)).map(({ tool, why }) => ({ tool, why }));
      const cautions = cautionsOf(facts);
      const stay = stayIn(facts);
      const { off, on } = positionFor(sheet, part);
      return {
        ...part,
        ways: part.ways.map((way) => ({
          ...way,
          forbidden: unlessSaid(way.forbidden ?? [], forbidden, (each) => each.tool.toLowerCase()),
          cautions: [...(way.cautions ?? []), ...cautions],
          ...(stay !== undefined && { stayUntilCracked: way.stayUntilCracked ?? stay }),
          ...(off !== undefined && { position: { before: off, ...way.position } }),
        })),
        ...(part.fit !== undefined && {
          fit: { ...part.fit, ...(on !== undefined && { position: { before: on, ...part.fit.position } }) },
        }),
      };
    }),
  };
}

function unlessSaid<T>(said: readonly T[], derived: readonly T[], key: (each: T) => string): T[] {
  const known = new Set<string>();
  return [...said, ...derived].filter((each) => {
    if (known.has(key(each))) return false;
    known.add(key(each));
    return true;
  });
}

const completed: Readonly<Record<UnitSystem, WeakMap<Sheet, Sheet>>> = {
  metric: new WeakMap(),
  us: new WeakMap(),
};

/** The sheet with everything that follows from its own facts; the same sheet gives the same object. */
export function withSafeWork(sheet: Sheet, system: UnitSystem): Sheet {
  const known = completed[system].get(sheet);
  if (known !== undefined) return known;
  const made = complete(sheet, system);
  completed[system].set(sheet, made).set(made, made);
  return made;
}
