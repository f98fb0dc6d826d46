import type { LineNode, LineValve } from "../formats";
import { type Network, underLineRule } from "../line";
import { closingMinutes, unfitness } from "./barrier";
import { flowSolver, UNLIMITED } from "./maximum-flow";

/** Minutes are weighed in tenths, so that the flow stays in whole numbers. */
const TENTHS = 10;
/** Parts of a tenth, in which an outage counts once more: of two equally dear sets the one that takes less service away. */
const TIE = 512;
/** What a valve that is unfit would cost if it were made good first, 1,000 minutes: far more than any walk. */
const MAKE_GOOD = 1_000 * TENTHS * TIE;

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

/** Nodes on one side of a barrier, as a list and to look up. */
export interface Side {
  readonly nodes: readonly number[];
  readonly has: Uint8Array;
}

/** The two sides of the barriers: `inner` is what lies inside the first, `dead` what lies inside the last. */
export interface Sides {
  readonly value: number;
  readonly inner: Side;
  readonly dead: Side;
}

/**
 * The flow network of a line, laid out once for all demands. One layer of nodes for each barrier: the outer layer says
 * what is dead, the inner what lies behind both. What is inside the inner is inside the outer, too (the barriers are
 * nested), and no valve can be both at once. A medium that needs one barrier only has its two layers tied together.
 */
interface Laid {
  readonly layers: 1 | 2;
  readonly energy: number;
  /** First edge of those that hang every node on the energy. */
  readonly toEnergy: number;
  readonly hot: Uint8Array;
  /** Of edge e: 2e there, 2e + 1 and back; as the line knows its valves. */
  readonly capacity: Int32Array;
  readonly madeGood: Int32Array;
  /** For what one demand changes; each solve begins by filling it. */
  readonly trial: Int32Array;
  readonly solve: ReturnType<typeof flowSolver>;
}

const NO_FLAWS: ReadonlySet<string> = new Set();
const laidOut = new WeakMap<Network, { single?: Laid; double?: Laid }>();

/** The flow network of a line; kept as long as the line's network is. */
function laid(net: Network, double: boolean): Laid {
  const kept = laidOut.get(net) ?? {};
  laidOut.set(net, kept);
  if (double) {
    kept.double ??= layOut(net, 2);
    return kept.double;
  }
  kept.single ??= layOut(net, 1);
  return kept.single;
}

/** Lays the flow network of a line out ahead of the first question. */
export const prepareCuts = (net: Network): void => {
  laid(net, net.line.rule === "double-block-and-bleed");
};

function layOut(net: Network, layers: 1 | 2): Laid {
  const nodes = net.nodes.length;
  const links = net.links.length;
  const double = layers === 2;
  const energy = layers * nodes;
  const toEnergy = layers * links;
  const nested = toEnergy + nodes;
  const crossing = nested + (double ? nodes : 0);
  const edges = crossing + (double ? 2 * links : 0);
  const tail = new Int32Array(edges);
  const head = new Int32Array(edges);
  const capacity = new Int32Array(2 * edges);
  const madeGood = new Int32Array(2 * layers * links);
  const hot = new Uint8Array(nodes);
  for (const node of net.energies) hot[node] = 1;
  const join = (edge: number, from: number, to: number, there: number, andBack: number) => {
    tail[edge] = from;
    head[edge] = to;
    capacity[2 * edge] = there;
    capacity[2 * edge + 1] = andBack;
  };
  net.links.forEach((link, index) => {
    const [from, to] = [net.from[index]!, net.to[index]!];
    const valve = link.kind === "valve";
    const fit = valve && unfitness(link, NO_FLAWS, NO_FLAWS) === undefined;
    const cost = fit ? closingCost(link) : UNLIMITED;
    const ruled = !double || underLineRule(net.line, link);
    for (let layer = 0; layer < layers; layer++) {
      const edge = layer * links + index;
      // One lock serves both barriers where one is enough: it is paid for once.
      const counts = layer === 0 || ruled;
      const holds = counts ? cost : 0;
      join(edge, layer * nodes + from, layer * nodes + to, holds, holds);
      const better = valve && !fit && counts ? MAKE_GOOD : holds;
      madeGood[2 * edge] = better;
      madeGood[2 * edge + 1] = better;
    }
    if (double) {
      const forbidden = valve && ruled ? UNLIMITED : 0;
      join(crossing + 2 * index, nodes + from, to, forbidden, 0);
      join(crossing + 2 * index + 1, nodes + to, from, forbidden, 0);
    }
  });
  for (let node = 0; node < nodes; node++) {
    join(toEnergy + node, node, energy, hot[node] ? UNLIMITED : outageCost(net.nodes[node]!), 0);
    if (double) {
      const tied = !underLineRule(net.line, net.nodes[node]!);
      join(nested + node, nodes + node, node, UNLIMITED, tied ? UNLIMITED : 0);
    }
  }
  const trial = new Int32Array(2 * edges);
  return {
    layers,
    energy,
    toEnergy,
    hot,
    capacity,
    madeGood,
    trial,
    solve: flowSolver(energy + 1, tail, head),
  };
}

/** One demand on a line's flow network. */
export function cutProblem(net: Network, demand: CutDemand) {
  const { layers, energy, toEnergy, hot, capacity, madeGood, trial, solve } = laid(net, demand.double);
  const nodes = net.nodes.length;
  const links = net.links.length;
  const sources = demand.zone.map((node) => (layers - 1) * nodes + node);
  const flawed = [...demand.passing, ...demand.avoid].flatMap((id) => net.linkIndex.get(id) ?? []);
  const set = (edge: number, to: number) => {
    trial[2 * edge] = to;
    trial[2 * edge + 1] = to;
  };
  return {
    hot,
    solve({ live, given, notInner, notOuter }: Relaxed, makeGood: boolean): Sides | undefined {
      // An energy inside the zone itself cannot be shut off by anything.
      if (demand.zone.some((node) => hot[node] || live.includes(node))) return undefined;
      trial.set(capacity);
      if (makeGood) trial.set(madeGood);
      for (const link of flawed)
        for (let layer = 0; layer < layers; layer++)
          if (trial[2 * (layer * links + link)] !== 0)
            set(layer * links + link, makeGood ? MAKE_GOOD : UNLIMITED);
      for (const link of notInner) set((layers - 1) * links + link, UNLIMITED);
      for (const link of notOuter) set(link, UNLIMITED);
      for (const node of given) if (!hot[node]) trial[2 * (toEnergy + node)] = 0;
      for (const node of live) trial[2 * (toEnergy + node)] = UNLIMITED;
      const flow = solve(trial, sources, energy);
      if (flow.value >= UNLIMITED) return undefined;
      const side = (layer: number): Side => {
        const has = new Uint8Array(nodes);
        const own = flow.sourceSide.flatMap((each) => {
          const node = each - layer * nodes;
          if (node < 0 || node >= nodes) return [];
          has[node] = 1;
          return [node];
        });
        return { nodes: own, has };
      };
      const dead = side(0);
      return { value: flow.value, dead, inner: layers === 1 ? dead : side(layers - 1) };
    },
  };
}
