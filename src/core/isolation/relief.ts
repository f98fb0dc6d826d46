import type { Line } from "../formats";
import { type Network, network, search, standing, standsShut } from "../line";
import type { PathStep } from "./open-path";

/** Vessels that have a relief valve on an ordinary day and would have none with these links shut. */
export function unprotectedVessels(
  net: Network,
  line: Line,
  closed: ReadonlySet<number>,
  pumpedOut: readonly string[],
): PathStep[] {
  if (!line.nodes.some((node) => node.kind === "relief")) return [];
  const usual = net.line === line ? net : network(standing(line, new Map()));
  const empty = new Set(pumpedOut);
  return line.nodes.flatMap((node) => {
    if (node.kind !== "vessel" || empty.has(node.id)) return [];
    const protectedBefore = reachesRelief(usual, usual.nodeIndex.get(node.id)!, new Set());
    if (!protectedBefore || reachesRelief(net, net.nodeIndex.get(node.id)!, closed)) return [];
    return [{ id: node.id, name: node.name ?? node.id }];
  });
}

/** A relief valve of another vessel is sized for that one: the way must not lead through it. */
function reachesRelief(net: Network, from: number, closed: ReadonlySet<number>): boolean {
  const { order } = search(
    net,
    [from],
    (link, _, node) => {
      const each = net.links[link]!;
      const back = each.kind === "check" && net.from[link] !== node;
      return !closed.has(link) && !standsShut(each) && !back;
    },
    (node) => node === from || net.nodes[node]!.kind !== "vessel",
  );
  return order.some((node) => net.nodes[node]!.kind === "relief");
}
