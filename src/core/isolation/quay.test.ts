import { describe, expect, it } from "vitest";
import { isolationMessage, speaker } from "@/words";
import type { Line } from "../formats";
import { demoDocument } from "../job/job.fixtures";
import { alternatives, type IsolationPlan, planIsolation } from ".";

const quay = demoDocument<Line>("lines/north-quay.json");
const plan = (open: string, more = {}, line = quay): IsolationPlan => {
  const made = planIsolation(line, { open: [open], ...more });
  if (!made.ok) throw new Error(isolationMessage(speaker(), made.error));
  return made.value;
};
const links = (each: IsolationPlan) => each.closures.map((closure) => closure.link);
const names = (each: IsolationPlan) => each.lost.map((lost) => lost.node).sort();

describe("North quay", () => {
  it.each([
    ["NQ-H02", ["V-11", "V-22"], ["NQ-H02", "NQ-H10"]],
    ["NQ-H04", ["V-09", "V-15"], ["NL", "NQ-H04"]],
    ["NQ-H09", ["SV-09"], ["NQ-H09"]],
    ["NQ-H10", ["SV-10"], ["NQ-H10"]],
  ])("to open %s shuts %j", (hydrant, closures, lost) => {
    expect(links(plan(hydrant)).sort()).toEqual(closures);
    expect(names(plan(hydrant))).toEqual(lost);
  });

  it("says of a valve without a lock point what to do instead", () => {
    expect(plan("NQ-H10").closures[0]?.lockable).toBe(false);
    expect(plan("NQ-H10").minutes).toBe(2 + 5);
  });

  it("keeps the ferry shed in service for eleven minutes more", () => {
    const base = plan("NQ-H07");
    const other = alternatives(quay, { open: ["NQ-H07"] }, base).find((each) => each.keep === "FS");
    expect(other).toMatchObject({ closures: 3, extraMinutes: 11 });
    expect(links(other!.plan)).toContain("V-16");
    expect(names(other!.plan)).not.toContain("FS");
    expect(other!.plan.closures.find((closure) => closure.link === "V-16")?.why.hardToReach).toContain(
      "under the floor plate",
    );
  });

  it("offers no way to keep the hydrant that is opened", () => {
    expect(alternatives(quay, { open: ["NQ-H07"] }, plan("NQ-H07")).map((each) => each.keep)).not.toContain(
      "NQ-H07",
    );
  });

  it("opens lowest first, so that the air goes up and out", () => {
    const heights = plan("NQ-H07").restoring.flatMap(({ kind, id: link }) => {
      if (kind !== "open") return [];
      const found = quay.links.find((each) => each.id === link)!;
      const inside = new Set(plan("NQ-H07").section.nodes);
      return quay.nodes.find((node) => node.id === (inside.has(found.from) ? found.from : found.to))!
        .elevation_m;
    });
    expect(heights).toEqual([...heights].sort((a, b) => a - b));
  });

  it("drains at the lowest drain of the section, and finds its vent", () => {
    const { section } = plan("NQ-H07");
    expect(section.drain?.node).toBe("D2");
    expect(section.vent?.node).toBe("NQ-H05");
    expect(section.volume_L).toBeGreaterThan(1000);
  });

  it("finds a place by the tag of its valve, and opens a link by both its ends", () => {
    expect(links(plan("P-J10-NQ-H07")).sort()).toEqual(links(plan("NQ-H07")).sort());
  });

  it.each([
    ["passing", { passing: ["no-such"] }],
    ["avoid", { avoid: ["no-such"] }],
    ["keep", { keep: ["no-such"] }],
  ])("refuses an unknown name in %s", (_field, more) => {
    expect(planIsolation(quay, { open: ["NQ-H07"], ...more })).toMatchObject({
      ok: false,
      error: { kind: "unknown-place", name: "no-such" },
    });
  });

  it("goes back valve by valve as each is found to pass, until nothing is left", () => {
    const passing: string[] = [];
    for (let round = 0; round < 20; round++) {
      const made = planIsolation(quay, { open: ["NQ-H07"], passing });
      if (!made.ok) {
        expect(isolationMessage(speaker(), made.error)).toContain("Nothing can be shut along");
        expect(round).toBeGreaterThanOrEqual(3);
        return;
      }
      for (const link of links(made.value)) expect(passing).not.toContain(link);
      passing.push(links(made.value)[0]!);
    }
    throw new Error("it never ran out of valves");
  });
});
