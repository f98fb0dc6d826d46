import { type Network, reachable, search } from "../line";
import { circleArea, drainTime, pipeVolume } from "../physics";
import type { Length, Volume } from "../quantity";

/** Sharp-edged drain cock. */
const DISCHARGE = 0.62;
/** A drain that the line does not measure is taken as 25 mm. */
const USUAL_DRAIN_M = 0.025;
/** Water level with the drain still leaves: the least head that a drain-down is reckoned with. */
const LEAST_HEAD_M = 0.3;
/** Less than this is level, m. */
const LEVEL_M = 0.05;

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
    lowest !== undefined || opened === undefined ? undefined : runningOut(net, opened, runs, closed).runs_L;
  return {
    nodes: members.map((index) => net.nodes[index]!.id),
    links: links.map((index) => net.links[index]!.id),
    volume_L: volume * 1000,
    ...(lowest !== undefined && drained !== undefined && { drain: drainAt(net, lowest, runs, closed) }),
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

/** What can get to a place where it is let out, L: what lies higher runs, what lies lower stays; of a pipe that falls past it, each part. */
function runningOut(
  net: Network,
  place: number,
  runs: readonly PipeRun[],
  closed: ReadonlySet<number>,
): { readonly runs_L: number; readonly stays_L: number; readonly top: number } {
  const flows = flowing(net, [place], closed, "to");
  const at = net.nodes[place]!.elevation_m;
  const places = net.nodes.filter((_, index) => flows[index]);
  const own = runs.filter(({ ends }) => ends.every((end) => flows[end]));
  const all = own.reduce((sum, { volume }) => sum + volume, 0);
  const higher = own.reduce((sum, run) => sum + run.volume * shareAbove(run, at), 0);
  const vessels = places.reduce((sum, { volume_L = 0 }) => sum + volume_L / 1000, 0);
  return {
    runs_L: 1000 * (higher + vessels),
    stays_L: 1000 * (all - higher),
    top: Math.max(...places.map((each) => each.elevation_m)),
  };
}

/** The part of a pipe that lies higher than this, 0 to 1; a level one at that height runs empty. */
function shareAbove({ top, foot }: PipeRun, at: number): number {
  if (top - foot < LEVEL_M) return top > at - LEVEL_M ? 1 : 0;
  return Math.min(1, Math.max(0, (top - at) / (top - foot)));
}

/** What runs out of a drain, and how long that takes. */
function drainAt(
  net: Network,
  drain: number,
  runs: readonly PipeRun[],
  closed: ReadonlySet<number>,
): NonNullable<Section["drain"]> {
  const node = net.nodes[drain]!;
  const { runs_L, stays_L, top } = runningOut(net, drain, runs, closed);
  const opening = circleArea(
    (node.opening_mm === undefined ? USUAL_DRAIN_M : node.opening_mm / 1000) as Length,
  );
  const head = Math.max(LEAST_HEAD_M, top - node.elevation_m) as Length;
  const seconds = drainTime((runs_L / 1000) as Volume, head, opening, DISCHARGE);
  return { node: node.id, minutes: seconds / 60, runs_L, staysBelow_L: stays_L };
}

function pick(candidates: readonly number[], merit: (index: number) => number): number | undefined {
  return candidates.reduce<number | undefined>(
    (best, each) => (best === undefined || merit(each) > merit(best) ? each : best),
    undefined,
  );
}
