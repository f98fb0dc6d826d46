import type { Line } from "../formats";
import { fed, feeding, type Network, network, standsShut, usuallyFed } from "./network";
import { search } from "./search";
import { type Positions, standing } from "./standing";

/** How a stretch of pipe stands. */
export type PipeState = "live" | "dead" | "shut-in" | "unknown";

/** How a line is set: valves shut beside those that stand shut, and three-way valves turned. */
export interface Setting {
  readonly shut: ReadonlySet<string>;
  readonly turned?: Positions;
}

/** What becomes of a line that is set so. */
export interface LineStates {
  /** The line with its three-way valves as they stand. */
  readonly line: Line;
  readonly stateOf: (node: string) => PipeState;
  /** Consumers that are fed on an ordinary day and not now. */
  readonly lost: ReadonlySet<string>;
  /** Some stretch may or may not be under pressure. */
  readonly doubt: boolean;
}

const kept = new WeakMap<Line, Network>();

/** The network of a line, laid out once however often its setting changes. */
function networkOf(line: Line): Network {
  const known = kept.get(line) ?? network(line);
  kept.set(line, known);
  return known;
}

/**
 * Where pressure stands: live is fed, unknown may be let in by a valve that passes, shut in is a section parted and not
 * yet proven, the rest is dead. Nothing of it is stored.
 *
 * @param section nodes of the section that is parted and not proven · @param passing valves that are known to pass
 */
export function lineStates(
  line: Line,
  { shut, turned }: Setting,
  section: ReadonlySet<string>,
  passing: ReadonlySet<string>,
): LineStates {
  const stood = standing(line, turned ?? new Map());
  const net = networkOf(stood);
  const usual = networkOf(standing(line, new Map()));
  const live = fed(net, shut);
  const before = usuallyFed(usual);
  const maybe = throughDoubt(net, shut, passing);
  return {
    line: stood,
    stateOf: (id) => {
      const index = net.nodeIndex.get(id)!;
      if (live[index]) return "live";
      if (maybe[index]) return "unknown";
      return section.has(id) ? "shut-in" : "dead";
    },
    lost: new Set(
      usual.nodes.flatMap((node, index) => {
        if (node.kind !== "consumer" || !before[index]) return [];
        const now = net.nodeIndex.get(node.id);
        return now === undefined || !live[now] ? [node.id] : [];
      }),
    ),
    doubt: maybe.some((mark, index) => mark === 1 && live[index] === 0),
  };
}

/** What a passing valve, a check valve or a control valve may let pressure into, though nothing feeds it rightly. */
const throughDoubt = (net: Network, shut: ReadonlySet<string>, passing: ReadonlySet<string>): Uint8Array =>
  search(net, feeding(net), (index) => {
    const link = net.links[index]!;
    const sound = link.kind === "valve" && link.passes !== true && !passing.has(link.id);
    return !(sound && (shut.has(link.id) || standsShut(link)));
  }).has;
