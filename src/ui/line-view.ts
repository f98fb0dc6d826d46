import type { Line } from "@/core/formats";
import type { IsolationPlan } from "@/core/isolation";
import {
  fed,
  type Network,
  network,
  type Positions,
  positionOf,
  standing,
  standsShut,
  threeWays,
  usuallyFed,
} from "@/core/line";
import type { PipeState } from "./draw/pipe";

/** What a drawing of a line shows. */
export interface LineView {
  /** The line with its three-way valves as they stand. */
  readonly line: Line;
  readonly stateOf: (node: string) => PipeState;
  /** Links shut now, or to be shut. */
  readonly shut: ReadonlySet<string>;
  /** What is handled, by number, in order. */
  readonly numbered: ReadonlyMap<string, number>;
  /** Names of the positions of the three-way valves. */
  readonly positions: ReadonlyMap<string, string>;
  readonly target?: string;
  readonly drain?: string;
  readonly bleeds: ReadonlySet<string>;
  readonly prove: ReadonlySet<string>;
  readonly lost: ReadonlySet<string>;
  readonly passing: ReadonlySet<string>;
  readonly avoided: ReadonlySet<string>;
  /** The valve that is being asked about. */
  readonly chosen?: string;
  /** Some stretch may or may not be under pressure. */
  readonly doubt: boolean;
  readonly draggable?: boolean;
  readonly onValve?: (link: string) => void;
  readonly onNode?: (node: string) => void;
}

/** How the line is set: valves shut beside those that stand shut, and three-way valves turned. */
export interface Setting {
  readonly shut: ReadonlySet<string>;
  readonly turned?: Positions;
}

interface More {
  readonly target?: string;
  readonly passing?: readonly string[];
  readonly avoided?: readonly string[];
  readonly chosen?: string;
  readonly proven?: boolean;
}

const kept = new WeakMap<Line, Network>();

/** The network of a line, laid out once however often the drawing changes. */
function networkOf(line: Line): Network {
  const known = kept.get(line) ?? network(line);
  kept.set(line, known);
  return known;
}

/** The states of a drawing, computed from how the line is set; nothing of it is stored. */
export function lineView(
  line: Line,
  setting: Setting,
  plan: IsolationPlan | undefined,
  more: More,
): LineView {
  const positions = setting.turned ?? new Map<string, string>();
  const stood = standing(line, positions);
  const net = networkOf(stood);
  const usual = networkOf(standing(line, new Map()));
  const passing = new Set(more.passing);
  const live = fed(net, setting.shut);
  const before = usuallyFed(usual);
  const maybe = reachedThroughDoubt(net, setting.shut, passing);
  const section = new Set(plan?.section.nodes ?? []);
  const stateOf = (id: string): PipeState => {
    const index = net.nodeIndex.get(id)!;
    if (live[index]) return "live";
    if (maybe[index]) return "unknown";
    return section.has(id) && more.proven !== true ? "shut-in" : "dead";
  };
  return {
    line: stood,
    stateOf,
    shut: setting.shut,
    numbered: new Map(plan?.shutting.map((act, index) => [act.id, index + 1])),
    positions: new Map(threeWays(line).map((node) => [node.id, positionOf(node, positions).name])),
    ...(more.target !== undefined && { target: more.target }),
    ...(plan?.section.drain !== undefined && { drain: plan.section.drain.node }),
    ...(more.chosen !== undefined && { chosen: more.chosen }),
    bleeds: new Set(plan?.bleeds.map((bleed) => bleed.node)),
    prove: new Set(plan?.prove.flatMap((point) => point.node ?? [])),
    lost: new Set(
      usual.nodes.flatMap((node, index) => {
        if (node.kind !== "consumer" || !before[index]) return [];
        const now = net.nodeIndex.get(node.id);
        return now === undefined || !live[now] ? [node.id] : [];
      }),
    ),
    passing,
    avoided: new Set(more.avoided),
    doubt: maybe.some((mark, index) => mark === 1 && live[index] === 0),
  };
}

/** What a passing valve, a check valve or a control valve may let pressure into, though nothing feeds it rightly. */
function reachedThroughDoubt(
  net: Network,
  shut: ReadonlySet<string>,
  passing: ReadonlySet<string>,
): Uint8Array {
  const reached = new Uint8Array(net.nodes.length);
  const queue = net.energies.filter((node) => net.nodes[node]!.kind !== "consumer");
  for (const node of queue) reached[node] = 1;
  for (const node of queue)
    for (let slot = net.start[node]!; slot < net.start[node + 1]!; slot++) {
      const index = net.incident[slot]!;
      const link = net.links[index]!;
      const next = net.from[index] === node ? net.to[index]! : net.from[index]!;
      const sound = link.kind === "valve" && link.passes !== true && !passing.has(link.id);
      const holds = sound && (shut.has(link.id) || standsShut(link));
      if (reached[next] || holds) continue;
      reached[next] = 1;
      queue.push(next);
    }
  return reached;
}
