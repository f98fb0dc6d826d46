import type { Cause, Line, Look, PutInTheWorld, Sheet, Trouble } from "../formats";
import { isEnergy, mediumOf } from "../line";
import { fromSI, toSI, unit } from "../quantity";
import type { World } from "../world";
import { type Around, worldOf } from "./around";
import { limitsOf, unitOfLook } from "./measure";

/** How each cause answers each look that is read in the world: by look, cause and answer. */
export type ReadChances = Record<string, Record<string, Record<string, number>>>;

/** A plain look is right so often. */
const SEEN_RIGHT = 0.98;
/** How far a gauge may be off: of what it reads, and at least so many bar. */
const GAUGE_SHARE = 0.03;
const GAUGE_BAR = 0.08;

/**
 * Puts each cause into the world as a truth and reads the looks there. A cause that says nothing of the line leaves it as it
 * stands; what a look says of a cause by itself stays.
 */
export function readWorld(knowledge: Trouble, of: Around, sheet: Sheet): ReadChances {
  const looks = knowledge.looks.filter(({ world }) => world !== undefined);
  if (looks.length === 0) return {};
  const usual = worldOf(of.place, of.line, of.place.at!);
  const worlds = new Map(knowledge.causes.map((cause) => [cause.id, worldWith(cause, of, usual)]));
  return Object.fromEntries(
    looks.map((look) => {
      const told = new Set((look.tells ?? []).flatMap(({ causes }) => causes));
      const by = knowledge.causes.flatMap((cause) => {
        const world = worlds.get(cause.id);
        if (world === undefined || (cause.truth === undefined && told.has(cause.id))) return [];
        const chances = reading(look, world, of, sheet, cause);
        return chances === undefined ? [] : [[cause.id, chances] as const];
      });
      return [look.id, Object.fromEntries(by)];
    }),
  );
}

/** The world in which this is what is wrong; nothing where this line has no place for it. */
function worldWith({ truth }: Cause, of: Around, usual: World): World | undefined {
  return truth === undefined ? usual : placed(truth, of);
}

function placed(truth: PutInTheWorld, of: Around): World | undefined {
  switch (truth.kind) {
    case "stop-shut": {
      const link = of.stops[truth.which === "nearest" ? 0 : 1];
      return link === undefined ? undefined : worldOf(of.place, shut(of.line, link), of.place.at!);
    }
    case "supply-dead":
      return worldOf(
        of.place,
        unfed(of, (medium) => medium !== "electricity"),
        of.place.at!,
      );
    case "no-power":
      return worldOf(
        of.place,
        unfed(of, (medium) => medium === "electricity"),
        of.place.at!,
      );
  }
}

/** It has stood so for long: nothing is caught behind it. */
const shut = (line: Line, id: string): Line => ({
  ...line,
  links: line.links.map((link) =>
    link.id === id && link.kind === "valve" ? { ...link, normally: "shut" } : link,
  ),
});

/** The line with none of its energies of these media, but for what stands at the valve itself. */
const unfed = ({ line, here }: Around, of: (medium: ReturnType<typeof mediumOf>) => boolean): Line => ({
  ...line,
  nodes: line.nodes.map((node) => {
    if (!isEnergy(node) || here.includes(node.id) || !of(mediumOf(line, node))) return node;
    const { feedsBack: _, pressure_bar: __, ...rest } = node;
    return { ...rest, kind: node.kind === "consumer" ? "consumer" : "junction" };
  }),
});

function reading(
  look: Look,
  world: World,
  of: Around,
  sheet: Sheet,
  { truth }: Cause,
): Readonly<Record<string, number>> | undefined {
  const { world: read } = look;
  if (read === undefined) return undefined;
  const bar = (nodes: readonly string[]) => Math.max(0, ...nodes.map((node) => world.bar(node)));
  switch (read.reads) {
    case "pressure-here":
      return pressed(
        look,
        bar(of.here),
        of.here.some((node) => world.isLive(node)),
        sheet,
      );
    case "pressure-further-up":
      return of.furtherUp === undefined
        ? undefined
        : pressed(look, bar([of.furtherUp]), world.isLive(of.furtherUp), sheet);
    case "fed-beside":
      return of.beside === undefined ? undefined : seen(look, world.isLive(of.beside));
    case "power-here":
      return of.power.length === 0
        ? undefined
        : seen(
            look,
            of.power.some((node) => world.isLive(node)),
          );
    case "stop-near":
      return of.stops.length === 0
        ? undefined
        : seen(look, !(truth?.kind === "stop-shut" && truth.which === "nearest"));
  }
}

/** A look at whether there is something: mostly right. */
function seen({ world }: Look, there: boolean): Record<string, number> | undefined {
  if (world?.yes === undefined || world.no === undefined) return undefined;
  const [right, wrong] = there ? [world.yes, world.no] : [world.no, world.yes];
  return { [right]: SEEN_RIGHT, [wrong]: 1 - SEEN_RIGHT };
}

/** A gauge held against the limits of the look, or whether there is pressure at all. */
function pressed(look: Look, bar: number, live: boolean, sheet: Sheet): Record<string, number> | undefined {
  if (look.kind === "choice") return seen(look, live);
  const { low, high } = limitsOf(look, sheet);
  const inBar = (value: number) => fromSI(toSI(value, unitOfLook(look)), unit("bar g"));
  const spread = Math.max(GAUGE_BAR, GAUGE_SHARE * bar);
  const under = (limit: number) => normalBelow((inBar(limit) - bar) / spread);
  const below = low === undefined ? 0 : under(low);
  const above = high === undefined ? 0 : 1 - under(high);
  return { below, within: Math.max(0, 1 - below - above), above };
}

/** Share of a normal distribution below z; Abramowitz and Stegun 26.2.17, to 1e-7. */
function normalBelow(z: number): number {
  const t = 1 / (1 + 0.231_641_9 * Math.abs(z));
  const tail =
    (Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.319_381_53 + t * (-0.356_563_782 + t * (1.781_477_937 + t * (-1.821_255_978 + t * 1.330_274_429))));
  return z > 0 ? 1 - tail : tail;
}
