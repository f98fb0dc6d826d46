import { describe, expect, it } from "vitest";
import { linesLeft, type Step, type StepOf } from ".";
import { Walk, wetJob } from "./job.fixtures";

const atKit = (step: Step) => step.kind === "kit";
const kitOf = (walk: Walk) => walk.job.current as StepOf<"kit">;

describe("a kit that is ticked line by line", () => {
  it("is not done before each line was taken in the hand", () => {
    const walk = new Walk(wetJob({ policy: "what-was-disturbed" })).until(atKit);
    const done = () => walk.add({ kind: "step-done", step: "prepare:kit" });
    expect(done).toThrow("Not ticked yet");
    const lines = linesLeft(kitOf(walk), walk.job.progress);
    expect(lines.length).toBeGreaterThan(3);
    for (const { id } of lines.slice(1)) walk.add({ kind: "line-ticked", step: "prepare:kit", line: id });
    expect(done).toThrow(lines[0]!.name);
    walk.add({ kind: "line-ticked", step: "prepare:kit", line: lines[0]!.id });
    expect(done).not.toThrow();
  });

  it("has the contents of each kit, and what goes on the parts", () => {
    const kit = kitOf(new Walk(wetJob({ policy: "what-was-disturbed" })).until(atKit));
    const { sheet } = wetJob();
    for (const pick of kit.picks.filter((each) => each.kind === "kit"))
      for (const { part } of sheet.kits.find(({ id }) => id === pick.id)!.contents)
        expect(kit.lines!.map(({ name }) => name)).toContain(sheet.parts.find(({ id }) => id === part)!.name);
    expect(kit.lines!.filter(({ id }) => id.startsWith("supply:"))).toHaveLength(sheet.supplies.length);
    expect(new Set(kit.lines!.map(({ id }) => id)).size).toBe(kit.lines!.length);
  });

  it("refuses what is on no list, and goes on without what is nowhere, with its reason", () => {
    const walk = new Walk(wetJob()).until(atKit);
    expect(() => walk.add({ kind: "line-ticked", step: "prepare:kit", line: "kit:X" })).toThrow(
      "no such line",
    );
    walk.add({
      kind: "step-overridden",
      step: "prepare:kit",
      reason: "The grease comes with the second van.",
    });
    expect(walk.job.states.get("prepare:kit")?.kind).toBe("done");
  });

  it("is not asked of jobs that began before", () => {
    const kit = kitOf(new Walk(wetJob({ rules: 4 })).until(atKit));
    expect(kit.lines).toBeUndefined();
    expect(kit.mayOverride).toBe(false);
  });
});
