import type { Medium, Part, ReleaseRung, Sheet } from "../formats";
import { MEDIA_RULES } from "../line";

/** How pressure that is left gets out: the gentlest rung the valve has, or that none of them may be used. */
export type Release =
  | { readonly kind: "rung"; readonly rung: ReleaseRung }
  | { readonly kind: "barred"; readonly medium: Medium };

const RUNGS: readonly ReleaseRung["rung"][] = ["port", "gauge-valve", "fitting", "cover"];

/**
 * The rung to stand on: a port made for it, a gauge valve, a fitting, and last the cover itself with two bolts left
 * in; never the cover where what comes out scalds, poisons, burns or chokes.
 */
export function releaseOf(sheet: Sheet): Release | undefined {
  if (sheet.release === undefined) return undefined;
  const { medium } = sheet.isolation;
  const [gentlest] = sheet.release
    .filter((each) => each.rung !== "cover" || MEDIA_RULES[medium].crackCover)
    .toSorted((a, b) => RUNGS.indexOf(a.rung) - RUNGS.indexOf(b.rung));
  return gentlest === undefined ? { kind: "barred", medium } : { kind: "rung", rung: gentlest };
}

/** A rung of the ladder for what will not move: what to try, or why this material says stop. */
export interface StuckRung {
  readonly rung: "pull" | "oil" | "heat" | "shock" | "cut";
  readonly how:
    | "steady-pull"
    | "no-oil"
    | "oil-and-time"
    | "no-flame-near-gas"
    | "hot-water"
    | "warm-air"
    | "cracks"
    | "shears"
    | "tap"
    | "oil-was-chosen"
    | "cut-out"
    | "in-no-kit";
  readonly stop: boolean;
}

/** Rubber, plastic and what is pressed of fibre: no oil, no flame, no blow. */
export const MELTS: ReadonlySet<Part["material"]> = new Set([
  "plastic",
  "nitrile",
  "epdm",
  "silicone",
  "ptfe",
  "fibre",
]);

const SHEARS: ReadonlySet<Part["material"]> = new Set(["brass", "bronze", "copper"]);

/**
 * Right size and steady pull, oil and time, heat, shock, cut: with the rung at which this part says stop.
 *
 * @param noShock the job frees by oil and patience, and hits nothing
 */
export function stuckLadder(part: Part, sheet: Sheet, noShock = false): StuckRung[] {
  const near = sheet.parts.some(
    (each) => MELTS.has(each.material) && each.ways.some((way) => way.heldBy.includes(part.id)),
  );
  const burns = ["gas", "ammonia"].includes(sheet.isolation.medium);
  const soft = MELTS.has(part.material);
  const brittle = part.brittle === true || part.material === "plastic";
  const go = (rung: StuckRung["rung"], how: StuckRung["how"]): StuckRung => ({ rung, how, stop: false });
  const stop = (rung: StuckRung["rung"], how: StuckRung["how"]): StuckRung => ({ rung, how, stop: true });
  const gentle = [go("pull", "steady-pull"), go("oil", soft ? "no-oil" : "oil-and-time")];
  if (burns) return [...gentle, stop("heat", "no-flame-near-gas")];
  const heat = go("heat", soft || near ? "hot-water" : "warm-air");
  // A spindle that shears takes the valve with it.
  if (part.shape.kind === "stem" && SHEARS.has(part.material))
    return [...gentle, heat, stop("shock", "shears")];
  if (brittle) return [...gentle, heat, stop("shock", "cracks")];
  if (noShock) return [...gentle, heat, stop("shock", "oil-was-chosen")];
  return [
    ...gentle,
    heat,
    go("shock", "tap"),
    part.keep === undefined ? go("cut", "cut-out") : stop("cut", "in-no-kit"),
  ];
}
