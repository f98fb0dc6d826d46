import type { LineLink, LineValve } from "../formats";
import { fed, type Network, network, reachable } from "../line";
import type { Bypass, LostConsumer } from "./plan";

const goesRound = (link: LineLink): link is LineValve =>
  link.kind === "valve" && link.bypass === true && link.normally === "shut" && link.operable;

/**
 * Bypasses that keep somebody in service while what they go round is shut: each is opened only where the work stays
 * cut off from every energy, and somebody who would go without is fed by it.
 *
 * @param net as the line stands for the work, with `closed` shut
 * @param avoid valves that nobody turns this time
 */
export function bypassesFor(
  net: Network,
  closed: ReadonlySet<string>,
  zone: readonly number[],
  lost: readonly LostConsumer[],
  avoid: ReadonlySet<string>,
): Bypass[] {
  const opened = new Set<string>();
  const found: Bypass[] = [];
  let without = lost;
  for (const link of net.line.links) {
    if (without.length === 0) break;
    if (!goesRound(link) || closed.has(link.id) || avoid.has(link.id)) continue;
    const round = network(standingOpen(net, new Set([...opened, link.id])));
    if (reachesWork(round, closed, net, zone)) continue;
    const after = fed(round, closed);
    const keeps = without.filter(({ node }) => after[round.nodeIndex.get(node) ?? -1] === 1);
    if (keeps.length === 0) continue;
    opened.add(link.id);
    without = without.filter((each) => !keeps.includes(each));
    found.push({
      link: link.id,
      name: link.name ?? link.id,
      ...(link.where !== undefined && { where: link.where }),
      minutes: link.access_min,
      keeps,
    });
  }
  return found;
}

const standingOpen = ({ line }: Network, open: ReadonlySet<string>): Network["line"] => ({
  ...line,
  links: line.links.map((link) =>
    link.kind === "valve" && open.has(link.id) ? { ...link, normally: "open" as const } : link,
  ),
});

/** Whether an energy could come to what is opened. */
function reachesWork(
  round: Network,
  closed: ReadonlySet<string>,
  net: Network,
  zone: readonly number[],
): boolean {
  const starts = zone.map((index) => round.nodeIndex.get(net.nodes[index]!.id)!);
  const holds = (index: number) => closed.has(round.links[index]!.id);
  return reachable(round, starts, (link) => !holds(link)).some((node) => round.towardsEnergy[node] === node);
}
