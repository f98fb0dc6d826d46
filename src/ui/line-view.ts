import type { Line } from "@/core/formats";
import type { IsolationPlan } from "@/core/isolation";
import { fed, network } from "@/core/line";
import type { LineView, PipeState } from "./draw/line-drawing";

/** What a drawing of the line shows, from the closures made or planned; the states are computed, never stored. */
export function lineView(
  line: Line,
  shut: ReadonlySet<string>,
  plan: IsolationPlan | undefined,
  more: { target?: string; passing?: readonly string[]; proven?: boolean },
): LineView {
  const net = network(line);
  const live = fed(net, shut);
  const before = fed(net, new Set());
  const section = new Set(plan?.section.nodes ?? []);
  const stateOf = (id: string): PipeState => {
    const index = net.nodeIndex.get(id)!;
    if (live[index]) return "live";
    return section.has(id) && more.proven !== true ? "shut-in" : "dead";
  };
  return {
    line,
    stateOf,
    shut,
    numbered: new Map(plan?.closures.map((closure, index) => [closure.link, index + 1])),
    ...(more.target !== undefined && { target: more.target }),
    ...(plan?.section.drain !== undefined && { drain: plan.section.drain.node }),
    lost: new Set(
      net.nodes.flatMap((node, index) =>
        node.kind === "consumer" && before[index] && !live[index] ? [node.id] : [],
      ),
    ),
    passing: new Set(more.passing),
  };
}
