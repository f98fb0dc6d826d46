import { MEDIA_RULES, mediumOf, type Network } from "../line";
import type { Closure, Permit } from "./plan";

import type { Section } from "./section";

const CONFINED: Permit = {
  title: "Confined space",
  says: "Test the air before and during, one person stays outside with a way to call, rescue gear is ready. The site's rules decide who may go in.",
};

/** Permits that the media opened or let out, and the places gone into, call for. */
export function permitsFor(
  net: Network,
  zone: readonly number[],
  closures: readonly Closure[],
  section: Section,
): Permit[] {
  const media = new Set([
    ...zone.map((node) => mediumOf(net.line, net.nodes[node]!)),
    ...closures.map((closure) => closure.medium),
  ]);
  const places = [...zone, ...(section.drain === undefined ? [] : [net.nodeIndex.get(section.drain.node)!])];
  const confined =
    closures.some((closure) => closure.confined) || places.some((node) => net.nodes[node]!.confined === true);
  const byMedium = [...media].flatMap((medium) => MEDIA_RULES[medium].permit ?? []);
  // Two media may call for the same permit.
  return [
    ...new Map([...byMedium, ...(confined ? [CONFINED] : [])].map((each) => [each.title, each])).values(),
  ];
}
