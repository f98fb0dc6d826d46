import { fluidClash } from "../build";
import type { Part, Sheet, WayOf } from "../formats";
import { type NotBecause, partsOff, type School, usually, wayHere, withParts } from "./school";

type Way = WayOf<"lubricant">;
const WAYS = ["silicone", "food-grade", "none"] as const;

/** Silicone grease, food-grade without silicone, or none: by the material under it, what people drink, what has to slide. */
export const lubricant: School<"lubricant"> = {
  offer(site) {
    const { sheet } = site;
    const greased = partsOff(site).filter((part) => wayOf(sheet, part) !== undefined);
    const is = usually(greased, (part) => wayOf(sheet, part));
    if (is === undefined) return undefined;
    const { usual, mixed } = is;
    return {
      usual,
      mixed,
      because: { kind: "sheet" },
      about: greased.map(({ name }) => name),
      ways: WAYS.map((way) =>
        wayHere(
          { way, usual },
          greased,
          (part) => notAt(sheet, part, way),
          (part) => wayOf(sheet, part) === way,
        ),
      ),
    };
  },
  worked: (sheet, way, why) =>
    withParts(sheet, (part) => {
      const { fit } = part;
      const now = wayOf(sheet, part);
      if (fit?.surface?.kind !== "lubricate" || now === undefined || now === way) return part;
      if (notAt(sheet, part, way) !== undefined) return part;
      const grease = way === "none" ? undefined : greaseOf(sheet, part, way);
      return {
        ...part,
        fit: {
          ...fit,
          surface: grease === undefined ? { kind: "dry", why } : { ...fit.surface, with: grease.id },
        },
      };
    }),
};

/** What greases it; nothing where it is another fluid's business: the oil of the plant, petroleum on a steam valve. */
function wayOf({ supplies }: Sheet, { fit }: Part): Exclude<Way, "none"> | undefined {
  const { surface } = fit ?? {};
  if (surface?.kind !== "lubricate") return undefined;
  const base = supplies.find(({ id }) => id === surface.with)?.base;
  return base === "silicone" || base === "food-grade" ? base : undefined;
}

/** A grease of this base that the sheet has, listed for drinking water where it has to be. */
const greaseOf = ({ supplies }: Sheet, { potable }: Part, way: Exclude<Way, "none">) =>
  supplies.find((each) => each.base === way && (potable !== true || each.potable === true));

const RUBBER: ReadonlySet<Part["material"]> = new Set(["nitrile", "epdm", "silicone", "ptfe"]);
/** What neither slides nor seals, and may go in dry. */
const STILL: ReadonlySet<Part["shape"]["kind"]> = new Set(["coil", "board", "cap", "body", "spring"]);

function notAt(sheet: Sheet, part: Part, way: Way): NotBecause | undefined {
  if (wayOf(sheet, part) === way) return undefined;
  if (way === "none")
    return RUBBER.has(part.material) || !STILL.has(part.shape.kind) || threaded(part)
      ? { kind: "torn-dry" }
      : undefined;
  const { medium } = sheet.isolation;
  const why = fluidClash(
    { material: part.material, medium, ...(part.potable === true && { potable: true }) },
    way,
  );
  if (why !== undefined) return { kind: "clash", base: way, why };
  if (greaseOf(sheet, part, way) !== undefined) return undefined;
  return sheet.supplies.some(({ base }) => base === way)
    ? { kind: "not-for-drinking-water" }
    : { kind: "not-on-its-sheet" };
}

const threaded = ({ fit }: Part) => fit?.surface?.kind === "lubricate" && fit.surface.on === "thread";
