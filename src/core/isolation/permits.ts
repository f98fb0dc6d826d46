import { MEDIA_RULES, mediumOf, type Network, type PermitKind } from "../line";
import type { Closure } from "./plan";
import type { Section } from "./section";

/** Permits that the media opened or let out, and the places gone into, call for. */
export function permitsFor(
  net: Network,
  zone: readonly number[],
  closures: readonly Closure[],
  section: Section,
): PermitKind[] {
  const media = new Set([
    ...zone.map((node) => mediumOf(net.line, net.nodes[node]!)),
    ...closures.map((closure) => closure.medium),
  ]);
  const places = [...zone, ...(section.drain === undefined ? [] : [net.nodeIndex.get(section.drain.node)!])];
  const confined =
    closures.some((closure) => closure.confined) || places.some((node) => net.nodes[node]!.confined === true);
  const byMedium = [...media].flatMap((medium) => MEDIA_RULES[medium].permit ?? []);
  // Two media may call for the same permit.
  return [...new Set<PermitKind>([...byMedium, ...(confined ? ["confined" as const] : [])])];
}
