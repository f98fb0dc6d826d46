import type { Medium } from "../formats";
import { MEDIA_RULES, mediumOf, type Network } from "../line";
import type { Section } from "./section";

/** Where zero is proven for one medium, or that there is nowhere. */
export interface ProvePoint {
  readonly medium: Medium;
  readonly how: "gauge" | "vent" | "drain" | "tester" | "crack" | "nowhere";
  readonly node?: string;
  readonly says: string;
}

const SAYS: Record<"gauge" | "vent" | "drain", (name: string) => string> = {
  gauge: (name) => `Read ${name}: zero, and still zero after the wait.`,
  vent: (name) => `Fit a gauge at ${name}: zero, and still zero after the wait.`,
  drain: (name) => `Open ${name}: nothing more runs, and nothing after the wait.`,
};

/** For each medium of what is opened: its lowest gauge, else its highest vent or cap, else its lowest drain. */
export function provePoints(net: Network, zone: readonly number[], section: Section): ProvePoint[] {
  const media = [...new Set(zone.map((node) => mediumOf(net.line, net.nodes[node]!)))];
  const members = section.nodes.map((id) => net.nodes[net.nodeIndex.get(id)!]!);
  return media.map((medium): ProvePoint => {
    const rule = MEDIA_RULES[medium];
    if (medium === "electricity")
      return {
        medium,
        how: "tester",
        node: net.nodes[zone.find((node) => mediumOf(net.line, net.nodes[node]!) === medium)!]!.id,
        says: "Tester on a known live point, on every terminal here, on the live point again.",
      };
    const own = members.filter((node) => mediumOf(net.line, node) === medium);
    const lowest = (kind: string) =>
      own.filter((node) => node.kind === kind).sort((a, b) => a.elevation_m - b.elevation_m)[0];
    const vents = own
      .filter((node) => node.kind === "vent" || node.hydrant === true)
      .sort((a, b) => b.elevation_m - a.elevation_m);
    const found = (["gauge", "vent", "drain"] as const)
      .map((how) => ({ how, node: how === "vent" ? vents[0] : lowest(how) }))
      .find((each) => each.node !== undefined);
    if (found?.node !== undefined)
      return {
        medium,
        how: found.how,
        node: found.node.id,
        says: SAYS[found.how](found.node.name ?? found.node.id),
      };
    return rule.crackCover
      ? {
          medium,
          how: "crack",
          says: "Nowhere to read it. Use a fitting of the valve first; last the cover itself: slacken two bolts, leave two in, crack it away from you, wait until nothing comes.",
        }
      : {
          medium,
          how: "nowhere",
          says: `Nowhere to prove zero, and ${rule.name} is never let out at a cover. Have a gauge or a vent fitted to this section first, or shut further back where there is one.`,
        };
  });
}
