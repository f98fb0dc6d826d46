import type { Line, Sheet } from "../formats";
import { forEachLink, mediumOf, network, standing } from "../line";
import { type HeldByOthers, siteOf, World } from "../world";
import { STANDARD_AT, standardLine } from "./standard-line";

export interface Stands {
  readonly sheet: Sheet;
  readonly build?: string;
  /** As it is built; the standard one where none is drawn. */
  readonly line?: Line;
  /** The node, or the tag, of the valve. */
  readonly at?: string;
  /** What other jobs hold. */
  readonly held?: HeldByOthers;
}

/** What of a line decides whether a valve gets what it should: by the ids of the line. */
export interface Around {
  readonly line: Line;
  readonly place: Stands;
  /** Places at the valve that hold its medium, and that hold electricity. */
  readonly here: readonly string[];
  readonly power: readonly string[];
  /** Stops that starve it when shut, nearest first: each alone is enough. */
  readonly stops: readonly string[];
  /** The far side of the nearest stop. */
  readonly furtherUp?: string;
  /** Somebody else who is fed from before the nearest stop. */
  readonly beside?: string;
}

/** So far up a line it is looked for stops. */
const MOST_STOPS = 40;
const FAR = 3;

export function worldOf({ sheet, build, held }: Stands, line: Line, at: string): World {
  return new World(
    siteOf({ sheet, line, at, ...(build !== undefined && { build }), ...(held !== undefined && { held }) }),
  );
}

/** The line around a valve, looked over once: what feeds it, and what is fed beside it. */
export function around(place: Stands): Around {
  const line = place.line ?? standardLine(place.sheet.isolation.medium);
  const at = place.line === undefined ? STANDARD_AT : (place.at ?? STANDARD_AT);
  const { held: _, ...unheld } = place;
  const usual = worldOf(unheld, line, at);
  const here = usual.wet;
  const fed = (world: World) => here.some((node) => world.isLive(node));
  const shutAt = (link: string) => {
    const world = usual.copy();
    world.shut.set(link, true);
    world.settle();
    return world;
  };
  const stops: string[] = [];
  if (fed(usual))
    for (const link of nearby(line, here)) {
      if (!fed(shutAt(link))) stops.push(link);
      if (stops.length === FAR) break;
    }
  const base = { line, place: { ...place, line, at }, here, power: usual.electric, stops };
  const [nearest] = stops;
  if (nearest === undefined) return base;
  const without = shutAt(nearest);
  const link = line.links.find(({ id }) => id === nearest)!;
  const furtherUp = [link.from, link.to].find((node) => without.isLive(node));
  const beside = inOrder(line, here).find(
    (node) => !here.includes(node) && usual.isLive(node) && without.isLive(node) && isFed(line, node),
  );
  return {
    ...base,
    ...(furtherUp !== undefined && { furtherUp }),
    ...(beside !== undefined && { beside }),
  };
}

function isFed(line: Line, id: string): boolean {
  const node = line.nodes.find((each) => each.id === id);
  return (
    node !== undefined &&
    (node.kind === "consumer" || node.asset !== undefined) &&
    mediumOf(line, node) !== "electricity"
  );
}

/** Places in the order in which one comes to them from the valve. */
function inOrder(line: Line, from: readonly string[]): string[] {
  return walk(line, from).nodes;
}

/** Stops that stand open, nearest first. */
function nearby(line: Line, from: readonly string[]): string[] {
  return walk(line, from).stops.slice(0, MOST_STOPS);
}

function walk(line: Line, from: readonly string[]): { readonly nodes: string[]; readonly stops: string[] } {
  const net = network(standing(line, new Map()));
  const seen = new Set(from.flatMap((id) => net.nodeIndex.get(id) ?? []));
  const nodes = [...seen];
  const stops = new Set<string>();
  for (const at of nodes)
    forEachLink(net, at, (index, next) => {
      const link = net.links[index]!;
      if (link.kind === "valve" && link.normally === "open") stops.add(link.id);
      if (seen.has(next)) return;
      seen.add(next);
      nodes.push(next);
    });
  return { nodes: nodes.map((each) => net.nodes[each]!.id), stops: [...stops] };
}
