import { type Network, reachable, search } from "../line";
import { circleArea, drainTime, pipeVolume } from "../physics";
import type { Length, Volume } from "../quantity";

/** Sharp-edged drain cock. */
const DISCHARGE = 0.62;
/** A drain that the line does not measure is taken as 25 mm. */
const USUAL_DRAIN_M = 0.025;
/** Water level with the drain still leaves: the least head that a drain-down is reckoned with. */
const LEAST_HEAD_M = 0.3;

/** What is shut in around the work, once the closures are made. */
export interface Section {
  readonly nodes: readonly string[];
  readonly links: readonly string[];
  readonly volume_L: number;
  /** Where it runs out: L that run and that lie lower and stay, of all that can get there. */
  readonly drain?: {
    readonly node: string;
    readonly minutes: number;
    readonly runs_L: number;
    readonly staysBelow_L: number;
  };
  /** Where it has no drain: L that lie higher than what is opened, and run out there. */
  readonly atOpening_L?: number;
  readonly vent?: { readonly node: string };
  readonly gauge?: { readonly node: string };
}

/** The part of the line that hangs together with the zone when only the closures hold. */
export function shutInSection(net: Network, zone: readonly number[], closed: ReadonlySet<number>): Section {
  const members = reachable(net, zone, (link) => !closed.has(link));
  const links = [
    ...new Set(members.flatMap((node) => [...net.incident.subarray(net.start[node]!, net.start[node + 1]!)])),
  ]
    .filter((link) => !closed.has(link))
    .sort((a, b) => a - b);
  const height = (index: number) => net.nodes[index]!.elevation_m;
  const runs = links.flatMap((index) => {
    const link = net.links[index]!;
    if (link.kind !== "pipe") return [];
    const volume = pipeVolume((link.dn_mm / 1000) as Length, link.length_m as Length);
    return [
      {
        volume,
        ends: [net.from[index]!, net.to[index]!] as const,
        top: Math.max(height(net.from[index]!), height(net.to[index]!)),
        foot: Math.min(height(net.from[index]!), height(net.to[index]!)),
      },
    ];
  });
  const vessels = members.reduce((sum, index) => sum + (net.nodes[index]!.volume_L ?? 0) / 1000, 0);
  const volume = runs.reduce((sum, run) => sum + run.volume, vessels);

  // A drain that what is opened cannot run to empties something else.
  const runsOut = flowing(net, zone, closed, "from");
  const lowest = pick(
    members.filter((index) => net.nodes[index]!.kind === "drain" && runsOut[index]),
    (index) => -height(index),
  );
  const drained = lowest === undefined ? undefined : flowing(net, [lowest], closed, "to");
  const highest = pick(
    members.filter(
      (index) =>
        (net.nodes[index]!.kind === "vent" || net.nodes[index]!.hydrant) &&
        (drained === undefined || drained[index]),
    ),
    height,
  );
  const gauge = pick(
    members.filter((index) => net.nodes[index]!.kind === "gauge"),
    (index) => -height(index),
  );
  const [opened] = zone;
  const atOpening =
    lowest !== undefined || opened === undefined
      ? undefined
      : higherThan(net, opened, runs, flowing(net, [opened], closed, "to"));
  return {
    nodes: members.map((index) => net.nodes[index]!.id),
    links: links.map((index) => net.links[index]!.id),
    volume_L: volume * 1000,
    ...(lowest !== undefined && drained !== undefined && { drain: drainAt(net, lowest, runs, drained) }),
    ...(atOpening !== undefined && { atOpening_L: atOpening }),
    ...(highest !== undefined && { vent: { node: net.nodes[highest]!.id } }),
    ...(gauge !== undefined && { gauge: { node: net.nodes[gauge]!.id } }),
  };
}

/** Places that something flows to from these, or from which it flows to these, past check valves one way only. */
const flowing = (
  net: Network,
  starts: readonly number[],
  closed: ReadonlySet<number>,
  way: "from" | "to",
): Uint8Array =>
  search(net, starts, (link, next, node) => {
    const upstream = way === "from" ? node : next;
    return !closed.has(link) && (net.lets[link]! & (net.from[link] === upstream ? 1 : 2)) !== 0;
  }).has;

/** A stretch of pipe with what it holds, m³, its two ends and their heights, m. */
interface PipeRun {
  readonly volume: number;
  readonly ends: readonly [number, number];
  readonly top: number;
  readonly foot: number;
}

/** What lies higher than an opening and can get to it, L; of a pipe that falls past it, the part above. */
function higherThan(net: Network, opened: number, runs: readonly PipeRun[], flows: Uint8Array): number {
  const at = net.nodes[opened]!.elevation_m;
  const above = runs
    .filter(({ ends }) => ends.every((end) => flows[end]))
    .map(({ volume, top, foot }) =>
      top <= foot
        ? top >= at
          ? volume
          : 0
        : (volume * Math.max(0, top - Math.max(foot, at))) / (top - foot),
    );
  const vessels = net.nodes.map((node, index) =>
    flows[index] && node.elevation_m >= at ? (node.volume_L ?? 0) / 1000 : 0,
  );
  return 1000 * [...above, ...vessels].reduce((sum, each) => sum + each, 0);
}

/** What runs out of a drain: all that can get to it, and how long that takes. */
function drainAt(
  net: Network,
  drain: number,
  runs: readonly PipeRun[],
  drained: Uint8Array,
): NonNullable<Section["drain"]> {
  const node = net.nodes[drain]!;
  const own = runs.filter(({ ends }) => ends.every((end) => drained[end]));
  const places = net.nodes.flatMap((each, index) => (drained[index] ? [each] : []));
  const inVessels = places.reduce((sum, each) => sum + (each.volume_L ?? 0) / 1000, 0);
  const below = own
    .filter((run) => run.top < node.elevation_m - 0.05)
    .reduce((sum, run) => sum + run.volume, 0);
  const above = own.reduce((sum, run) => sum + run.volume, inVessels) - below;
  const opening = circleArea(
    (node.opening_mm === undefined ? USUAL_DRAIN_M : node.opening_mm / 1000) as Length,
  );
  const top = Math.max(...places.map((each) => each.elevation_m));
  const head = Math.max(LEAST_HEAD_M, top - node.elevation_m) as Length;
  const seconds = drainTime(above as Volume, head, opening, DISCHARGE);
  return { node: node.id, minutes: seconds / 60, runs_L: above * 1000, staysBelow_L: below * 1000 };
}

function pick(candidates: readonly number[], merit: (index: number) => number): number | undefined {
  return candidates.reduce<number | undefined>(
    (best, each) => (best === undefined || merit(each) > merit(best) ? each : best),
    undefined,
  );
}
