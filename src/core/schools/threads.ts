import { fastens } from "../build";
import type { Part, Sheet, WayOf } from "../formats";
import { type NotBecause, partsOff, type School, usually, wayHere, withParts } from "./school";

type Way = WayOf<"threads">;

/** Paste on every stud, or clean and dry: the pull that makes the same clamp differs by the K of the thread. */
export const threads: School<"threads"> = {
  offer(site) {
    const { sheet } = site;
    const bolts = partsOff(site).filter((part) => fastens(part) && part.fit !== undefined);
    const free = bolts.filter((part) => meantFor(part) === undefined);
    const is = usually(free, wayOf);
    if (is === undefined) return undefined;
    const { usual, mixed } = is;
    const says = free.find((part) => wayOf(part) === usual && part.fit?.thread !== undefined)?.fit?.thread
      ?.why;
    return {
      usual,
      mixed,
      because:
        says !== undefined
          ? { kind: "sheet", says }
          : usual === "dry" && free.some(({ fit }) => fit?.end.kind === "torque")
            ? { kind: "stated-for-it" }
            : { kind: "sheet" },
      about: free.map(({ name }) => name),
      ways: (["anti-seize", "dry"] as const).map((way) =>
        wayHere(
          { way, usual },
          bolts,
          (part) => notAt(sheet, part, way),
          (part) => wayOf(part) === way,
        ),
      ),
    };
  },
  worked(sheet, way, why) {
    const paste = pasteOf(sheet);
    return withParts(sheet, (part) => {
      if (!fastens(part) || part.fit === undefined || part.stays === true) return part;
      if (wayOf(part) === way || notAt(sheet, part, way) !== undefined) return part;
      const thread =
        way === "dry" || paste === undefined
          ? ({ kind: "dry", why } as const)
          : ({ kind: "anti-seize", with: paste, why } as const);
      return { ...part, fit: { ...part.fit, thread } };
    });
  },
};

/** What its torque is stated for, where the sheet says nothing else of the thread. */
const statedFor = ({ fit }: Part) =>
  fit?.thread === undefined && fit?.end.kind === "torque" ? fit.end.stated : undefined;

const wayOf = (part: Part): Way =>
  part.fit?.thread?.kind === "anti-seize" || statedFor(part) === "anti-seize" ? "anti-seize" : "dry";

const pasteOf = ({ supplies }: Sheet): string | undefined =>
  supplies.find(({ base }) => base === "metallic")?.id;

/** A thread that does something else already. */
function meantFor(part: Part): NotBecause | undefined {
  const { fit, dryByDesign } = part;
  if (fit?.thread?.kind === "locker" || fit?.joint?.includes("lock") === true) return { kind: "must-lock" };
  if (fit?.thread?.kind === "sealant" || fit?.joint?.includes("seal") === true) return { kind: "must-seal" };
  const stated = statedFor(part);
  if (fit?.surface?.kind === "lubricate" || stated === "oiled" || stated === "grease")
    return { kind: "greased-already" };
  return dryByDesign === undefined ? undefined : { kind: "dry-by-design" };
}

function notAt(sheet: Sheet, part: Part, way: Way): NotBecause | undefined {
  const meant = meantFor(part);
  if (meant !== undefined) return meant;
  if (way === "dry" || wayOf(part) === way) return undefined;
  if (pasteOf(sheet) === undefined) return { kind: "not-on-its-sheet" };
  return part.potable === true ? { kind: "not-for-drinking-water" } : undefined;
}
