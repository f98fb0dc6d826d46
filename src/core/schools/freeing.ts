import { fastens, heldBy, MELTS } from "../build";
import type { Part, Sheet, Task } from "../formats";
import { type NotBecause, partsOff, type School, type Site, type UsualBecause, wayHere } from "./school";

/** Penetrating oil and patience, or a shock on the head: by what would crack, deform or burn. */
export const freeing: School<"freeing"> = {
  offer(site) {
    const { sheet } = site;
    const bolts = reachable(site);
    if (bolts.length === 0) return undefined;
    const own = tasksOf(site);
    const shocks = own.find(({ way }) => way === "shock");
    const oils = own.find(({ way }) => way === "oil");
    const usual = shocks === undefined ? "oil" : "shock";
    return {
      usual,
      because: usualBecause(sheet, shocks ?? oils, bolts),
      about: bolts.map(({ name }) => name),
      ways: [
        wayHere({ way: "oil", usual }, bolts, (part) =>
          shocks !== undefined && !hasOil(sheet) ? { kind: "not-on-its-sheet" } : notOiled(part),
        ),
        // What its sheet shocks is shocked where its sheet says.
        shocks === undefined
          ? wayHere({ way: "shock", usual }, bolts, (part) => notShocked(sheet, part))
          : { way: "shock", keeps: [] },
      ],
    };
  },
  // It changes what is done, not the sheet.
  worked: (sheet) => sheet,
};

function usualBecause(sheet: Sheet, own: Task | undefined, bolts: readonly Part[]): UsualBecause {
  if (own !== undefined) return { kind: "sheet", says: own.why };
  for (const part of bolts) {
    const because = notShocked(sheet, part)?.kind;
    if (because === "burns-near") return { kind: "burns-near" };
    if (because === "cracks" || because === "deforms") return { kind: "shock-breaks", part: part.name };
  }
  return { kind: "breaks-nothing" };
}

const tasksOf = ({ sheet, removed }: Site): Task[] =>
  (sheet.tasks ?? []).filter(
    ({ way, needsOff = [] }) =>
      (way === "shock" || way === "oil") && needsOff.every((part) => removed.includes(part)),
  );

const SOFT: ReadonlySet<Part["material"]> = new Set(["brass", "bronze", "copper", "aluminium"]);
const BURNS: ReadonlySet<string> = new Set(["gas", "ammonia"]);

/** Why a fastener is not shocked: it or what it clamps breaks, it deforms, what is left of the medium burns. */
function notShocked(sheet: Sheet, part: Part): NotBecause | undefined {
  if (BURNS.has(sheet.isolation.medium)) return { kind: "burns-near" };
  const near = [part, ...heldBy(sheet, part)];
  if (near.some(({ brittle, material }) => brittle === true || MELTS.has(material)))
    return { kind: "cracks" };
  if (SOFT.has(part.material)) return { kind: "deforms" };
  return sheet.tools.some((tool) => tool.class === "hammer") ? undefined : { kind: "not-on-its-sheet" };
}

const hasOil = ({ supplies }: Sheet) => supplies.some(({ base }) => base === "petroleum");

const notOiled = ({ material, potable, dryByDesign }: Part): NotBecause | undefined => {
  if (dryByDesign !== undefined) return { kind: "dry-by-design" };
  if (potable === true) return { kind: "not-for-drinking-water" };
  return MELTS.has(material)
    ? { kind: "clash", base: "petroleum", why: "it swells or cracks. Warm water and patience." }
    : undefined;
};

/** Fasteners that lie outside: nothing but fasteners comes off before them. */
function reachable(site: Site): Part[] {
  const parts = new Map(site.sheet.parts.map((part) => [part.id, part]));
  const outside = (part: Part, seen: ReadonlySet<string>): boolean =>
    fastens(part) &&
    !seen.has(part.id) &&
    part.ways.every(({ heldBy }) =>
      heldBy.every((id) => {
        const holder = parts.get(id);
        return holder !== undefined && outside(holder, new Set([...seen, part.id]));
      }),
    );
  return partsOff(site).filter((part) => outside(part, new Set()));
}

/** Fasteners that may be shocked before anything is open, where their sheet does not do so itself. */
export const shockable = (site: Site): Part[] =>
  reachable(site).filter((part) => notShocked(site.sheet, part) === undefined);

/** Fasteners that oil may creep into before anything is open. */
export const oilable = (site: Site): Part[] => reachable(site).filter((part) => notOiled(part) === undefined);
