import { forEachLink, type Network, standsShut } from "../line";
import type { Sides } from "./cut-problem";

/** What stands between two barriers and hangs together. */
export interface Between {
  readonly nodes: readonly number[];
  /** Links to the inside and to the live side. */
  readonly inner: readonly number[];
  readonly outer: readonly number[];
  /** Its lowest drain, or its vent when it has no drain. */
  readonly bleed: number | undefined;
}

/** The pieces between the barriers that touch both, each with what lets out whatever creeps past the first. */
export function between(net: Network, { inner, dead }: Sides): Between[] {
  const pieces: Between[] = [];
  const seen = new Uint8Array(net.nodes.length);
  for (const start of dead.nodes.toSorted((a, b) => a - b)) {
    if (seen[start] || inner.has[start]) continue;
    const nodes = [start];
    seen[start] = 1;
    const toInner = new Set<number>();
    const toOuter = new Set<number>();
    // A valve that stands shut inside the piece is a wall for the bleed, though nobody locked it.
    let walled = false;
    for (const node of nodes)
      forEachLink(net, node, (link, next) => {
        if (inner.has[next]) toInner.add(link);
        else if (!dead.has[next]) toOuter.add(link);
        else if (standsShut(net.links[link]!)) walled = true;
        else if (!seen[next]) {
          seen[next] = 1;
          nodes.push(next);
        }
      });
    if (toInner.size > 0 && (toOuter.size > 0 || walled))
      pieces.push({ nodes, inner: [...toInner], outer: [...toOuter], bleed: bleedAmong(net, nodes) });
  }
  return pieces;
}

/** The first piece between the barriers that has nothing to bleed it. */
export const unbledPiece = (net: Network, sides: Sides): Between | undefined =>
  between(net, sides).find((piece) => piece.bleed === undefined);

function bleedAmong(net: Network, nodes: readonly number[]): number | undefined {
  const merit = (node: number) => {
    const { kind, elevation_m } = net.nodes[node]!;
    return kind === "drain" ? 1e6 - elevation_m : kind === "vent" ? -1e6 - elevation_m : undefined;
  };
  let best: number | undefined;
  for (const node of nodes) {
    const value = merit(node);
    if (value !== undefined && (best === undefined || value > merit(best)!)) best = node;
  }
  return best;
}
