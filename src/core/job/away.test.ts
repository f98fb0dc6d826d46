import { describe, expect, it } from "vitest";
import type { JobInputs, Where } from "../formats";
import { librarySheet, says, Walk, wetJob } from "./job.fixtures";
import { jobAt, planOf } from "./proof.fixtures";
import { prove } from "./prove";

const out = (where: Where, inputs: JobInputs): JobInputs => {
  const { line: _, held: __, ...rest } = inputs;
  return { ...rest, where };
};
const ids = (inputs: JobInputs) => planOf(inputs).steps.map((step) => step.id);
const onBench = out("bench", wetJob());

describe("a valve on the bench", () => {
  it("has nothing shut, nobody told, no gauge read and nothing opened for it", () => {
    const kinds = new Set(planOf(onBench).steps.map((step) => step.kind));
    for (const kind of ["shut", "shut-by-hand", "notify", "gauge", "hold", "open", "open-by-hand", "tell"])
      expect([...kinds]).not.toContain(kind);
    expect(ids(onBench)).toContain("isolate:away");
  });

  it("is looked at for pressure before a tool is on it, with what the medium does", () => {
    const co2 = planOf(out("bench", jobAt("GC-RV5", "pell-guardian-c3", undefined))).steps;
    const step = co2.find(({ kind }) => kind === "away")!;
    expect(says(step).title).toContain("without pressure");
    expect(step.dangers.map(({ kind }) => kind)).toEqual(["medium-out"]);
    expect(co2.indexOf(step)).toBeLessThan(co2.findIndex(({ phase }) => phase === "strip"));
  });

  it("is not asked what only its line can answer, and says what its line still has to", () => {
    expect(ids(onBench)).not.toContain("check:static-pressure");
    const left = planOf(onBench).steps.find(({ kind }) => kind === "untested")!;
    const asked = wetJob().sheet.checks.filter(({ phase }) => phase === "test");
    expect(says(left).cues).toEqual(asked.map((check) => check.do));
  });

  it("keeps the stop that needs no line: old packing without papers is not touched on a bench either", () => {
    const radiator = out("bench", jobAt("HL-V2", "lantern-parlour-1", undefined));
    const walk = new Walk(radiator, { asbestos: "old" }).until((step) => step.id === "check:asbestos");
    expect(walk.job.current?.id).toBe("check:asbestos");
  });

  it("agrees to no pressure behind it: there is none", () => {
    const cock = out("bench", jobAt("RW-G21", "pell-ropewalk-20", undefined));
    expect(ids(cock).some((id) => id.startsWith("ask:") || id === "isolate:live")).toBe(false);
  });

  it("comes to its end and is proven", () => {
    expect(new Walk(onBench).toEnd().job.status.kind).toBe("signed-off");
    const proof = prove(planOf(onBench), onBench);
    expect(proof.harms).toEqual([]);
    expect(proof.differences).toEqual([]);
  });
});

describe("a carried one", () => {
  const assist = out("carried", jobAt("FST-P1", "quillon-pierhead-2", undefined, { build: "plain" }));

  it("is tested where it is, with no street valve and no reading of a line it does not have", () => {
    const kinds = planOf(assist).steps.map((step) => step.kind);
    expect(kinds).not.toContain("gauge");
    expect(kinds).not.toContain("shut-by-hand");
    expect(kinds).not.toContain("untested");
    expect(ids(assist)).toEqual(expect.arrayContaining(["check:static", "check:tight"]));
    expect(new Walk(assist).toEnd().job.status.kind).toBe("signed-off");
  });

  it("sheets of things that are carried say so", () => {
    expect(librarySheet("quillon-pierhead-2").traits).toContain("carried");
    expect(librarySheet("brae-swingout-3").traits ?? []).not.toContain("carried");
  });

  it("in its line, said or not, is one and the same: pressure behind it is asked twice", () => {
    const cock = jobAt("RW-G21", "pell-ropewalk-20", "ropewalk-gas");
    expect(ids({ ...cock, where: "line" })).toEqual(ids(cock));
    expect(ids(cock)).toContain("ask:task:half-circle");
  });

  it("a job of the rules before knows no place", () => {
    expect(ids({ ...assist, rules: 2 })).toContain("isolate:by-hand");
  });
});
