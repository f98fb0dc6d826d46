import { type Cut, cutOf, type Flange, flangeOf } from "../build";
import type { Part, Sheet } from "../formats";
import {
  type NotBecause,
  partsOff,
  type School,
  type UsualBecause,
  usually,
  wayHere,
  withParts,
} from "./school";

/** A full face is prised out from under the bolts, min. */
const PRISE_MIN = 2;

/** A ring inside the bolts, or a full face with a hole for each: by the faces, what they are made of, and the bolts. */
export const gasket: School<"gasket"> = {
  offer(site) {
    const { sheet } = site;
    const gaskets = partsOff(site).filter((part) => cutOf(sheet, part) !== undefined);
    const is = usually(gaskets, (part) => cutOf(sheet, part));
    const shown = gaskets.find((part) => cutOf(sheet, part) === is?.usual);
    if (is === undefined || shown === undefined) return undefined;
    const { usual, mixed } = is;
    return {
      usual,
      mixed,
      because: becauseOf(sheet, shown, usual),
      about: gaskets.map(({ name }) => name),
      ways: (["full-face", "ring"] as const).map((way) =>
        wayHere(
          { way, usual },
          gaskets,
          (part) => notAt(sheet, part, way),
          (part) => cutOf(sheet, part) === way,
        ),
      ),
    };
  },
  worked(sheet, way) {
    const changed = new Map<string, Cut>();
    const parts = withParts(sheet, (part) => {
      const now = cutOf(sheet, part);
      const flange = flangeOf(sheet, part);
      if (now === undefined || flange === undefined || now === way) return part;
      if (notAt(sheet, part, way) !== undefined) return part;
      changed.set(part.id, now);
      const minutes = way === "full-face" ? PRISE_MIN : 0;
      return {
        ...part,
        shape: { ...part.shape, diameter_mm: outside_mm(flange, way) },
        ways: part.ways.map((each) => ({ ...each, minutes: each.minutes + minutes })),
      };
    });
    if (changed.size === 0) return sheet;
    // What a kit says nothing of is cut as the sheet drew it.
    return {
      ...parts,
      singles: parts.singles.filter((id) => !changed.has(id)),
      kits: parts.kits.map((kit) => ({
        ...kit,
        contents: kit.contents.map((item) => {
          const drawn = changed.get(item.part);
          return drawn === undefined || item.cut !== undefined ? item : { ...item, cut: drawn };
        }),
      })),
    };
  },
};

/** A ring lies against the bolts at most; a full face reaches at least a bolt beyond their circle. */
const outside_mm = ({ circle_mm, bolt_mm = 0 }: Flange, way: Cut): number =>
  way === "ring" ? circle_mm - bolt_mm : circle_mm + Math.max(bolt_mm, 1);

/** Bolts of these grades pull no more than a soft rim bears. */
const SOFT_GRADES: ReadonlySet<string> = new Set(["4.6", "4.8", "5.6", "A2-50", "A4-50"]);

const bends = ({ material, brittle }: Part) =>
  brittle === true || material === "iron" || material === "plastic";

/** What the bolts of a flat-faced flange would bend round a ring. */
function bentBy({ bolts, clamps }: Flange): Part | undefined {
  const { grade } = bolts.fastener ?? {};
  return grade !== undefined && SOFT_GRADES.has(grade) ? undefined : clamps.find(bends);
}

function notAt(sheet: Sheet, part: Part, way: Cut): NotBecause | undefined {
  if (cutOf(sheet, part) === way) return undefined;
  const flange = flangeOf(sheet, part);
  if (part.face === undefined || flange === undefined) return { kind: "face-unknown" };
  if (way === "full-face" && part.face === "recessed") return { kind: "does-not-lie-in-a-recess" };
  const bent = way === "ring" && part.face === "flat" ? bentBy(flange) : undefined;
  if (bent !== undefined) return { kind: "bends-the-rim", part: bent.name };
  return sheet.kits.some(({ contents }) => contents.some((each) => each.part === part.id && each.cut === way))
    ? undefined
    : { kind: "no-kit-cut-so" };
}

function becauseOf(sheet: Sheet, part: Part, usual: Cut): UsualBecause {
  const flange = flangeOf(sheet, part);
  if (usual === "ring") return { kind: part.face === "recessed" ? "in-a-recess" : "inside-the-bolts" };
  const bent = part.face === "flat" && flange !== undefined ? bentBy(flange) : undefined;
  return bent === undefined ? { kind: "sheet" } : { kind: "flat-and-brittle", part: bent.name };
}
