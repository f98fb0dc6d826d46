import { describe, expect, it } from "vitest";
import { heldAct } from ".";
import { dryJob, wetJob } from "./job.fixtures";
import { run } from "./run";

const stepsOf = (inputs: ReturnType<typeof wetJob>) => {
  const made = run(inputs, []);
  if (!made.ok) throw new Error("no plan");
  return made.value.plan.steps;
};

describe("acts that are held down", () => {
  it("let something loose or bring it back: all of these, whatever the valve", () => {
    for (const inputs of [wetJob(), dryJob()]) {
      const held = stepsOf(inputs).filter(heldAct);
      const kinds = new Set(held.map(({ kind }) => kind));
      for (const kind of ["crack", "open"] as const) expect(kinds).toContain(kind);
      const loose = stepsOf(inputs).filter(
        ({ kind }) => kind === "crack" || kind === "drain" || kind === "open",
      );
      expect(loose.every(heldAct)).toBe(true);
    }
  });

  it("are no looks, readings, locks or signatures: whoever holds everything holds nothing", () => {
    const kinds = new Set([
      "check",
      "gauge",
      "shut",
      "mark",
      "kit",
      "tray",
      "hold",
      "tag",
      "sign-off",
      "tighten",
    ]);
    const steps = stepsOf(wetJob());
    expect(steps.filter(({ kind }) => kinds.has(kind)).some(heldAct)).toBe(false);
    expect(steps.filter(heldAct).length).toBeLessThan(steps.length / 4);
  });

  it("a part that is full, or loaded, comes off by a held press; of a stack each piece is counted by a tap", () => {
    const strip = stepsOf(wetJob()).find((step) => step.kind === "strip" && step.pieces.length === 0)!;
    if (strip.kind !== "strip") throw new Error("nothing comes off");
    expect(heldAct({ ...strip, dangers: [] })).toBe(false);
    const loaded = { ...strip, dangers: [{ kind: "loaded" as const, says: "Its spring pushes." }] };
    expect(heldAct(loaded)).toBe(true);
    expect(heldAct({ ...loaded, pieces: [{ name: "Ring" }] as never })).toBe(false);
  });
});
