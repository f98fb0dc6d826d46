import { forEachLink, type Network } from "../line";
import { unbledPiece } from "./bleed";
import {
  type CutDemand,
  cutProblem,
  outageCost,
  outageMinutes,
  type Relaxed,
  type Side,
  type Sides,
} from "./cut-problem";

/** Flows solved before the search settles for the best plan found so far. */
const MOST_FLOWS = 400;

export type Cut =
  | {
      readonly kind: "found";
      /** The barrier next to the work, and with double block the one behind it. */
      readonly inner: readonly number[];
      readonly outer: readonly number[];
      readonly sides: Sides;
      readonly exact: boolean;
    }
  /** Nothing can part them; `makeGood` is the least set of unfit valves that would, if made good. */
  | { readonly kind: "impossible"; readonly makeGood: readonly number[] }
  /** Two barriers can be had, but nothing lets out what creeps past the first: the valves around that piece. */
  | { readonly kind: "no-bleed"; readonly inner: readonly number[]; readonly outer: readonly number[] };

/**
 * The least-cost set of valves that parts the zone from every energy: closing minutes of the fit valves shut, plus the
 * outage minutes of the consumers that no energy reaches any more. Of equally dear sets the one that takes less service
 * away, then the one nearest the zone. With double block, the least-cost pair of nested sets with a bleed between.
 *
 * A minimum cut in which every consumer hangs on the energy by an edge of its outage weight finds it, except that a cut
 * may "save" a consumer by closing a valve behind which it is cut off all the same, and that it knows nothing of bleeds.
 * Where that happens the search branches: either those consumers are given up, or one of the neighbours beyond must be
 * live; and one of the valves around the piece without a bleed must not be a barrier. The plain cut is a lower bound,
 * so what is found is the optimum (see the tests by trying every set).
 */
export function leastCut(net: Network, demand: CutDemand): Cut {
  const problem = cutProblem(net, demand);
  const base: Relaxed = {
    live: demand.keepLive,
    given: new Set(demand.zone),
    notInner: new Set(),
    notOuter: new Set(),
  };
  let best: { cost: number; sides: Sides } | undefined;
  let unbled: { inner: readonly number[]; outer: readonly number[] } | undefined;
  let flows = 0;
  const search = (relaxed: Relaxed, constant: number) => {
    if (flows++ >= MOST_FLOWS) return;
    const sides = problem.solve(relaxed, false);
    if (sides === undefined || (best !== undefined && sides.value + constant >= best.cost)) return;
    const stranded = firstStranded(net, sides.dead, problem.hot, relaxed);
    if (stranded !== undefined) {
      const lost = stranded.filter((node) => !relaxed.given.has(node) && outageMinutes(net.nodes[node]!) > 0);
      if (!stranded.some((node) => relaxed.live.includes(node)))
        search(
          { ...relaxed, given: new Set([...relaxed.given, ...lost]) },
          constant + lost.reduce((sum, node) => sum + outageCost(net.nodes[node]!), 0),
        );
      for (const beyond of neighbours(net, stranded, sides.dead))
        search({ ...relaxed, live: [...relaxed.live, beyond] }, constant);
      return;
    }
    const piece = demand.double ? unbledPiece(net, sides) : undefined;
    if (piece === undefined) {
      best = { cost: sides.value + constant, sides };
      return;
    }
    unbled ??= piece;
    for (const link of piece.inner)
      search({ ...relaxed, notInner: new Set([...relaxed.notInner, link]) }, constant);
    for (const link of piece.outer)
      search({ ...relaxed, notOuter: new Set([...relaxed.notOuter, link]) }, constant);
  };
  search(base, 0);
  if (best !== undefined)
    return { kind: "found", ...barriers(net, best.sides), sides: best.sides, exact: flows < MOST_FLOWS };
  if (unbled !== undefined) return { kind: "no-bleed", inner: unbled.inner, outer: unbled.outer };
  const wider = problem.solve(base, true);
  if (wider === undefined) return { kind: "impossible", makeGood: [] };
  const { inner, outer } = barriers(net, wider);
  return { kind: "impossible", makeGood: [...inner, ...outer] };
}

/** The links across each side; where both sides run together there is one barrier, which counts as the inner. */
function barriers(net: Network, { inner, dead }: Sides): { inner: number[]; outer: number[] } {
  const first = boundary(net, inner);
  const known = new Set(first);
  return { inner: first, outer: boundary(net, dead).filter((link) => !known.has(link)) };
}

/** Links that lead out of a side, in the order of the line. */
function boundary(net: Network, { nodes, has }: Side): number[] {
  const links: number[] = [];
  for (const node of nodes)
    forEachLink(net, node, (link, next) => {
      if (!has[next]) links.push(link);
    });
  return links.sort((a, b) => a - b);
}

/**
 * A piece of the live side that no energy reaches, though consumers in it count as served. Only pieces that border on
 * the dead side matter: what touches nothing dead was never fed, so nothing is lost there that was there before.
 */
function firstStranded(
  net: Network,
  dead: Side,
  hot: Uint8Array,
  { live, given }: Relaxed,
): number[] | undefined {
  const matters = (node: number) =>
    live.includes(node) || (outageMinutes(net.nodes[node]!) > 0 && !given.has(node));
  const seen = new Uint8Array(net.nodes.length);
  const fed = new Uint8Array(net.nodes.length);
  for (const link of boundary(net, dead)) {
    const edge = dead.has[net.from[link]!] ? net.to[link]! : net.from[link]!;
    if (seen[edge] || fedStraight(net, edge, dead)) continue;
    const piece = [edge];
    seen[edge] = 1;
    let reached = hot[edge] === 1;
    for (let at = 0; at < piece.length && !reached; at++) {
      const node = piece[at]!;
      forEachLink(net, node, (_, next) => {
        if (dead.has[next]) return;
        reached ||= hot[next] === 1 || fed[next] === 1;
        if (seen[next]) return;
        seen[next] = 1;
        piece.push(next);
      });
    }
    if (reached) for (const node of piece) fed[node] = 1;
    else if (piece.some(matters)) return piece;
  }
  return undefined;
}

/** Whether the shortest way to an energy is open still: most often it is, and then nobody need search. */
function fedStraight(net: Network, from: number, dead: Side): boolean {
  for (let node = from; ; ) {
    if (dead.has[node]) return false;
    const next = net.towardsEnergy[node]!;
    if (next === node) return true;
    if (next === -1) return false;
    node = next;
  }
}

/** Dead nodes that a live piece borders on. */
function neighbours(net: Network, piece: readonly number[], dead: Side): number[] {
  const beyond = new Set<number>();
  for (const node of piece)
    forEachLink(net, node, (_, next) => {
      if (dead.has[next]) beyond.add(next);
    });
  return [...beyond];
}
