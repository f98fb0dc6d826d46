import type { LineLink } from "../formats";
import { feeding, type Network, otherEnd, search } from "../line";

/** bar gauge of a source that the line does not measure: enough to hurt. */
const SOME_PRESSURE = 1;

/** What the pressures follow from: how every link and point stands. */
export interface Standing {
  readonly net: Network;
  /** Whether a valve, switch or pump lets through as it stands now. */
  readonly lets: (link: LineLink) => boolean;
  /** Whether a node stands open to the air: a drain, a vent, an opened joint. */
  readonly toAir: (node: string) => boolean;
  /** Vessels that were pumped down push no more. */
  readonly empty: ReadonlySet<string>;
}

/** Pressure at each node, bar gauge, and whether an energy stands on it now. */
export interface Pressures {
  readonly bar: Float64Array;
  readonly live: Uint8Array;
  /** Places that stand open to the air, by themselves or over what they run to. */
  readonly drained: Uint8Array;
}

/** Check valves, running pumps and traps let through one way only, whatever stands open. */
const leads = (net: Network, link: number, from: number): boolean =>
  net.lets[link] !== ONE_WAY || net.from[link] === from;
const ONE_WAY = 1;

const passes = ({ net, lets }: Standing, link: number, from: number): boolean =>
  lets(net.links[link]!) && leads(net, link, from);

const pressureOf = (net: Network, source: number): number => net.nodes[source]!.pressure_bar ?? SOME_PRESSURE;

const known = new WeakMap<Network, readonly number[]>();

/** What feeds a line, worked out once for it. */
function strongestFirst(net: Network): readonly number[] {
  const made = known.get(net) ?? feeding(net).sort((a, b) => pressureOf(net, b) - pressureOf(net, a));
  known.set(net, made);
  return made;
}

/**
 * What stands where, from what stood there before: joined to an energy a place takes its pressure; open to the air and
 * not fed it falls to nothing, and so does what can flow to it, through a check valve one way; shut in it stays.
 *
 * @param before bar gauge by node
 */
export function settle(standing: Standing, before: Float64Array): Pressures {
  const { net, lets, toAir, empty } = standing;
  const count = net.nodes.length;
  // Each link is asked once: it is looked at from both its ends, again and again.
  const open = Uint8Array.from(net.links, (link) => (lets(link) ? 1 : 0));
  const flows = (link: number, from: number) => open[link] === 1 && leads(net, link, from);
  const bar = before.slice();
  const live = new Uint8Array(count);
  for (const source of strongestFirst(net)) {
    if (live[source] || empty.has(net.nodes[source]!.id)) continue;
    const { order } = search(net, [source], (link, next, node) => !live[next] && flows(link, node));
    for (const node of order) {
      live[node] = 1;
      bar[node] = pressureOf(net, source);
    }
  }
  // What can flow to an open end runs out; what is shut in and hangs together evens out.
  const drained = new Uint8Array(count);
  let stirs = false;
  for (let node = 0; node < count; node++) {
    if (live[node]) continue;
    if (toAir(net.nodes[node]!.id)) drained[node] = 1;
    if (drained[node] || bar[node]! > 0) stirs = true;
  }
  const { start, incident } = net;
  for (let grew = stirs; grew; ) {
    grew = false;
    for (let node = 0; node < count; node++) {
      if (live[node]) continue;
      for (let slot = start[node]!; slot < start[node + 1]!; slot++) {
        const link = incident[slot]!;
        const next = otherEnd(net, link, node);
        if (live[next] || !flows(link, node)) continue;
        if (drained[next] && !drained[node]) {
          drained[node] = 1;
          grew = true;
        }
        if (!drained[node] && !drained[next] && bar[node]! > bar[next]! + 1e-9) {
          bar[next] = bar[node]!;
          grew = true;
        }
      }
    }
  }
  for (let node = 0; node < count; node++) if (drained[node]) bar[node] = 0;
  return { bar, live, drained };
}

/** Nodes that hang together with this one over what lets through both ways, and so share its pressure. */
export const sharing = (standing: Standing, node: number): readonly number[] =>
  search(
    standing.net,
    [node],
    (link, next, from) => passes(standing, link, from) && passes(standing, link, next),
  ).order;

/** Everything that flows on from a node, itself among it. */
export const reaching = (standing: Standing, node: number): readonly number[] =>
  search(standing.net, [node], (link, _, from) => passes(standing, link, from)).order;

/** Whether whatever stands at one node would flow to the other: zero there is zero here, too. */
export const flowsTo = (standing: Standing, from: number, to: number): boolean =>
  search(standing.net, [from], (link, _, node) => passes(standing, link, node)).has[to] === 1;
