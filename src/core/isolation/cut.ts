import type { LineNode, LineValve } from "../formats";
import { energies, type Network, otherEnd } from "../line";
import { closingMinutes, unfitness } from "./barrier";
import { flowSolver, UNLIMITED } from "./maximum-flow";

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
  const problem = cutProblem(net, demand);
  const base: Relaxed = { live: demand.keepLive, given: new Set(demand.zone) };
  let best: { cost: number; links: number[] } | undefined;
  let flows = 0;
  const search = (relaxed: Relaxed, constant: number) => {
    if (flows++ >= MOST_FLOWS) return;
    const side = problem.solve(relaxed, false);
    if (side === undefined || (best !== undefined && side.value + constant >= best.cost)) return;
    const stranded = firstStranded(net, side.dead, problem.hot, relaxed);
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
  const wider = problem.solve(base, true);
  return { kind: "impossible", makeGood: wider === undefined ? [] : boundary(net, wider.dead) };
}

/** A cut problem with nodes forced live, and consumers whose outage is counted already. */
interface Relaxed {
  readonly live: readonly number[];
  readonly given: ReadonlySet<number>;
}

/** The flow network of a demand, laid out once: the links, the zone's edges, and one edge from every node to the energy. */
function cutProblem(net: Network, demand: CutDemand) {
  const nodes = net.nodes.length;
  const links = net.links.length;
  const zone = nodes;
  const energy = nodes + 1;
  const hot = new Uint8Array(nodes);
  for (const node of energies(net)) hot[node] = 1;
  const toEnergy = links + demand.zone.length;
  const tail = new Int32Array(toEnergy + nodes);
  const head = new Int32Array(toEnergy + nodes);
  const closing = new Int32Array(toEnergy + nodes);
  const madeGood = new Int32Array(links);
  tail.set(net.from);
  head.set(net.to);
  net.links.forEach((link, index) => {
    const fit = link.kind === "valve" && unfitness(link, demand.passing, demand.avoid) === undefined;
    closing[index] = fit ? weight(link) : UNLIMITED;
    madeGood[index] = fit ? weight(link) : link.kind === "valve" ? MAKE_GOOD_MIN * TENTHS : UNLIMITED;
  });
  demand.zone.forEach((node, place) => {
    tail[links + place] = zone;
    head[links + place] = node;
    closing[links + place] = UNLIMITED;
  });
  for (let node = 0; node < nodes; node++) {
    tail[toEnergy + node] = node;
    head[toEnergy + node] = energy;
    closing[toEnergy + node] = hot[node] ? UNLIMITED : outageMinutes(net.nodes[node]!) * TENTHS;
  }
  const solve = flowSolver(nodes + 2, tail, head);
  return {
    hot,
    solve(
      { live, given }: Relaxed,
      makeGood: boolean,
    ): { readonly value: number; readonly dead: Uint8Array } | undefined {
      // An energy inside the zone itself cannot be shut off by anything.
      if (demand.zone.some((node) => hot[node] || live.includes(node))) return undefined;
      const capacity = closing.slice();
      if (makeGood) capacity.set(madeGood);
      for (const node of given) if (!hot[node]) capacity[toEnergy + node] = 0;
      for (const node of live) capacity[toEnergy + node] = UNLIMITED;
      const flow = solve(capacity, zone, energy);
      return flow.value >= UNLIMITED ? undefined : { value: flow.value, dead: flow.sourceSide };
    },
  };
}

const weight = (valve: LineValve) => Math.max(1, Math.round(closingMinutes(valve) * TENTHS));

function boundary(net: Network, dead: Uint8Array): number[] {
  const links: number[] = [];
  for (let link = 0; link < net.links.length; link++)
    if (dead[net.from[link]!] !== dead[net.to[link]!]) links.push(link);
  return links;
}

/**
 * A piece of the live side that no energy reaches, though consumers in it count as served. Only pieces that border on
 * the dead side matter: what touches nothing dead was never fed, so nothing is lost there that was there before.
 */
function firstStranded(
  net: Network,
  dead: Uint8Array,
  hot: Uint8Array,
  { live, given }: Relaxed,
): number[] | undefined {
  const matters = (node: number) =>
    live.includes(node) || (outageMinutes(net.nodes[node]!) > 0 && !given.has(node));
  const fed = new Uint8Array(net.nodes.length);
  const seen = new Uint8Array(net.nodes.length);
  for (const link of boundary(net, dead)) {
    const edge = dead[net.from[link]!] ? net.to[link]! : net.from[link]!;
    if (seen[edge]) continue;
    const piece = [edge];
    seen[edge] = 1;
    let reached = hot[edge] === 1;
    for (let at = 0; at < piece.length && !reached; at++) {
      const node = piece[at]!;
      for (let slot = net.start[node]!; slot < net.start[node + 1]! && !reached; slot++) {
        const next = otherEnd(net, net.incident[slot]!, node);
        if (dead[next]) continue;
        reached = hot[next] === 1 || fed[next] === 1;
        if (seen[next]) continue;
        seen[next] = 1;
        piece.push(next);
      }
    }
    if (reached) for (const node of piece) fed[node] = 1;
    else if (piece.some(matters)) return piece;
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
