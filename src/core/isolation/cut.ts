import type { LineValve } from "../formats";
import { energies, type Network } from "../line";
import { closingMinutes, unfitness } from "./barrier";
import { maximumFlow, UNLIMITED } from "./maximum-flow";

/** Minutes are weighed in tenths, so that the flow stays in whole numbers. */
const TENTHS = 10;

/** What a valve that is unfit would cost if it were made good first: far more than any walk. */
const MAKE_GOOD_MIN = 10_000;

export interface CutDemand {
  /** Nodes that will be open to a person. */
  readonly zone: readonly number[];
  readonly passing: ReadonlySet<string>;
  readonly avoid: ReadonlySet<string>;
  /** Nodes that have to stay on the live side. */
  readonly keepLive: readonly number[];
}

export type Cut =
  | { readonly kind: "found"; readonly links: readonly number[] }
  | { readonly kind: "impossible"; readonly makeGood: readonly number[] };

/**
 * The quickest set of valves that parts the zone from every energy: a minimum cut, each fit valve weighing its
 * closing minutes, everything else unlimited. Among equally quick sets the one nearest the zone, which is unique and
 * takes the least away from others (the dead side of any equally quick set contains it).
 *
 * When nothing can part them, the second answer is what would: the least set of unfit valves to make good.
 */
export function leastCut(net: Network, demand: CutDemand): Cut {
  const links = cutBetween(net, demand, false);
  if (links !== undefined) return { kind: "found", links };
  return { kind: "impossible", makeGood: cutBetween(net, demand, true) ?? [] };
}

function cutBetween(net: Network, demand: CutDemand, makeGood: boolean): number[] | undefined {
  const zone = net.nodes.length;
  const energy = zone + 1;
  const hot = [...new Set([...energies(net), ...demand.keepLive])];
  const inZone = new Set(demand.zone);
  // An energy inside the zone itself cannot be shut off by anything.
  if (hot.some((node) => inZone.has(node))) return undefined;
  const count = net.links.length + demand.zone.length + hot.length;
  const tail = new Int32Array(count);
  const head = new Int32Array(count);
  const capacity = new Int32Array(count).fill(UNLIMITED);
  tail.set(net.from);
  head.set(net.to);
  net.links.forEach((link, index) => {
    const unfit = unfitness(link, demand.passing, demand.avoid);
    if (unfit === undefined) capacity[index] = Math.max(1, Math.round(closingMinutes(link as LineValve) * TENTHS));
    else if (makeGood && link.kind === "valve") capacity[index] = MAKE_GOOD_MIN * TENTHS;
  });
  let edge = net.links.length;
  for (const node of demand.zone) {
    tail[edge] = zone;
    head[edge++] = node;
  }
  for (const node of hot) {
    tail[edge] = node;
    head[edge++] = energy;
  }
  const flow = maximumFlow({ nodeCount: net.nodes.length + 2, tail, head, capacity }, zone, energy);
  if (flow.value >= UNLIMITED) return undefined;
  return net.links.flatMap((_, index) =>
    flow.sourceSide[net.from[index]!] !== flow.sourceSide[net.to[index]!] ? [index] : [],
  );
}
