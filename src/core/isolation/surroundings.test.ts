import { describe, expect, it } from "vitest";
import type { Line } from "../formats";
import { demoDocument } from "../job/job.fixtures";
import { type IsolationPlan, planIsolation } from ".";

const line = (id: string) => demoDocument<Line>(`lines/${id}.json`);
const plan = (on: Line, open: string, more = {}): IsolationPlan => {
  const made = planIsolation(on, { open: [open], ...more });
  if (!made.ok) throw new Error(made.error.kind);
  return made.value;
};

describe("who goes without", () => {
  it("counts other coils on a switch that is locked off, but not the one that is worked on", () => {
    const lost = plan(line("marram-gardens"), "MG-P1").lost.map((each) => each.node);
    expect(lost).toContain("P2E");
    expect(lost).toContain("P3E");
    expect(lost).not.toContain("P1E");
  });

  it("marks hydrants and protected zones for the fire service", () => {
    const lost = plan(line("north-quay"), "NQ-H07").lost;
    expect(lost.filter((each) => each.hydrant).length).toBeGreaterThan(1);
    expect(lost.filter((each) => each.protects).map((each) => each.node)).toEqual(["FS"]);
  });

  it("a valve that was shut for another job counts as shut: nobody loses twice", () => {
    const quay = line("north-quay");
    const held = {
      ...quay,
      links: quay.links.map((link) =>
        link.id === "SV-09" && link.kind === "valve" ? { ...link, normally: "shut" as const } : link,
      ),
    };
    const made = plan(held, "NQ-H09");
    expect(made.lost).toEqual([]);
    expect(made.closures[0]).toMatchObject({ link: "SV-09", standsShut: true });
    expect(made.restoring.at(-1)).toMatchObject({ kind: "leave-shut", id: "SV-09" });
  });
});

describe("what is shut in", () => {
  it("has its lowest drain, its highest vent and its content", () => {
    const { section } = plan(line("marram-gardens"), "MG-A2");
    expect(section.drain?.node).toBe("D2");
    // Rising main 100 mm × 260 m (2,042 L), 80 mm × 60 m, 65 mm × 90 m, zones 50 mm × 91.8 m, flush 40 mm × 25 m, drain.
    expect(section.volume_L).toBeGreaterThan(2_700);
    expect(section.volume_L).toBeLessThan(3_000);
    expect(section.drain?.staysBelow_L).toBe(0);
  });

  it("is proven where the line says: gauge before vent before drain, the tester for electricity", () => {
    const how = (id: string, open: string, more = {}) =>
      plan(line(id), open, more).prove.map((point) =>
        `${point.medium} ${point.how} ${point.node ?? ""}`.trim(),
      );
    expect(how("lido-treatment", "LD-SF1")).toEqual(["water gauge G1", "electricity tester SFE"]);
    expect(how("lido-treatment", "LD-IF1")).toEqual(["water drain D1", "electricity tester IFE"]);
    expect(how("gannet-low-side", "GN-RV6", { pumpedOut: ["OP"] })).toEqual(["ammonia nowhere"]);
    expect(how("gannet-low-side", "GN-HRV2")).toEqual(["ammonia nowhere"]);
    expect(how("laundry-supply", "LY-S1c")).toEqual(["water crack", "electricity tester W1E"]);
  });
});

describe("what else there is to mind", () => {
  it("asks each permit once, whatever calls for it", () => {
    const titles = plan(line("marram-gardens"), "MG-P1").permits.slice();
    expect(titles.sort()).toEqual(["confined", "electrical"]);
    expect(new Set(titles).size).toBe(titles.length);
    expect(plan(line("north-quay"), "NQ-H07").permits).toEqual([]);
  });

  it("names the heat and the cold of what stands right behind the barriers, and of nothing else", () => {
    const kinds = (id: string, open: string) =>
      plan(line(id), open).stored.map((each) => `${each.kind} ${each.at}`);
    expect(kinds("lido-steam", "LD-T11")).toContain("heat Boiler 1");
    expect(kinds("gannet-low-side", "GN-RV1A")).toEqual([]);
    expect(kinds("gannet-low-side", "GN-RV4A")).toEqual(["cold Surge drum"]);
  });

  it("hot water that is shut in cools and draws in: it is no locked liquid", () => {
    const locked = plan(line("lido-water"), "LD-M2").locked;
    expect(locked.every((piece) => piece.barPerKelvin < 5)).toBe(true);
  });
});
