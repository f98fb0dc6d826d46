import type { Medium } from "../formats";
import { MEDIA_RULES, mediumOf, type Network, search } from "../line";
import type { Section } from "./section";

/** Where zero is proven for one part of what is opened, or that there is nowhere. */
export interface ProvePoint {
  readonly medium: Medium;
  readonly how: "gauge" | "vent" | "drain" | "tester" | "crack" | "nowhere";
  readonly node?: string;
  readonly name?: string;
}

/**
 * Where zero is proven: one place for each part of what is opened that hangs together, for a check valve keeps what is
 * behind it. A place tells of a part that would flow to it. Of one part its lowest gauge, else a vent or outlet of the
 * opened equipment itself, else the highest vent or outlet, else the lowest drain.
 *
 * @param closed links that hold
 */
export function provePoints(
  net: Network,
  zone: readonly number[],
  section: Section,
  closed: ReadonlySet<number>,
): ProvePoint[] {
  const inside = new Set(section.nodes.map((id) => net.nodeIndex.get(id)!));
  const opened = new Set(zone);
  const holds = (link: number) => closed.has(link) || net.lets[link] === 0;
  const together = (node: number) =>
    search(net, [node], (link, next) => inside.has(next) && !holds(link) && net.lets[link] === 3).order;
  const flowsFrom = (node: number) =>
    search(
      net,
      [node],
      (link, next, from) =>
        inside.has(next) && !holds(link) && (net.lets[link]! & (net.from[link] === from ? 1 : 2)) !== 0,
    ).has;
  const medium = (node: number) => mediumOf(net.line, net.nodes[node]!);
  const points: ProvePoint[] = [];
  const told = new Uint8Array(net.nodes.length);
  const at = (how: ProvePoint["how"], node: number) => {
    const { id, name } = net.nodes[node]!;
    points.push({ medium: medium(node), how, node: id, name: name ?? id });
  };
  // What lies behind a check valve last: what flows through one is told by the place it flows to.
  const behindFirst = zone.toSorted((a, b) => Number(flowsFrom(a)[b]) - Number(flowsFrom(b)[a]));
  for (const node of behindFirst) {
    if (told[node]) continue;
    const own = together(node);
    for (const each of own) told[each] = 1;
    if (medium(node) === "electricity") {
      at("tester", node);
      continue;
    }
    const place = placeAmong(
      net,
      own.filter((each) => medium(each) === medium(node)),
      opened,
    );
    if (place !== undefined) {
      at(place.how, place.node);
      for (const each of zone)
        if (medium(each) === medium(node) && flowsFrom(each)[place.node]) told[each] = 1;
    } else if (
      !points.some((each) => each.node !== undefined && flowsFrom(node)[net.nodeIndex.get(each.node)!])
    )
      points.push({
        medium: medium(node),
        how: MEDIA_RULES[medium(node)].crackCover ? "crack" : "nowhere",
      });
  }
  return points;
}

/** The best place of a part to read zero at. */
function placeAmong(
  net: Network,
  nodes: readonly number[],
  opened: ReadonlySet<number>,
): { how: "gauge" | "vent" | "drain"; node: number } | undefined {
  const height = (node: number) => net.nodes[node]!.elevation_m;
  const of = (kind: string) => nodes.filter((node) => net.nodes[node]!.kind === kind);
  const [gauge] = of("gauge").sort((a, b) => height(a) - height(b));
  if (gauge !== undefined) return { how: "gauge", node: gauge };
  const [vent] = nodes
    .filter((node) => net.nodes[node]!.kind === "vent" || net.nodes[node]!.hydrant === true)
    .sort((a, b) => Number(opened.has(b)) - Number(opened.has(a)) || height(b) - height(a));
  if (vent !== undefined) return { how: "vent", node: vent };
  const [drain] = of("drain").sort((a, b) => height(a) - height(b));
  return drain === undefined ? undefined : { how: "drain", node: drain };
}
