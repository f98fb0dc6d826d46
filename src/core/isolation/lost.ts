import type { Line } from "../formats";
import { fed, mediumOf, type Network, network, originOf, standing } from "../line";

export interface LostConsumer {
  readonly node: string;
  readonly name: string;
  readonly hydrant: boolean;
  readonly protects: boolean;
}

/** Consumers that were fed on an ordinary day and are not with these links shut. */
export function lostConsumers(
  net: Network,
  line: Line,
  closed: ReadonlySet<number>,
  zone: readonly number[],
): LostConsumer[] {
  const usual = net.line === line ? net : network(standing(line, new Map()));
  const before = fed(usual, new Set());
  const after = fed(net, new Set([...closed].map((index) => net.links[index]!.id)));
  const opened = new Set(zone);
  return usual.nodes.flatMap((node, index) => {
    if (node.kind !== "consumer" || !before[index]) return [];
    const now = net.nodeIndex.get(node.id);
    // The coil or motor of what is opened is part of the work, not somebody who goes without.
    if (now !== undefined && opened.has(now) && mediumOf(line, node) === "electricity") return [];
    return now === undefined || !after[now]
      ? [
          {
            node: originOf(node.id),
            name: node.name ?? node.id,
            hydrant: node.hydrant === true,
            protects: node.protects === true,
          },
        ]
      : [];
  });
}
