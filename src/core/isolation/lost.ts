import type { Line, LineLink } from "../formats";
import {
  fed,
  fedFrom,
  feeding,
  mediumOf,
  type Network,
  network,
  originOf,
  standing,
  standsShut,
  usuallyFed,
} from "../line";
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

/** Consumers that go on being fed, and whose hot water is shut off: they get cold alone. */
export function coldAlone(
  net: Network,
  after: Uint8Array,
  shut: ReadonlySet<string>,
  without: readonly LostConsumer[],
): LostConsumer[] {
  const hot = feeding(net).filter((node) => net.nodes[node]!.stream === "hot");
  if (hot.length === 0) return [];
  const [warm, now] = [fedFrom(net, hot, new Set()), fedFrom(net, hot, shut)];
  const dry = new Set(without.map(({ node }) => node));
  return net.nodes.flatMap((node, index): LostConsumer[] =>
    node.kind === "consumer" &&
    mediumOf(net.line, node) === "water" &&
    warm[index] === 1 &&
    now[index] !== 1 &&
    after[index] === 1 &&
    !dry.has(node.id)
      ? [
          {
            node: originOf(node.id),
            name: node.name ?? node.id,
            hydrant: false,
            protects: false,
            left: "cold",
          },
        ]
      : [],
  );
}

/** It stands shut until something calls for it: a control valve, or a registered valve of the line. */
const opensOnDemand = (link: LineLink): boolean =>
  standsShut(link) && (link.kind === "control-valve" || (link.kind === "valve" && link.asset !== undefined));

/** Consumers behind a valve that stands shut and opens on demand, whose feed these closures take away. */
export function asleep(net: Network, shut: ReadonlySet<string>, opened: readonly number[]): LostConsumer[] {
  if (!net.line.links.some(opensOnDemand)) return [];
  const awake = network({
    ...net.line,
    links: net.line.links.map((link) =>
      opensOnDemand(link) && "normally" in link ? { ...link, normally: "open" as const } : link,
    ),
  });
  const [usual, called, now] = [usuallyFed(net), fed(awake, new Set()), fed(awake, shut)];
  const work = new Set(opened);
  return net.nodes.flatMap((node, index): LostConsumer[] => {
    const there = awake.nodeIndex.get(node.id)!;
    return node.kind === "consumer" &&
      mediumOf(net.line, node) !== "electricity" &&
      !work.has(index) &&
      usual[index] !== 1 &&
      called[there] === 1 &&
      now[there] !== 1
      ? [
          {
            node: originOf(node.id),
            name: node.name ?? node.id,
            hydrant: node.hydrant === true,
            protects: node.protects === true,
            asleep: true,
          },
        ]
      : [];
  });
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
