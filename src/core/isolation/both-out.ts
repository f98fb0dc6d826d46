import type { Line } from "../formats";
import { fed, type Network, network, standing } from "../line";
import { lostConsumers } from "./lost";
import type { IsolationPlan, LostConsumer } from "./plan";
import { unprotectedVessels } from "./relief";

/** Why two pieces of work may not be out at a time, though each alone may. */
export type NotBoth =
  /** A vessel would have no relief valve left. */
  | { readonly kind: "unprotected"; readonly vessel: string }
  /** Each wants this three-way valve in another position. */
  | { readonly kind: "turned"; readonly valve: string }
  /** Who may not be without, or is fire protection, has service by the one while the other is shut. */
  | { readonly kind: "without"; readonly name: string };

/** How a piece of work is shut off. */
export interface ShutOff {
  /** Ids or tags of what is opened. */
  readonly opens: readonly string[];
  readonly plan: IsolationPlan;
}

/**
 * What two pieces of work on one line take away together that neither does alone; the worst of it.
 *
 * @param laidOut the network of this very line, where the caller keeps one
 */
export function notBoth(
  line: Line,
  a: ShutOff,
  b: ShutOff,
  laidOut: Network = network(line),
): NotBoth | undefined {
  const turned = new Map(a.plan.turned.map(({ node, to }) => [node, to.id]));
  const against = b.plan.turned.find(({ node, to }) => (turned.get(node) ?? to.id) !== to.id);
  if (against !== undefined) return { kind: "turned", valve: against.name };
  for (const { node, to } of b.plan.turned) turned.set(node, to.id);
  const stood = standing(line, turned);
  const net = stood === line ? laidOut : network(stood);
  const shut = new Set([...a.plan.closures, ...b.plan.closures].map(({ link }) => link));
  const closed = new Set([...shut].flatMap((id) => net.linkIndex.get(id) ?? []));
  const pumped = [...a.plan.pumpedOut, ...b.plan.pumpedOut].map(({ node }) => node);
  const [bare] = unprotectedVessels(net, line, closed, pumped);
  if (bare !== undefined) return { kind: "unprotected", vessel: bare.name };
  const alone = new Set([...goneBy(a), ...goneBy(b)]);
  const zone = zoneOf(net, [...a.opens, ...b.opens]);
  const must = new Set(line.nodes.flatMap(({ id, mustKeep }) => (mustKeep === undefined ? [] : [id])));
  const weighs = ({ node, hydrant, protects }: LostConsumer) =>
    !alone.has(node) && (hydrant || protects || must.has(node));
  const dry = lostConsumers(net, line, fed(net, shut), zone).find(weighs);
  return dry && { kind: "without", name: dry.name };
}

/** Who is without by one of them, or is fed round it. */
const goneBy = ({ plan }: ShutOff): string[] =>
  [...plan.lost, ...plan.bypasses.flatMap(({ keeps }) => keeps)].map(({ node }) => node);

const zoneOf = (net: Network, opens: readonly string[]): number[] =>
  opens.flatMap((id) => net.nodeIndex.get(id) ?? net.assetIndex.get(id) ?? []);
