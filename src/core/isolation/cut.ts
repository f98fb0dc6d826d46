import type { LineNode, LineValve } from "../formats";
import { energies, type Network, otherEnd, reachable } from "../line";
import { closingMinutes, unfitness } from "./barrier";
import { maximumFlow, UNLIMITED } from "./maximum-flow";

/** Minutes are weighed in tenths, so that the flow stays in whole numbers. */
const TENTHS = 10;
/** What a valve that is unfit would cost if it were made good first: far more than any walk. */
const MAKE_GOOD_MIN = 10_000;
/** Flows solved before the search settles for the best plan found so far. */
const MOST_FLOWS = 400;

/**
 * What it weighs, in minutes of walking, to take a consumer out of service: telling people, a watch, complaints.
 * A fire-protection zone weighs most, then a hydrant.
 */
export function outageMinutes(node: LineNode): number {
  if (node.kind !== "consumer") return 0;
  return node.protects ? 5 : node.hydrant ? 3 : 2;
}

export interface CutDemand {
  /** Nodes that will be open to a person. */
  readonly zone: readonly number[];
  readonly passing: ReadonlySet<string>;
  readonly avoid: ReadonlySet<string>;
  /** Nodes that have to stay on the live side. */
  readonly keepLive: readonly number[];
}

export type Cut =
  | { readonly kind: "found"; readonly links: readonly number[]; readonly exact: boolean }
  | { readonly kind: "impossible"; readonly makeGood: readonly number[] };

/**
 * The least-cost set of valves that parts the zone from every energy: closing minutes of the fit valves shut, plus the
 * outage minutes of the consumers that no energy reaches any more. Among equally good sets the one nearest the zone.
 *
 * A minimum cut in which every consumer hangs on the energy by an edge of its outage weight finds it, except that a cut
 * may "save" a consumer by closing a valve behind which it is cut off all the same. Where that happens the search
 * branches: either those consumers are given up, or one of the neighbours beyond must be live. The plain cut is a
 * lower bound, so what is found is the optimum (see the test by trying every set).
 *
 * When nothing can part them, the answer is the least set of unfit valves that would, if made good.
 */
export function leastCut(net: Network, demand: CutDemand): Cut {
  const hot = energies(net);
  const base: Relaxed = { live: demand.keepLive, given: new Set(demand.zone) };
  let best: { cost: number; links: number[] } | undefined;
  let flows = 0;
  const search = (relaxed: Relaxed, constant: number) => {
    if (flows++ >= MOST_FLOWS) return;
    const side = relaxedCut(net, demand, relaxed, hot, false);
    if (side === undefined || (best !== undefined && side.value + constant >= best.cost)) return;
    const stranded = firstStranded(net, side.dead, hot, relaxed);
    if (stranded === undefined) {
      best = { cost: side.value + constant, links: boundary(net, side.dead) };
      return;
    }
    const lost = stranded.filter((node) => !relaxed.given.has(node) && outageMinutes(net.nodes[node]!) > 0);
    if (!stranded.some((node) => relaxed.live.includes(node)))
      search(
        { ...relaxed, given: new Set([...relaxed.given, ...lost]) },
        constant + lost.reduce((sum, node) => sum + outageMinutes(net.nodes[node]!) * TENTHS, 0),
      );
    for (const beyond of neighbours(net, stranded, side.dead))
      search({ ...relaxed, live: [...relaxed.live, beyond] }, constant);
  };
  search(base, 0);
  if (best !== undefined) return { kind: "found", links: best.links, exact: flows < MOST_FLOWS };
  const wider = relaxedCut(net, demand, base, hot, true);
  return { kind: "impossible", makeGood: wider === undefined ? [] : boundary(net, wider.dead) };
}

/** A cut problem with nodes forced live, and consumers whose outage is counted already. */
interface Relaxed {
  readonly live: readonly number[];
  readonly given: ReadonlySet<number>;
}

function relaxedCut(
  net: Network,
  demand: CutDemand,
  { live, given }: Relaxed,
  hot: readonly number[],
  makeGood: boolean,
): { readonly value: number; readonly dead: Uint8Array } | undefined {
  const zone = net.nodes.length;
  const energy = zone + 1;
  const forced = new Set([...hot, ...live]);
  // An energy inside the zone itself cannot be shut off by anything.
  if (demand.zone.some((node) => forced.has(node))) return undefined;
  const served = net.nodes.flatMap((node, index) =>
    outageMinutes(node) > 0 && !given.has(index) && !forced.has(index) ? [index] : [],
  );
  const count = net.links.length + demand.zone.length + forced.size + served.length;
  const tail = new Int32Array(count);
  const head = new Int32Array(count);
  const capacity = new Int32Array(count).fill(UNLIMITED);
  tail.set(net.from);
  head.set(net.to);
  net.links.forEach((link, index) => {
    if (link.kind !== "valve") return;
    if (unfitness(link, demand.passing, demand.avoid) === undefined) capacity[index] = weight(link);
    else if (makeGood) capacity[index] = MAKE_GOOD_MIN * TENTHS;
  });
  let edge = net.links.length;
  const join = (from: number, to: number, weighs: number) => {
    tail[edge] = from;
    head[edge] = to;
    capacity[edge++] = weighs;
  };
  for (const node of demand.zone) join(zone, node, UNLIMITED);
  for (const node of forced) join(node, energy, UNLIMITED);
  for (const node of served) join(node, energy, outageMinutes(net.nodes[node]!) * TENTHS);
  const flow = maximumFlow({ nodeCount: net.nodes.length + 2, tail, head, capacity }, zone, energy);
  return flow.value >= UNLIMITED ? undefined : { value: flow.value, dead: flow.sourceSide };
}

const weight = (valve: LineValve) => Math.max(1, Math.round(closingMinutes(valve) * TENTHS));

const boundary = (net: Network, dead: Uint8Array): number[] =>
  net.links.flatMap((_, index) => (dead[net.from[index]!] !== dead[net.to[index]!] ? [index] : []));

/** A piece of the live side that no energy reaches, though consumers in it count as served. */
function firstStranded(
  net: Network,
  dead: Uint8Array,
  hot: readonly number[],
  { live, given }: Relaxed,
): number[] | undefined {
  const passable = (link: number) => !dead[net.from[link]!] && !dead[net.to[link]!];
  const reached = reachable(net, hot, passable);
  const matters = (node: number) =>
    live.includes(node) || (outageMinutes(net.nodes[node]!) > 0 && !given.has(node));
  for (let node = 0; node < net.nodes.length; node++) {
    if (dead[node] || reached[node] || !matters(node)) continue;
    const piece = reachable(net, [node], passable);
    const members = net.nodes.flatMap((_, index) => (piece[index] ? [index] : []));
    // A piece that touches nothing dead was never fed: nothing is lost there that was there before.
    if (neighbours(net, members, dead).length > 0) return members;
  }
  return undefined;
}

/** Dead nodes that a live piece borders on. */
function neighbours(net: Network, piece: readonly number[], dead: Uint8Array): number[] {
  const beyond = new Set<number>();
  for (const node of piece)
    for (let slot = net.start[node]!; slot < net.start[node + 1]!; slot++) {
      const other = otherEnd(net, net.incident[slot]!, node);
      if (dead[other]) beyond.add(other);
    }
  return [...beyond];
}
