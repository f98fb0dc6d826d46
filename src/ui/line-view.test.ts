import { describe, expect, it } from "vitest";
import type { Line } from "@/core/formats";
import { type IsolationPlan, planIsolation } from "@/core/isolation";
import { demoDocument } from "@/core/job/job.fixtures";
import { lineView } from "./line-view";

const NOTHING = { shut: new Set<string>() };
const quay = demoDocument<Line>("lines/north-quay.json");
const store = demoDocument<Line>("lines/gannet-low-side.json");
const showers = demoDocument<Line>("lines/lido-water.json");
const planned = (line: Line, open: string): IsolationPlan => {
  const made = planIsolation(line, { open: [open] });
  if (!made.ok) throw new Error("no plan");
  return made.value;
};

describe("what a drawing shows", () => {
  const plan = planned(quay, "NQ-H07");
  const shut = new Set(plan.closures.map((closure) => closure.link));

  it("is live everywhere before anything is shut", () => {
    const view = lineView(quay, NOTHING, plan, {});
    expect(quay.nodes.every((node) => view.stateOf(node.id) === "live")).toBe(true);
    expect(view.lost.size).toBe(0);
    expect(view.doubt).toBe(false);
  });

  it("is shut in where the plan shuts, and dead once that is proven", () => {
    const draining = lineView(quay, { shut }, plan, { target: "NQ-H07" });
    expect(draining.stateOf("NQ-H07")).toBe("shut-in");
    expect(draining.stateOf("SK")).toBe("live");
    expect([...draining.lost]).toContain("FS");
    expect(lineView(quay, { shut }, plan, { proven: true }).stateOf("NQ-H07")).toBe("dead");
  });

  it("numbers what is handled in the order of the plan, and marks drain and proof", () => {
    const view = lineView(quay, { shut }, plan, {});
    plan.shutting.forEach((act, index) => {
      expect(view.numbered.get(act.id)).toBe(index + 1);
    });
    expect(view.drain).toBe(plan.section.drain?.node);
    expect(view.prove.size).toBe(1);
  });

  it("is not known where only a valve that passes holds, today's finding included", () => {
    const behind = (passing: readonly string[]) =>
      lineView(quay, { shut: new Set(["SV-09"]) }, undefined, { passing });
    expect(behind([]).stateOf("NQ-H09")).toBe("dead");
    expect(behind(["SV-09"]).stateOf("NQ-H09")).toBe("unknown");
    expect(behind(["SV-09"]).doubt).toBe(true);
    const mixer = lineView(showers, { shut: new Set(["LD-W7"]) }, undefined, {});
    expect(mixer.stateOf("H1")).toBe("unknown");
  });

  it("what if names who loses service, and nobody twice", () => {
    const view = lineView(quay, { shut: new Set(["V-09", "V-15"]) }, undefined, {});
    expect([...view.lost].sort()).toEqual(["NL", "NQ-H04"]);
  });
});

describe("a stem that is turned", () => {
  const turned = (position: string) =>
    lineView(store, { ...NOTHING, turned: new Map([["GN-RS4", position]]) }, undefined, {});

  it("cuts off its port, whose half of the pipe dies, and says where it stands", () => {
    const off = turned("a-off");
    expect(off.stateOf("GN-RV4A")).toBe("dead");
    expect(off.stateOf("GN-RV4B")).toBe("live");
    expect(off.positions.get("GN-RS4")).toContain("GN-RV4A shut off");
    expect(turned("both").stateOf("GN-RV4A")).toBe("live");
  });

  it("leaves the drawing of every other place as it was", () => {
    const [before, after] = [turned("both"), turned("b-off")];
    for (const node of store.nodes)
      if (!["GN-RV4B", "GN-RV4Bb"].includes(node.id))
        expect(after.stateOf(node.id), node.id).toBe(before.stateOf(node.id));
  });
});
