import type { Line } from "../formats";
import { mediumOf, type Network, network, originOf, standing, usuallyFed } from "../line";

export interface LostConsumer {
  readonly node: string;
  readonly name: string;
  readonly hydrant: boolean;
  readonly protects: boolean;
}

/**
 * Consumers that were fed on an ordinary day and are not any more.
 *
 * @param after which nodes of `net` are fed with the barriers shut
 */
export function lostConsumers(
  net: Network,
  line: Line,
  after: Uint8Array,
  zone: readonly number[],
): LostConsumer[] {
  const usual = net.line === line ? net : network(standing(line, new Map()));
  const before = usuallyFed(usual);
  const opened = new Set(zone);
  const lost: LostConsumer[] = [];
  for (let index = 0; index < before.length; index++) {
    if (!before[index] || (usual === net && after[index])) continue;
    const node = usual.nodes[index]!;
    if (node.kind !== "consumer") continue;
    const now = usual === net ? index : net.nodeIndex.get(node.id);
    if (now !== undefined && after[now]) continue;
    // The coil or motor of what is opened is part of the work, not somebody who goes without.
    if (now !== undefined && opened.has(now) && mediumOf(line, node) === "electricity") continue;
    lost.push({
      node: originOf(node.id),
      name: node.name ?? node.id,
      hydrant: node.hydrant === true,
      protects: node.protects === true,
    });
  }
  return lost;
}
