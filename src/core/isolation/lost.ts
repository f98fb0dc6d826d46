import type { Line } from "../formats";
import { fed, type Network, network, originOf, standing } from "../line";

export interface LostConsumer {
  readonly node: string;
  readonly name: string;
  readonly hydrant: boolean;
  readonly protects: boolean;
}

/** Consumers that were fed on an ordinary day and are not with these links shut. */
export function lostConsumers(net: Network, line: Line, closed: ReadonlySet<number>): LostConsumer[] {
  const usual = net.line === line ? net : network(standing(line, new Map()));
  const before = fed(usual, new Set());
  const after = fed(net, new Set([...closed].map((index) => net.links[index]!.id)));
  return usual.nodes.flatMap((node, index) => {
    if (node.kind !== "consumer" || !before[index]) return [];
    const now = net.nodeIndex.get(node.id);
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
