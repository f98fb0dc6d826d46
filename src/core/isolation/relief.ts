import type { Line } from "../formats";
import { type Network, network, otherEnd, standing, standsShut } from "../line";
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
  const seen = new Uint8Array(net.nodes.length);
  const queue = [from];
  seen[from] = 1;
  for (const node of queue) {
    if (net.nodes[node]!.kind === "relief") return true;
    if (net.nodes[node]!.kind === "vessel" && node !== from) continue;
    for (let slot = net.start[node]!; slot < net.start[node + 1]!; slot++) {
      const link = net.incident[slot]!;
      const next = otherEnd(net, link, node);
      const { kind } = net.links[link]!;
      const back = kind === "check" && net.from[link] !== node;
      if (seen[next] || closed.has(link) || standsShut(net.links[link]!) || back) continue;
      seen[next] = 1;
      queue.push(next);
    }
  }
  return false;
}
