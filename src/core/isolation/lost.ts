import type { Line } from "../formats";
import { fed, mediumOf, type Network, network, originOf, standing, usuallyFed } from "../line";
import type { IsolationPlan, LostConsumer } from "./plan";

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

/**
 * Who goes without by these closures alone, whatever else stands shut on the line.
 *
 * @param line as it is built: with nothing held by anybody
 * @param open ids or tags of what is opened
 */
export function lostBehind(
  line: Line,
  { closures, turned }: Pick<IsolationPlan, "closures" | "turned">,
  open: readonly string[],
): LostConsumer[] {
  const net = network(standing(line, new Map(turned.map(({ node, to }) => [node, to.id]))));
  const zone = open.flatMap((id) => net.nodeIndex.get(id) ?? net.assetIndex.get(id) ?? []);
  return lostConsumers(net, line, fed(net, new Set(closures.map((each) => each.link))), zone);
}
