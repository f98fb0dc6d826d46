import type { JobInputs } from "../../formats";
import { network, search } from "../../line";
import { pipeVolume } from "../../physics";
import type { Length } from "../../quantity";
import { type BenchLink, figure } from "./rule";

/** What the line knows of the house behind a meter cock: how much gas its pipes hold, to the appliances. */
export function rideThroughStart({ line, valve }: JobInputs): BenchLink["start"] {
  if (line === undefined) return {};
  const net = network(line);
  const cock = net.linkIndex.get(valve.node ?? valve.tag);
  if (cock === undefined) return {};
  const house = [net.from[cock]!, net.to[cock]!]
    .map((end) => search(net, [end], (link) => link !== cock).has)
    .find((has) => net.energies.every((source) => !has[source]));
  if (house === undefined) return {};
  const volume = net.links.reduce(
    (sum, link, index) =>
      link.kind === "pipe" && house[net.from[index]!]
        ? sum + pipeVolume((link.dn_mm / 1000) as Length, link.length_m as Length)
        : sum,
    0,
  );
  // Nobody knows what is in a house to more than three digits.
  return volume === 0 ? {} : { volume: `${figure(Number((volume * 1000).toPrecision(3)))} L` };
}
