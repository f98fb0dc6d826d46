import { readdirSync } from "node:fs";
import { describe, expect, it } from "vitest";
import type { Line } from "@/core/formats";
import { type IsolationPlan, planIsolation } from "@/core/isolation";
import { demoDocument } from "@/core/job/job.fixtures";
import { lineView } from "@/ui/line-view";
import { actAt, settingAfter } from "./walk-through";

const plans = readdirSync("demo/lines").flatMap((file): [string, Line, IsolationPlan, string][] => {
  const line = demoDocument<Line>(`lines/${file}`);
  return line.nodes.flatMap((node) => {
    const made = planIsolation(line, { open: [node.id] });
    return (node.asset === undefined && !node.hydrant) || !made.ok
      ? []
      : [[`${line.id} ${node.id}`, line, made.value, node.id] as [string, Line, IsolationPlan, string]];
  });
});

describe.each(plans)("walking through %s", (_name, line, plan, target) => {
  const all = plan.shutting.length + plan.restoring.length;
  const stateAfter = (acts: number) =>
    lineView(line, settingAfter(plan, acts, []), plan, { target }).stateOf(target);

  it("begins and ends as the line stands, and is never live when all is shut", () => {
    expect(settingAfter(plan, 0, [])).toEqual({ shut: new Set(), turned: new Map() });
    expect(stateAfter(plan.shutting.length)).not.toBe("live");
    expect(stateAfter(plan.shutting.length)).not.toBe("unknown");
    const end = settingAfter(plan, all, []);
    expect(end.turned.size).toBe(0);
    // What stands shut on an ordinary day was locked, and is left shut.
    const left = plan.closures.filter((closure) => closure.standsShut).map((closure) => closure.link);
    expect([...end.shut].sort()).toEqual(left.sort());
  });

  it("has words for every step, and none beyond the last", () => {
    for (let step = 1; step <= all; step++) expect(actAt(plan, step)?.name).toBeTruthy();
    expect(actAt(plan, all + 1)).toBeUndefined();
  });

  it("leaves shut what another job holds", () => {
    const held = plan.closures.slice(0, 1).map((closure) => closure.link);
    for (const link of held) expect(settingAfter(plan, all, held).shut.has(link)).toBe(true);
  });
});
