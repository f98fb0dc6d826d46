import { describe, expect, it } from "vitest";
import { Walk, wetJob } from "./job.fixtures";
import { jobAt } from "./proof.fixtures";
import { sweptWith } from "./sweep";

describe("closures in one sweep", () => {
  it("are those that follow the one in hand without anything between, and end where a danger begins", () => {
    let rows = 0;
    for (const inputs of [wetJob(), jobAt("LD-T11", "lantern-bucket-20", "lido-steam")]) {
      const walk = new Walk(inputs);
      while (walk.job.current !== undefined && walk.job.current.phase !== "strip") {
        const swept = sweptWith(walk.job);
        const at = walk.job.plan.steps.findIndex(({ id }) => id === walk.job.current!.id);
        expect(walk.job.plan.steps.slice(at + 1, at + 1 + swept.length)).toEqual(swept);
        for (const step of swept) expect([step.kind, step.dangers]).toEqual(["shut", []]);
        if (walk.job.current.kind !== "shut" || walk.job.current.dangers.length > 0)
          expect(swept).toEqual([]);
        rows = Math.max(rows, swept.length);
        walk.doStep(walk.job.current);
      }
    }
    expect(rows).toBeGreaterThan(0);
  });

  it("entered one after the other they stand as if each had been a card of its own", () => {
    const walk = new Walk(wetJob()).until((step) => step.kind === "shut");
    const swept = sweptWith(walk.job);
    const singly = new Walk(wetJob()).until((step) => step.kind === "shut");
    for (const step of [walk.job.current!, ...swept])
      walk.add({ kind: "step-done", step: step.id, entry: "12" });
    for (let left = swept.length; left >= 0; left--) singly.doStep(singly.job.current!);
    expect([...walk.job.progress.shut.keys()]).toEqual([...singly.job.progress.shut.keys()]);
    expect(walk.job.current).toEqual(singly.job.current);
  });
});
