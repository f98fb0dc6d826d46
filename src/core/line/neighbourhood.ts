import type { Line, LineNode } from "../formats";
import { network } from "./network";
import { forEachLink } from "./search";

/** What lies beyond is not known here: it may be fed from anywhere, so it counts as an energy. */
const rim = ({ id, name, medium, stream, elevation_m, at }: LineNode): LineNode => ({
  id,
  kind: "boundary",
  elevation_m,
  ...(name !== undefined && { name }),
  ...(medium !== undefined && { medium }),
  ...(stream !== undefined && { stream }),
  ...(at !== undefined && { at }),
});

/**
 * The part of a line around a place: the nearest `most` nodes by number of links between, and a rim of boundaries where
 * it was cut. Equipment that is opened together stays whole.
 *
 * @param line a line that `checkLine` found nothing wrong with
 * @param at id of a node or link, or the tag of the valve that stands there
 * @returns the line itself when it is no larger, or has no such place
 */
export function neighbourhood(line: Line, at: string, most: number): Line {
  if (line.nodes.length <= most) return line;
  const net = network(line);
  const link = net.linkIndex.get(at);
  const first =
    net.nodeIndex.get(at) ?? net.assetIndex.get(at) ?? (link === undefined ? undefined : net.from[link]);
  if (first === undefined) return line;
  const inside = new Set([first]);
  const addNeighbours = (node: number) => forEachLink(net, node, (_, next) => inside.add(next));
  for (const node of inside) {
    if (inside.size >= most) break;
    for (const mate of net.nodes[node]!.with ?? []) inside.add(net.nodeIndex.get(mate)!);
    addNeighbours(node);
  }
  // A three-way valve names its links: cut through, it would not be whole.
  for (const node of inside) if (net.nodes[node]!.threeWay !== undefined) addNeighbours(node);
  const links = net.links.filter((_, index) => inside.has(net.from[index]!) || inside.has(net.to[index]!));
  const named = new Set(links.flatMap(({ from, to }) => [from, to]));
  return {
    ...line,
    nodes: net.nodes.flatMap((node, index) =>
      inside.has(index) ? [node] : named.has(node.id) ? [rim(node)] : [],
    ),
    links: [...links],
  };
}
