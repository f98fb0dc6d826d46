import type { Line } from "../formats";
import { type Network, network } from "../line";
import { planOn } from "./isolation-plan";
import type { IsolationDemand, IsolationPlan } from "./plan";

/** Another way to isolate, and what it costs beside the plan. */
export interface Alternative {
  readonly keep: string;
  readonly name: string;
  readonly closures: number;
  readonly extraMinutes: number;
  readonly plan: IsolationPlan;
}

/**
 * For each consumer that the plan would cut off (the opened place excepted): the quickest plan that keeps it in
 * service, where there is one. A plan that strands it all the same is no alternative.
 */
export function alternatives(
  line: Line,
  demand: IsolationDemand,
  plan: IsolationPlan,
  laidOut: Network = network(line),
): Alternative[] {
  const opened = new Set(demand.open);
  return plan.lost.flatMap(({ node, name }) => {
    if (opened.has(node) || opened.has(laidOut.nodes[laidOut.nodeIndex.get(node)!]!.asset ?? "")) return [];
    const other = planOn(line, { ...demand, keep: [...(demand.keep ?? []), node] }, laidOut);
    if (!other.ok || other.value.lost.some((each) => each.node === node)) return [];
    return [
      {
        keep: node,
        name,
        closures: other.value.closures.length,
        extraMinutes: other.value.minutes - plan.minutes,
        plan: other.value,
      },
    ];
  });
}
