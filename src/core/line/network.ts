import type { Line, LineLink, LineNode } from "../formats";
import { type Rows, search } from "./search";

/** A line laid out for walking: nodes and links by number, and for each node the links that touch it. */
export interface Network extends Rows {
  readonly line: Line;
  readonly nodes: readonly LineNode[];
  readonly links: readonly LineLink[];
  readonly nodeIndex: ReadonlyMap<string, number>;
  readonly linkIndex: ReadonlyMap<string, number>;
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
    towardsEnergy: towards(hot, { from, to, start, incident }),
  };
}

function towards(goals: readonly number[], rows: Rows): Int32Array {
  const towards = new Int32Array(rows.start.length - 1).fill(-1);
  for (const goal of goals) towards[goal] = goal;
  search(rows, goals, (_, next, node) => {
    towards[next] = node;
    return true;
  });
  return towards;
}

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
export const reachable = (
  net: Network,
  starts: Iterable<number>,
  passable: (link: number) => boolean,
): number[] => [...search(net, starts, passable).order].sort((a, b) => a - b);

/**
 * Which nodes are fed, with `shut` closed and every other valve as it stands on an ordinary day.
 * Check valves, pumps and traps let through from `from` to `to` only.
 */
export const fed = (net: Network, shut: ReadonlySet<string>): Uint8Array => fedFrom(net, feeding(net), shut);

/** The same, fed by some of its energies alone. */
export function fedFrom(net: Network, energies: readonly number[], shut: ReadonlySet<string>): Uint8Array {
  const closed = new Uint8Array(net.links.length);
  for (const id of shut) {
    const link = net.linkIndex.get(id);
    if (link !== undefined) closed[link] = 1;
  }
  const lets = (link: number, node: number) => (net.lets[link]! & (net.from[link] === node ? 1 : 2)) !== 0;
  return search(net, energies, (link, _, node) => !closed[link] && lets(link, node)).has;
}

/** What feeds a line of its own accord: a consumer that may feed back only when something else failed. */
export const feeding = (net: Network): number[] =>
  net.energies.filter((node) => net.nodes[node]!.kind !== "consumer");

const usual = new WeakMap<Network, Uint8Array>();

/** Which nodes are fed on an ordinary day; worked out once for a network. */
export function usuallyFed(net: Network): Uint8Array {
  const known = usual.get(net) ?? fed(net, new Set());
  usual.set(net, known);
  return known;
}
