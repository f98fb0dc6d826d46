import { forEachLink, type Network, search } from "../line";

/** How far every node lies from the nearest start, in links (−1: nothing leads there), and which start that is. */
export interface Walk {
  readonly distance: Int32Array;
  readonly origin: Int32Array;
}

export function walkFrom(net: Network, starts: readonly number[], passable: (link: number) => boolean): Walk {
  const distance = new Int32Array(net.nodes.length).fill(-1);
  const origin = new Int32Array(net.nodes.length).fill(-1);
  for (const node of starts) {
    distance[node] = 0;
    origin[node] = node;
  }
  search(net, starts, (link, next, node) => {
    if (!passable(link)) return false;
    distance[next] = distance[node]! + 1;
    origin[next] = origin[node]!;
    return true;
  });
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
    const nearer = walk.distance[node]! - 1;
    let step: { link: number; node: number } | undefined;
    forEachLink(net, node, (link, next) => {
      if (step === undefined && passable(link) && walk.distance[next] === nearer) step = { link, node: next };
    });
    if (step === undefined) throw new Error(`the walk to ${net.nodes[node]!.id} has a gap`);
    way.push(step);
    node = step.node;
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
    forEachLink(net, node, (link, beyond) => {
      open ||= beyond === next && !holds(link);
    });
    if (!open) return undefined;
    node = next;
  }
}
