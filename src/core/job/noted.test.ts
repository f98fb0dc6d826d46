import { describe, expect, it } from "vitest";
import { afterJob, jobRecord, type Step } from ".";
import { Walk } from "./job.fixtures";
import { jobAt } from "./proof.fixtures";

const at = (id: string) => (step: Step) => step.id === id;
const photo = { kind: "photo-taken", photo: "p-1", sha256: "0".repeat(64) };
const filter = () => new Walk(jobAt("LD-IF1", "ottermouth-ironbrook-30", "lido-treatment"));
const softener = (answers = {}) =>
  new Walk(jobAt("LD-SF1", "ottermouth-brook-20", "lido-treatment"), answers);

describe("what is noted", () => {
  it("is not noted before it was photographed, where words do not put it back", () => {
    const walk = filter().until(at("mark:settings"));
    const note = () =>
      walk.add({ kind: "step-done", step: "mark:settings", entry: "Photographed, page by page" });
    expect(note).toThrow("Take the photograph first");
    walk.add({ ...photo, step: "mark:settings" });
    expect(note).not.toThrow();
  });

  it("a photograph of the tag, and of what a look shows, stands in the record", () => {
    const walk = filter();
    for (const kind of ["check", "tag"] as const) {
      const { id } = walk.until((step) => step.kind === kind).job.current!;
      walk.add({ ...photo, photo: `p-${kind}`, step: id });
    }
    expect(jobRecord(walk.toEnd().job, []).photos.map(({ step }) => step?.kind)).toEqual(
      expect.arrayContaining(["check", "tag"]),
    );
  });

  it("may be skipped with a reason where there is no camera", () => {
    const walk = filter().until(at("mark:settings"));
    walk.add({ kind: "step-overridden", step: "mark:settings", reason: "The camera is broken." });
    expect(walk.job.states.get("mark:settings")?.kind).toBe("done");
  });

  it.each([
    ["nothing", "Write a figure, in mm"],
    ["a hand wide", "Write a figure, in mm"],
    ["70", "It can be 0 to 60 mm"],
  ])("as a figure is refused as %s", (entry, says) => {
    const walk = softener().until(at("mark:stroke"));
    expect(() => walk.add({ kind: "step-done", step: "mark:stroke", entry })).toThrow(says);
  });

  it("as a figure is held to at the end, in whatever unit it is read", () => {
    const walk = softener({ stroke: "24 mm" }).until(at("confirm:stroke"));
    const again = (entry: string) => walk.add({ kind: "step-done", step: "confirm:stroke", entry });
    expect(() => again("29 mm")).toThrow("It was noted at 24 mm: set it back, to within 2 mm");
    again("1 in");
    expect(walk.job.states.get("confirm:stroke")?.kind).toBe("done");
  });

  it("stands in the record as it was left", () => {
    const walk = new Walk(
      jobAt("LD-IF1", "ottermouth-ironbrook-30", "lido-treatment", {
        reach: ["refill-control", "drain-control", "injector"],
      }),
    ).toEnd();
    const stands = jobRecord(walk.job, []).stands.map(({ noted }) => noted);
    expect(stands).toEqual(expect.arrayContaining(["0.7", "7", "Red"]));
  });
});

describe("an option that was noted", () => {
  const without = (answers: Record<string, string>) =>
    new Walk(
      jobAt("LD-IF1", "ottermouth-ironbrook-30", "lido-treatment", { reach: ["meter", "stack", "drive"] }),
      answers,
    );
  const cards = (walk: Walk) => walk.job.plan.steps.map(({ id }) => id);

  it("that is not there takes its parts out of the plan, and comes back with the entry taken back", () => {
    const walk = without({ "has-meter": "No meter: a plain pipe" }).until(at("mark:has-meter"));
    expect(cards(walk)).toContain("strip:meter");
    walk.until((step) => step.id !== "mark:has-meter");
    expect(cards(walk)).not.toContain("strip:meter");
    walk.add({ kind: "undone", event: walk.events.at(-1)!.id });
    expect(cards(walk)).toContain("strip:meter");
  });

  it("is what the register knows from then on", () => {
    const walk = without({ "has-switch": "No switch" }).toEnd();
    expect(cards(walk)).not.toContain("strip:switch");
    expect(afterJob(walk.inputs.valve, walk.job, walk.now).fitted).toMatchObject({
      switch: "no",
      meter: "yes",
    });
  });
});
