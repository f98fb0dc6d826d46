import type { Medium } from "../formats";
import { MEDIA_RULES, mediumOf, type Network } from "../line";
import type { Section } from "./section";

/** Where zero is proven for one medium, or that there is nowhere. */
export interface ProvePoint {
  readonly medium: Medium;
  readonly how: "gauge" | "vent" | "drain" | "tester" | "crack" | "nowhere";
  readonly node?: string;
  readonly name?: string;
}

/** For each medium of what is opened: its lowest gauge, else its highest vent or cap, else its lowest drain. */
export function provePoints(net: Network, zone: readonly number[], section: Section): ProvePoint[] {
  const media = [...new Set(zone.map((node) => mediumOf(net.line, net.nodes[node]!)))];
  const members = section.nodes.map((id) => net.nodes[net.nodeIndex.get(id)!]!);
  return media.map((medium): ProvePoint => {
    const at = (how: ProvePoint["how"], node: { id: string; name?: string }): ProvePoint => ({
      medium,
      how,
      node: node.id,
      name: node.name ?? node.id,
    });
    if (medium === "electricity")
      return at("tester", net.nodes[zone.find((node) => mediumOf(net.line, net.nodes[node]!) === medium)!]!);
    const own = members.filter((node) => mediumOf(net.line, node) === medium);
    const lowest = (kind: string) =>
      own.filter((node) => node.kind === kind).sort((a, b) => a.elevation_m - b.elevation_m)[0];
    const vents = own
      .filter((node) => node.kind === "vent" || node.hydrant === true)
      .sort((a, b) => b.elevation_m - a.elevation_m);
    for (const how of ["gauge", "vent", "drain"] as const) {
      const node = how === "vent" ? vents[0] : lowest(how);
      if (node !== undefined) return at(how, node);
    }
    return { medium, how: MEDIA_RULES[medium].crackCover ? "crack" : "nowhere" };
  });
}
