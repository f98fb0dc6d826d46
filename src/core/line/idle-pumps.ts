import type { LineLink, LineNode } from "../formats";
import { feeding, type Network } from "./network";
import { search } from "./search";

/** Whoever takes what a pump sends: beyond a boundary somebody does. */
const TAKES: ReadonlySet<LineNode["kind"]> = new Set(["consumer", "boundary"]);

/**
 * Pumps whose medium has no way, by number of the link: nothing comes to the inlet, or what leaves goes neither to
 * somebody who takes it nor round to the inlet again. One that runs all the same heats what stands in it.
 *
 * @param lets whether a link lets through as it stands
 */
export function pumpsWithoutWay(net: Network, lets: (link: LineLink) => boolean): number[] {
  if (net.pumps.length === 0) return [];
  const along = (link: number, from: number) =>
    lets(net.links[link]!) && (net.lets[link] !== 1 || net.from[link] === from);
  const fed = search(net, feeding(net), (link, _, node) => along(link, node)).has;
  return net.pumps.filter((pump) => {
    const { to, from } = { to: net.to[pump]!, from: net.from[pump]! };
    const after = search(net, [to], (link, _, node) => along(link, node));
    const taken = after.has[from] === 1 || after.order.some((node) => TAKES.has(net.nodes[node]!.kind));
    return fed[from] !== 1 || !taken;
  });
}
