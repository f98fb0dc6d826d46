import { describe, expect, it } from "vitest";
import { speaker, standingWords } from "@/words";
import type { JobInputs, Line, Medium } from "../formats";
import { judgeStill, lineAsItStands } from ".";
import { demoDocument, Walk, wetJob } from "./job.fixtures";

/** The wet-barrel sheet stands in for a valve of another medium: only the line and the isolation count here. */
function jobOn(line: string, node: string, medium: Medium, more: Partial<JobInputs> = {}): JobInputs {
  const base = wetJob();
  return {
    ...base,
    valve: { ...base.valve, tag: node, line, node },
    line: demoDocument<Line>(`lines/${line}.json`),
    sheet: { ...base.sheet, isolation: { ...base.sheet.isolation, medium, hold_min: 60 } },
    ...more,
  };
}
const ids = (walk: Walk, start: string) =>
  walk.job.plan.steps.map((step) => step.id).filter((id) => id.startsWith(start));

describe("a job on a line that is more than a street main", () => {
  it("has the stem of a relief set turned, and turned back, to the end", () => {
    const walk = new Walk(jobOn("gannet-low-side", "GN-RV4A", "ammonia"));
    expect(ids(walk, "shut:")).toEqual(["shut:GN-RS4"]);
    walk.until((step) => step.phase === "prove");
    expect(walk.job.shut).toEqual(["GN-RS4"]);
    expect(walk.toEnd().job.status.kind).toBe("signed-off");
    expect(walk.job.shut).toEqual([]);
  });

  it("has the vessel of a single relief valve pumped out, and the permit asked for, before anything opens", () => {
    const walk = new Walk(jobOn("gannet-low-side", "GN-RV6", "ammonia"));
    expect(ids(walk, "pump-out:")).toEqual(["pump-out:OP"]);
    expect(ids(walk, "prepare:permits")).toHaveLength(1);
    expect(walk.toEnd().job.status.kind).toBe("signed-off");
  });

  it("locks electricity off, has it proven dead, and lets the heat out before zero is read", () => {
    const walk = new Walk(jobOn("lido-water", "LD-M1", "water"));
    const order = walk.job.plan.steps.map((step) => step.id);
    expect(order.indexOf("shut:LD-Q1")).toBeLessThan(order.indexOf("shut:LD-W12"));
    expect(order.indexOf("isolate:stored")).toBeLessThan(order.indexOf("prove:gauge"));
    expect(order).toContain("prove:dead:M1E");
    expect(order.indexOf("open:LD-Q1")).toBeGreaterThan(order.indexOf("open:LD-W7"));
    expect(walk.toEnd().job.status.kind).toBe("signed-off");
  });

  it("opens the bleeds of a double block and shuts them before anything comes back", () => {
    const walk = new Walk(jobOn("gannet-co2", "GC-SV2", "co2"));
    const order = walk.job.plan.steps.map((step) => step.id);
    expect(ids(walk, "bleed:")).toHaveLength(4);
    for (const shut of ids(walk, "bleed-shut:"))
      for (const open of ids(walk, "open:")) expect(order.indexOf(shut)).toBeLessThan(order.indexOf(open));
    expect(walk.toEnd().job.status.kind).toBe("signed-off");
  });

  it("a stem that another job turned stays so for this one", () => {
    const line = demoDocument<Line>("lines/gannet-low-side.json");
    const held = new Map([["GN-RS4", { job: "j", valve: "GN-RV4A", position: "a-off" }]]);
    const stem = lineAsItStands(line, held).nodes.find((node) => node.id === "GN-RS4");
    expect(stem?.threeWay).toMatchObject({ normally: "a-off", operable: false });
  });
});

describe("standing at zero with the temperature", () => {
  const BAR = 1e5;
  const read = (walk: Walk, bar: number, celsius: number) =>
    walk.add({
      kind: "reading-taken",
      step: walk.job.current!.id,
      what: "zero",
      dimension: "gauge pressure",
      si: bar * BAR,
      typed: `${bar} bar g`,
      kelvin: celsius + 273.15,
    });
  const stood = (first: number, celsius: number) => {
    const walk = new Walk(jobOn("gannet-low-side", "GN-RV6", "ammonia"));
    walk.until((step) => step.id === "prove:gauge");
    read(walk, first, celsius);
    return walk.until((step) => step.id === "prove:again");
  };
  const verdict = (walk: Walk) => judgeStill(walk.job.progress.readings, 0.05 * BAR)!;

  it("a rise that warming explains starts the proof anew, but blames no closure", () => {
    const walk = stood(0, -10);
    read(walk, 0.077, 10);
    expect(walk.job.current?.id).toBe("prove:gauge");
    expect(standingWords(speaker(), verdict(walk))).toContain("no closure is to blame");
  });

  it("a rise beyond warming is let in", () => {
    const walk = stood(0, 5);
    read(walk, 0.3, 6);
    expect(standingWords(speaker(), verdict(walk))).toContain("something is let in");
  });

  it("a zero that should have fallen with the cold is none", () => {
    const walk = stood(0, 20);
    read(walk, 0, -10);
    expect(walk.job.states.get("prove:again")?.kind).not.toBe("done");
  });

  it("a zero that stayed is proven", () => {
    const walk = stood(0, 5);
    read(walk, 0.01, 5);
    expect(walk.job.states.get("prove:again")?.kind).toBe("done");
  });

  it("refuses a temperature no pipe has", () => {
    const walk = new Walk(jobOn("gannet-low-side", "GN-RV6", "ammonia"));
    walk.until((step) => step.id === "prove:gauge");
    expect(() => read(walk, 0, 900)).toThrow("/kelvin");
  });
});
