import { type Network, otherEnd } from "../line";

/** How far every node lies from the nearest start, in links (−1: nothing leads there), and which start that is. */
export interface Walk {
  readonly distance: Int32Array;
  readonly origin: Int32Array;
}

export function walkFrom(net: Network, starts: readonly number[], passable: (link: number) => boolean): Walk {
  const distance = new Int32Array(net.nodes.length).fill(-1);
  const origin = new Int32Array(net.nodes.length).fill(-1);
  const queue = [...starts];
  for (const node of queue) {
    distance[node] = 0;
    origin[node] = node;
  }
  for (let head = 0; head < queue.length; head++) {
    const node = queue[head]!;
    for (let slot = net.start[node]!; slot < net.start[node + 1]!; slot++) {
      const link = net.incident[slot]!;
      const next = otherEnd(net, link, node);
      if (distance[next] !== -1 || !passable(link)) continue;
      distance[next] = distance[node]! + 1;
      origin[next] = origin[node]!;
      queue.push(next);
    }
  }
  return { distance, origin };
}

/** Links on a shortest way from a node to the start of a walk; nothing when none leads there. */
export function wayBack(
  net: Network,
  walk: Walk,
  from: number,
  passable: (link: number) => boolean,
): { link: number; node: number }[] {
  const way: { link: number; node: number }[] = [];
  for (let node = from; walk.distance[node]! > 0; ) {
    const slots = net.incident.subarray(net.start[node]!, net.start[node + 1]!);
    const at = node;
    const link = slots.find(
      (each) => passable(each) && walk.distance[otherEnd(net, each, at)] === walk.distance[at]! - 1,
    );
    if (link === undefined) throw new Error(`the walk to ${net.nodes[node]!.id} has a gap`);
    node = otherEnd(net, link, node);
    way.push({ link, node });
  }
  return way;
}

/** The energy nearest to a node, and how many links it is away. */
export interface Feed {
  readonly energy: number;
  readonly links: number;
}

/** Finds what feeds a node past the links that hold; nothing when they part it from every energy. */
export function feedFinder(
  net: Network,
  holds: (link: number) => boolean,
): (node: number) => Feed | undefined {
  let whole: Walk | undefined;
  return (node) => {
    const straight = alongShortest(net, node, holds);
    if (straight !== undefined) return straight;
    whole ??= walkFrom(net, net.energies, (link) => !holds(link));
    const links = whole.distance[node]!;
    return links === -1 ? undefined : { energy: whole.origin[node]!, links };
  };
}

/** Along the shortest way of all, where that is open: most often it is, and the line need not be walked. */
function alongShortest(net: Network, from: number, holds: (link: number) => boolean): Feed | undefined {
  for (let node = from, links = 0; ; links += 1) {
    const next = net.towardsEnergy[node]!;
    if (next === node) return { energy: node, links };
    if (next === -1) return undefined;
    let open = false;
    for (let slot = net.start[node]!; slot < net.start[node + 1]! && !open; slot++) {
      const link = net.incident[slot]!;
      open = otherEnd(net, link, node) === next && !holds(link);
    }
    if (!open) return undefined;
    node = next;
  }
}
