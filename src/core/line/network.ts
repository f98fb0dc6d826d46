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
}

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
  return { line, nodes, links, nodeIndex, linkIndex, from, to, start, incident, assetIndex, energies: hot };
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

/** Whether a node is reached, walking from `starts` over every link that `passable` lets through. */
export function reachable(
  net: Network,
  starts: Iterable<number>,
  passable: (link: number) => boolean,
): Uint8Array {
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
  return reached;
}

/**
 * Which nodes are fed, with `shut` closed and every other valve as it stands on an ordinary day.
 * Check valves and pumps let through from `from` to `to` only.
 */
export function fed(net: Network, shut: ReadonlySet<string>): Uint8Array {
  const reached = new Uint8Array(net.nodes.length);
  const queue = net.energies.filter((node) => net.nodes[node]!.kind !== "consumer");
  for (const node of queue) reached[node] = 1;
  for (let head = 0; head < queue.length; head++) {
    const node = queue[head]!;
    for (let slot = net.start[node]!; slot < net.start[node + 1]!; slot++) {
      const index = net.incident[slot]!;
      const link = net.links[index]!;
      const next = otherEnd(net, index, node);
      if (reached[next] || shut.has(link.id) || standsShut(link)) continue;
      if ((link.kind === "check" || link.kind === "pump") && net.from[index] !== node) continue;
      reached[next] = 1;
      queue.push(next);
    }
  }
  return reached;
}
