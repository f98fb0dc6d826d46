import type { Line } from "../formats";
import { type IsolationDemand, type IsolationPlan, planOn } from "./isolation-plan";

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
export function alternatives(line: Line, demand: IsolationDemand, plan: IsolationPlan): Alternative[] {
  const opened = new Set(demand.open);
  const assets = new Map(line.nodes.map((each) => [each.id, each.asset ?? ""]));
  return plan.lost.flatMap(({ node, name }) => {
    if (opened.has(node) || opened.has(assets.get(node) ?? "")) return [];
    const other = planOn(line, { ...demand, keep: [...(demand.keep ?? []), node] });
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
