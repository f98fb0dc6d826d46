import type { Line, LineLink, LineNode } from "../formats";

/**
 * A line laid out for walking: nodes and links by number, and for each node the links that touch it
 * (compressed rows: links of node i are `incident[start[i]..start[i + 1])`).
 */
export interface Network {
  readonly line: Line;
  readonly nodes: readonly LineNode[];
  readonly links: readonly LineLink[];
  readonly nodeIndex: ReadonlyMap<string, number>;
  readonly linkIndex: ReadonlyMap<string, number>;
  readonly from: Int32Array;
  readonly to: Int32Array;
  readonly start: Int32Array;
  readonly incident: Int32Array;
  /** Nodes by the tag of the valve that stands there. */
  readonly assetIndex: ReadonlyMap<string, number>;
  readonly energies: readonly number[];
  readonly pumps: readonly number[];
  /** Nodes of three-way valves. */
  readonly stems: readonly number[];
  /** Which way a link lets through on an ordinary day: 1 from `from`, 2 from `to`, 3 both, 0 neither. */
  readonly lets: Uint8Array;
  /** The next node on a shortest way to an energy, over any link; the node itself at an energy, -1 where none leads. */
  readonly towardsEnergy: Int32Array;
}

/** Kinds of link that let through from `from` to `to` only; none of them is a barrier. */
const ONE_WAY: ReadonlySet<LineLink["kind"]> = new Set(["check", "pump", "trap"]);

/** @param line a line that `checkLine` found nothing wrong with */
export function network(line: Line): Network {
  const { nodes, links } = line;
  const nodeIndex = new Map(nodes.map((node, index) => [node.id, index]));
  const linkIndex = new Map(links.map((link, index) => [link.id, index]));
  const from = Int32Array.from(links, (link) => nodeIndex.get(link.from) ?? -1);
  const to = Int32Array.from(links, (link) => nodeIndex.get(link.to) ?? -1);
  const start = new Int32Array(nodes.length + 1);
  for (let link = 0; link < links.length; link++) {
    start[from[link]! + 1]! += 1;
    start[to[link]! + 1]! += 1;
  }
  for (let node = 0; node < nodes.length; node++) start[node + 1]! += start[node]!;
  const fill = start.slice();
  const incident = new Int32Array(links.length * 2);
  for (let link = 0; link < links.length; link++) {
    incident[fill[from[link]!]!++] = link;
    incident[fill[to[link]!]!++] = link;
  }
  const assetIndex = new Map(
    nodes.flatMap((node, index) => (node.asset === undefined ? [] : [[node.asset, index] as const])),
  );
  const hot = nodes.flatMap((node, index) => (isEnergy(node) ? [index] : []));
  return {
    line,
    nodes,
    links,
    nodeIndex,
    linkIndex,
    from,
    to,
    start,
    incident,
    assetIndex,
    energies: hot,
    stems: nodes.flatMap((node, index) => (node.threeWay === undefined ? [] : [index])),
    lets: Uint8Array.from(links, (link) => (standsShut(link) ? 0 : ONE_WAY.has(link.kind) ? 1 : 3)),
    pumps: links.flatMap((link, index) => (link.kind === "pump" ? [index] : [])),
    towardsEnergy: towards(hot, nodes.length, from, to, start, incident),
  };
}

function towards(
  goals: readonly number[],
  count: number,
  from: Int32Array,
  to: Int32Array,
  start: Int32Array,
  incident: Int32Array,
): Int32Array {
  const next = new Int32Array(count).fill(-1);
  const queue = [...goals];
  for (const goal of goals) next[goal] = goal;
  for (const node of queue)
    for (let slot = start[node]!; slot < start[node + 1]!; slot++) {
      const link = incident[slot]!;
      const other = from[link] === node ? to[link]! : from[link]!;
      if (next[other] !== -1) continue;
      next[other] = node;
      queue.push(other);
    }
  return next;
}

export const otherEnd = (net: Network, link: number, node: number): number =>
  net.from[link] === node ? net.to[link]! : net.from[link]!;

/** What can push its medium into the line: it has to be parted from any place that is opened. */
export function isEnergy(node: LineNode): boolean {
  return (
    node.kind === "source" || node.kind === "boundary" || node.kind === "vessel" || node.feedsBack === true
  );
}

/** A valve in its everyday position holds the medium back. */
export const standsShut = (link: LineLink): boolean =>
  (link.kind === "valve" || link.kind === "control-valve") && link.normally === "shut";

/** The nodes reached when walking from `starts` over every link that `passable` lets through, in the line's order. */
export function reachable(
  net: Network,
  starts: Iterable<number>,
  passable: (link: number) => boolean,
): number[] {
  const reached = new Uint8Array(net.nodes.length);
  const queue: number[] = [];
  for (const node of starts) {
    if (!reached[node]) queue.push(node);
    reached[node] = 1;
  }
  for (let head = 0; head < queue.length; head++) {
    const node = queue[head]!;
    for (let slot = net.start[node]!; slot < net.start[node + 1]!; slot++) {
      const link = net.incident[slot]!;
      const next = otherEnd(net, link, node);
      if (reached[next] || !passable(link)) continue;
      reached[next] = 1;
      queue.push(next);
    }
  }
  return queue.sort((a, b) => a - b);
}

/**
 * Which nodes are fed, with `shut` closed and every other valve as it stands on an ordinary day.
 * Check valves, pumps and traps let through from `from` to `to` only.
 */
export function fed(net: Network, shut: ReadonlySet<string>): Uint8Array {
  const closed = new Uint8Array(net.links.length);
  for (const id of shut) {
    const link = net.linkIndex.get(id);
    if (link !== undefined) closed[link] = 1;
  }
  const reached = new Uint8Array(net.nodes.length);
  const queue = net.energies.filter((node) => net.nodes[node]!.kind !== "consumer");
  for (const node of queue) reached[node] = 1;
  for (let head = 0; head < queue.length; head++) {
    const node = queue[head]!;
    for (let slot = net.start[node]!; slot < net.start[node + 1]!; slot++) {
      const link = net.incident[slot]!;
      const forward = net.from[link] === node;
      const next = forward ? net.to[link]! : net.from[link]!;
      if (reached[next] || closed[link] || !(net.lets[link]! & (forward ? 1 : 2))) continue;
      reached[next] = 1;
      queue.push(next);
    }
  }
  return reached;
}

const usual = new WeakMap<Network, Uint8Array>();

/** Which nodes are fed on an ordinary day; worked out once for a network. */
export function usuallyFed(net: Network): Uint8Array {
  const known = usual.get(net) ?? fed(net, new Set());
  usual.set(net, known);
  return known;
}
