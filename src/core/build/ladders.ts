import type { Part, ReleaseRung, Sheet } from "../formats";
import { MEDIA_RULES } from "../line";
import { formatKept, type UnitSystem } from "../quantity";

/** How pressure that is left gets out: the gentlest rung the valve has, or why none of them may be used. */
export type Release =
  | { readonly kind: "rung"; readonly rung: ReleaseRung }
  | { readonly kind: "barred"; readonly says: string };

const RUNGS: readonly ReleaseRung["rung"][] = ["port", "gauge-valve", "fitting", "cover"];

/**
 * The rung to stand on: a port made for it, a gauge valve, a fitting, and last the cover itself with two bolts left
 * in; never the cover where what comes out scalds, poisons, burns or chokes.
 */
export function releaseOf(sheet: Sheet): Release | undefined {
  if (sheet.release === undefined) return undefined;
  const medium = MEDIA_RULES[sheet.isolation.medium];
  const [gentlest] = sheet.release
    .filter((each) => each.rung !== "cover" || medium.crackCover)
    .toSorted((a, b) => RUNGS.indexOf(a.rung) - RUNGS.indexOf(b.rung));
  return gentlest === undefined
    ? {
        kind: "barred",
        says: `This valve has no port, gauge valve or fitting to let ${medium.name} out, and ${medium.name} is never let out at the cover. Have a port fitted, or empty the section elsewhere and prove it there.`,
      }
    : { kind: "rung", rung: gentlest };
}

/** A rung of the ladder for what will not move: what to try, or where this material says stop. */
export interface StuckRung {
  readonly name: string;
  readonly do: string;
  readonly stop: boolean;
}

const MELTS: ReadonlySet<Part["material"]> = new Set([
  "plastic",
  "nitrile",
  "epdm",
  "silicone",
  "ptfe",
  "fibre",
]);

/** Right size and steady pull, oil and time, heat, shock, cut: with the rung at which this part says stop. */
export function stuckLadder(part: Part, sheet: Sheet, system: UnitSystem): StuckRung[] {
  const near = sheet.parts.some(
    (each) => MELTS.has(each.material) && each.ways.some((way) => way.heldBy.includes(part.id)),
  );
  const gas = ["gas", "ammonia"].includes(sheet.isolation.medium);
  const soft = MELTS.has(part.material);
  const brittle = part.brittle === true || part.material === "plastic";
  const rungs: StuckRung[] = [
    { name: "Steady pull", do: "The right size, square on, both hands, no jerk.", stop: false },
    soft
      ? {
          name: "Oil",
          do: "No oil on rubber or plastic: it swells or cracks. Warm water and patience.",
          stop: false,
        }
      : {
          name: "Oil and time",
          do: "Penetrating oil, ten minutes, then pull again. Wipe it off before rebuilding.",
          stop: false,
        },
  ];
  if (gas)
    return [...rungs, { name: "Heat", do: "Never near what burns. Stop here: hand it over.", stop: true }];
  if (soft || near)
    rungs.push({
      name: "Heat",
      do: `Hot water only, under ${formatKept(80, "°C", system)}: seals lie behind it.`,
      stop: false,
    });
  else rungs.push({ name: "Heat", do: "Warm air round it, evenly, to hand-hot; then pull.", stop: false });
  if (brittle)
    return [
      ...rungs,
      { name: "Shock", do: "Stop here. It cracks before it moves: renew the whole valve.", stop: true },
    ];
  return [
    ...rungs,
    { name: "Shock", do: "One sharp tap on the head, square, then pull.", stop: false },
    part.keep === undefined
      ? { name: "Cut", do: "Cut it out, if a new one is in hand. Shield the faces beside it.", stop: false }
      : { name: "Cut", do: "Stop here: this one is in no kit.", stop: true },
  ];
}
