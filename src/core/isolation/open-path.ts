import type { Network } from "../line";
import { walkFrom, wayBack } from "./walk";

export interface PathStep {
  readonly id: string;
  readonly name: string;
}

export const stepAt = (net: Network, link: number): PathStep => {
  const { id, name } = net.links[link]!;
  return { id, name: name === undefined ? id : `${id} ${name}` };
};

/** A path over links that cannot be shut, from an energy to the zone: the reason there is no plan. */
export function openPath(
  net: Network,
  zone: readonly number[],
  unshuttable: (link: number) => boolean,
): PathStep[] {
  const walk = walkFrom(net, zone, unshuttable);
  const start = net.energies
    .filter((node) => walk.distance[node] !== -1)
    .sort((a, b) => walk.distance[a]! - walk.distance[b]!)[0];
  if (start === undefined) return [];
  const name = (node: number) => ({
    id: net.nodes[node]!.id,
    name: net.nodes[node]!.name ?? net.nodes[node]!.id,
  });
  const way = wayBack(net, walk, start, unshuttable);
  const valves = way.flatMap(({ link }) =>
    net.links[link]!.kind === "pipe" || net.links[link]!.kind === "cable" ? [] : [stepAt(net, link)],
  );
  return [name(start), ...valves, name(way.at(-1)?.node ?? start)];
}
