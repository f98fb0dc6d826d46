import type { Line } from "@/core/formats";
import type { IsolationPlan } from "@/core/isolation";
import { lineStates, type PipeState, positionOf, type Setting, threeWays } from "@/core/line";

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

interface More {
  readonly target?: string;
  readonly passing?: readonly string[];
  readonly avoided?: readonly string[];
  readonly chosen?: string;
  readonly proven?: boolean;
}

/** The states of a drawing, computed from how the line is set; nothing of it is stored. */
export function lineView(
  line: Line,
  setting: Setting,
  plan: IsolationPlan | undefined,
  more: More,
): LineView {
  const positions = setting.turned ?? new Map<string, string>();
  const passing = new Set(more.passing);
  const section = new Set(more.proven === true ? [] : plan?.section.nodes);
  const { line: stood, stateOf, lost, doubt } = lineStates(line, setting, section, passing);
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
    lost,
    passing,
    avoided: new Set(more.avoided),
    doubt,
  };
}
