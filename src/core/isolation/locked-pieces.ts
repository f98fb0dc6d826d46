import type { Medium } from "../formats";
import { forEachLink, MEDIA_RULES, mediumOf, type Network, otherEnd, standsShut } from "../line";
import { type Liquid, liquidAt, lockedLiquidRise, pipeVolume, STEEL_PIPE } from "../physics";
import type { Length } from "../quantity";
import type { Bleed, LockedPiece } from "./plan";

import type { Section } from "./section";

/** Outside diameter over wall of common steel pipe: rather too thick, so that the rise is rather too high. */
const DIAMETER_TO_WALL = 20;
/** Temperature that a stretch is taken at where no source says one, °C. */
const USUAL_C: Record<Liquid, number> = { water: 15, ammonia: -10, co2: -20, oil: 20 };
/** Hotter than this it cools while it stands, and draws in. */
const COOLS_C = 40;
/** Less liquid than this gives at its joints before it does harm. */
const LEAST_L = 0.2;

const liquidOf = (medium: Medium): Liquid | undefined =>
  medium === "condensate"
    ? "water"
    : medium === "water" || medium === "ammonia" || medium === "co2" || medium === "oil"
      ? medium
      : undefined;

/** Pieces of the line that the closures leave full, with neither vessel, relief nor open bleed to give way. */
export function lockedPieces(
  net: Network,
  {
    closed,
    section,
    bleeds,
  }: {
    readonly closed: ReadonlySet<number>;
    readonly section: Section;
    readonly bleeds: readonly Bleed[];
  },
): LockedPiece[] {
  const open = new Set(bleeds.map((bleed) => bleed.node));
  const inSection = new Set(section.nodes);
  // Only what borders on a closure can have become locked by it.
  const starts = new Set([...closed].flatMap((link) => [net.from[link]!, net.to[link]!]));
  const seen = new Uint8Array(net.nodes.length);
  const pieces: LockedPiece[] = [];
  for (const start of starts) {
    if (seen[start] || givesStraight(net, start, closed)) continue;
    const piece = [start];
    seen[start] = 1;
    let gives = false;
    let volume = 0;
    for (const node of piece) {
      const { kind, id, volume_L, feedsBack } = net.nodes[node]!;
      gives ||=
        kind === "vessel" ||
        kind === "source" ||
        kind === "boundary" ||
        kind === "relief" ||
        volume_L !== undefined ||
        feedsBack === true ||
        open.has(id);
      // A live main goes on for ever; once it is known to give, the rest of it tells nothing.
      if (gives) break;
      forEachLink(net, node, (link, next) => {
        const each = net.links[link]!;
        const along = net.from[link] === node;
        if (closed.has(link) || standsShut(each) || (each.kind === "check" && !along)) return;
        if (each.kind === "pipe" && along)
          volume += pipeVolume((each.dn_mm / 1000) as Length, each.length_m as Length) * 1000;
        if (seen[next]) return;
        seen[next] = 1;
        piece.push(next);
      });
    }
    const medium = mediumOf(net.line, net.nodes[start]!);
    const liquid = isLiquid(net, piece, medium) ? liquidOf(medium) : undefined;
    if (gives || liquid === undefined || volume < LEAST_L) continue;
    const celsius = temperatureOf(net, piece, medium, liquid);
    if (celsius > COOLS_C) continue;
    const rise = lockedLiquidRise(liquidAt(liquid, celsius), {
      ...STEEL_PIPE,
      diameterToWall: DIAMETER_TO_WALL,
    });
    const barPerKelvin = rise / 1e5;
    const { rating_bar } = net.line;
    pieces.push({
      nodes: piece.map((node) => net.nodes[node]!.id),
      medium,
      volume_L: volume,
      barPerKelvin,
      ...(rating_bar !== undefined && barPerKelvin > 0 && { kelvinToRating: rating_bar / barPerKelvin }),
      untilDrained: piece.some((node) => inSection.has(net.nodes[node]!.id)),
    });
  }
  return pieces;
}

/** Whether the shortest way to an energy lets the liquid back to it: most often it does, and nobody need search. */
function givesStraight(net: Network, start: number, closed: ReadonlySet<number>): boolean {
  for (let node = start; ; ) {
    const next = net.towardsEnergy[node]!;
    if (next === node) return true;
    if (next === -1) return false;
    const at = node;
    const open = net.incident
      .subarray(net.start[node]!, net.start[node + 1]!)
      .some(
        (link) =>
          otherEnd(net, link, at) === next &&
          !closed.has(link) &&
          net.lets[link]! & (net.from[link] === at ? 1 : 2),
      );
    if (!open) return false;
    node = next;
  }
}

/** Vapour lines give: a refrigerant counts as liquid only where a place says so. */
function isLiquid(net: Network, piece: readonly number[], medium: Medium): boolean {
  if (medium !== "ammonia" && medium !== "co2") return MEDIA_RULES[medium].liquid;
  return (
    piece.some((node) => net.nodes[node]!.stream === "liquid") &&
    piece.every((node) => {
      const { stream } = net.nodes[node]!;
      return stream === undefined || stream === "liquid";
    })
  );
}

/** That of the sources of its medium and, where the piece names one, of its stream; the warmest counts. */
function temperatureOf(net: Network, piece: readonly number[], medium: Medium, liquid: Liquid): number {
  const streams = new Set(piece.flatMap((node) => net.nodes[node]!.stream ?? []));
  const told = net.energies.flatMap((index) => {
    const { temperature_C, stream } = net.nodes[index]!;
    const same = stream === undefined || streams.size === 0 || streams.has(stream);
    return temperature_C !== undefined && same && mediumOf(net.line, net.nodes[index]!) === medium
      ? [temperature_C]
      : [];
  });
  return told.length > 0 ? Math.max(...told) : USUAL_C[liquid];
}
