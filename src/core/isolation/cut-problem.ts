import type { LineNode, LineValve } from "../formats";
import { type Network, underLineRule } from "../line";
import { closingMinutes, unfitness } from "./barrier";
import { flowSolver, UNLIMITED } from "./maximum-flow";

/** Minutes are weighed in tenths, so that the flow stays in whole numbers. */
const TENTHS = 10;
/** Parts of a tenth, in which an outage counts once more: of two equally dear sets the one that takes less service away. */
const TIE = 512;
/** What a valve that is unfit would cost if it were made good first: far more than any walk. */
const MAKE_GOOD_MIN = 1_000;

/**
 * What it weighs, in minutes of walking, to take a consumer out of service: telling people, a watch, complaints.
 * A fire-protection zone weighs most, then a hydrant.
 */
export function outageMinutes(node: LineNode): number {
  if (node.kind !== "consumer") return 0;
  return node.protects ? 5 : node.hydrant ? 3 : 2;
}

/** An outage in units of the cut. */
export const outageCost = (node: LineNode): number => outageMinutes(node) * (TENTHS * TIE + 1);

const closingCost = (valve: LineValve) => Math.max(1, Math.round(closingMinutes(valve) * TENTHS)) * TIE;

export interface CutDemand {
  /** Nodes that will be open to a person. */
  readonly zone: readonly number[];
  readonly passing: ReadonlySet<string>;
  readonly avoid: ReadonlySet<string>;
  /** Nodes that have to stay on the live side. */
  readonly keepLive: readonly number[];
  /** Two barriers, one behind the other, with a bleed between. */
  readonly double: boolean;
}

/** A cut problem with nodes forced live, consumers whose outage is counted already, and valves barred from a barrier. */
export interface Relaxed {
  readonly live: readonly number[];
  readonly given: ReadonlySet<number>;
  readonly notInner: ReadonlySet<number>;
  readonly notOuter: ReadonlySet<number>;
}

/** The two sides of the barriers: `inner` holds what lies inside the first, `dead` what lies inside the last. */
export interface Sides {
  readonly value: number;
  readonly inner: Uint8Array;
  readonly dead: Uint8Array;
}

/**
 * The flow network of a demand, laid out once. One layer of nodes for each barrier: the outer layer says what is dead,
 * the inner what lies behind both. What is inside the inner is inside the outer, too (the barriers are nested), and no
 * valve can be both at once. A medium that needs one barrier only has its two layers tied together.
 */
export function cutProblem(net: Network, demand: CutDemand) {
  const nodes = net.nodes.length;
  const links = net.links.length;
  const layers = demand.double ? 2 : 1;
  const zone = layers * nodes;
  const energy = zone + 1;
  const toZone = layers * links;
  const toEnergy = toZone + demand.zone.length;
  const nested = toEnergy + nodes;
  const crossing = nested + (demand.double ? nodes : 0);
  const edges = crossing + (demand.double ? 2 * links : 0);
  const tail = new Int32Array(edges);
  const head = new Int32Array(edges);
  const forward = new Int32Array(edges);
  const back = new Int32Array(edges);
  const madeGood = new Int32Array(toZone);
  const hot = new Uint8Array(nodes);
  for (const node of net.energies) hot[node] = 1;

  const join = (edge: number, from: number, to: number, there: number, andBack: number) => {
    tail[edge] = from;
    head[edge] = to;
    forward[edge] = there;
    back[edge] = andBack;
  };
  net.links.forEach((link, index) => {
    const [from, to] = [net.from[index]!, net.to[index]!];
    const valve = link.kind === "valve";
    const fit = valve && unfitness(link, demand.passing, demand.avoid) === undefined;
    const cost = fit ? closingCost(link) : UNLIMITED;
    const ruled = underLineRule(net.line, link);
    for (let layer = 0; layer < layers; layer++) {
      // One lock serves both barriers where one is enough: it is paid for once.
      const counts = layer === 0 || ruled;
      const capacity = counts ? cost : 0;
      join(layer * links + index, layer * nodes + from, layer * nodes + to, capacity, capacity);
      madeGood[layer * links + index] = valve && !fit && counts ? MAKE_GOOD_MIN * TENTHS * TIE : capacity;
    }
    if (demand.double) {
      const forbidden = valve && ruled ? UNLIMITED : 0;
      join(crossing + 2 * index, nodes + from, to, forbidden, 0);
      join(crossing + 2 * index + 1, nodes + to, from, forbidden, 0);
    }
  });
  demand.zone.forEach((node, place) => {
    join(toZone + place, zone, (layers - 1) * nodes + node, UNLIMITED, 0);
  });
  for (let node = 0; node < nodes; node++) {
    join(toEnergy + node, node, energy, hot[node] ? UNLIMITED : outageCost(net.nodes[node]!), 0);
    if (demand.double)
      join(
        nested + node,
        nodes + node,
        node,
        UNLIMITED,
        underLineRule(net.line, net.nodes[node]!) ? 0 : UNLIMITED,
      );
  }
  const solve = flowSolver(energy + 1, tail, head);
  return {
    hot,
    solve({ live, given, notInner, notOuter }: Relaxed, makeGood: boolean): Sides | undefined {
      // An energy inside the zone itself cannot be shut off by anything.
      if (demand.zone.some((node) => hot[node] || live.includes(node))) return undefined;
      const there = forward.slice();
      const andBack = back.slice();
      if (makeGood) for (const capacity of [there, andBack]) capacity.set(madeGood);
      const bar = (edge: number) => {
        there[edge] = UNLIMITED;
        andBack[edge] = UNLIMITED;
      };
      for (const link of notInner) bar((layers - 1) * links + link);
      for (const link of notOuter) bar(link);
      for (const node of given) if (!hot[node]) there[toEnergy + node] = 0;
      for (const node of live) there[toEnergy + node] = UNLIMITED;
      const flow = solve(there, andBack, zone, energy);
      return flow.value >= UNLIMITED
        ? undefined
        : {
            value: flow.value,
            dead: flow.sourceSide.subarray(0, nodes),
            inner: flow.sourceSide.subarray((layers - 1) * nodes, layers * nodes),
          };
    },
  };
}
