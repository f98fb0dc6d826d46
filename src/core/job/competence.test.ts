import { describe, expect, it } from "vitest";
import type { JobInputs } from "../formats";
import { asksOfJob, asksOfSheet, lacking } from "./competence";
import { dryJob, librarySheet, START, Walk } from "./job.fixtures";
import { run } from "./run";

const ASKED: Partial<JobInputs> = { people: { competent: true } };
const GAS = { at: "meter", sheet: librarySheet("pell-ropewalk-20") };

/** A job on a hydrant whose sheet is said to ask for gas: what is asked hangs on the sheet alone. */
const gasJob = (more: Partial<JobInputs> = {}): JobInputs => {
  const inputs = dryJob({ ...ASKED, ...more });
  return { ...inputs, sheet: { ...inputs.sheet, asks: ["gas"] } };
};
const atFirstShut = (inputs: JobInputs): Walk => new Walk(inputs).until((step) => step.phase === "isolate");
const doneBy = (walk: Walk, by: string) => ({
  kind: "step-done",
  step: walk.job.current!.id,
  entry: "L-1",
  by,
});

describe("what is asked", () => {
  it.each([
    ["pell-ropewalk-20", ["gas"]],
    ["pell-guardian-s1", ["refrigerant"]],
    ["pell-frostgate-32", ["refrigerant"]],
    ["lantern-bucket-20", ["steam"]],
    ["quillon-watchair-1", ["fire"]],
    ["quillon-harbour-5", []],
    ["sedgeway-furrow-25", []],
  ])("of %s", (sheet, asked) => {
    expect(asksOfSheet(librarySheet(sheet))).toEqual(asked);
  });
  it("is what the sheet says, where it says so", () => {
    expect(asksOfSheet({ ...GAS.sheet, asks: [] })).toEqual([]);
  });
  it("is nothing in jobs that began before anybody signed on", () => {
    const { people: _, ...inputs } = gasJob();
    const made = run(inputs, []);
    expect(made.ok && asksOfJob(inputs, made.value.plan.steps)).toEqual([]);
  });
  it("holds to the end of the last day", () => {
    const may = { gas: { until: "2026-06-01" } };
    expect(lacking(["gas"], may, Date.parse("2026-06-01T23:59:59Z"))).toEqual([]);
    expect(lacking(["gas"], may, Date.parse("2026-06-02T00:00:00Z"))).toEqual(["gas"]);
    expect(lacking(["gas"], {}, START)).toEqual(["gas"]);
  });
});

describe("work that can hurt others", () => {
  it("is prepared by anybody, and begun by nobody who has not signed on", () => {
    const walk = atFirstShut(gasJob());
    expect(walk.refusal(doneBy(walk, "Isla Venn"))).toMatchObject({ kind: "sign-on-first", asked: ["gas"] });
  });
  it("is done by one who may, with what the crew said then in the log", () => {
    const walk = atFirstShut(gasJob());
    walk.add({ kind: "signed-on", by: "Isla Venn", may: { gas: { until: "2099-12-31" } } });
    walk.add(doneBy(walk, "Isla Venn"));
    expect(walk.job.progress.shut.size).toBe(1);
  });
  it.each([
    ["whose paper ran out", "Jory Pask", { gas: { until: "2020-01-01" } }],
    ["who has another paper", "Bryn Collier", { electricity: { until: "open" } }],
    ["who learns", "Odd Kerrigan", {}],
  ])("is not done by one %s", (_, by, may) => {
    const walk = atFirstShut(gasJob());
    walk.add({ kind: "signed-on", by, may });
    expect(walk.refusal(doneBy(walk, by))).toMatchObject({ kind: "not-competent", missing: ["gas"] });
  });
  it("is done by a learner under the eye of one who may and is there", () => {
    const walk = atFirstShut(gasJob());
    const learner = { kind: "signed-on", by: "Odd Kerrigan", under: "Isla Venn" };
    expect(walk.refusal(learner)).toMatchObject({ kind: "not-signed-on", who: "Isla Venn" });
    walk.add({ kind: "signed-on", by: "Isla Venn", may: { gas: { until: "2099-12-31" } } });
    walk.add(learner);
    walk.add(doneBy(walk, "Odd Kerrigan"));
    expect(walk.job.progress.shut.size).toBe(1);
  });
  it("nobody watches over oneself, nor by one who may not either", () => {
    const walk = atFirstShut(gasJob());
    expect(walk.refusal({ kind: "signed-on", by: "Odd Kerrigan", under: "Odd Kerrigan" })?.kind).toBe(
      "under-own-eye",
    );
    walk.add({ kind: "signed-on", by: "Isla Venn", may: { gas: { until: "2099-12-31" } } });
    walk.add({ kind: "signed-on", by: "Odd Kerrigan", under: "Isla Venn" });
    walk.add({ kind: "signed-on", by: "Bryn Collier", under: "Odd Kerrigan" });
    expect(walk.refusal(doneBy(walk, "Bryn Collier"))?.kind).toBe("not-competent");
  });
  it("somebody whom the crew does not know signs on nowhere", () => {
    const walk = atFirstShut(gasJob());
    expect(walk.refusal({ kind: "signed-on", by: "The Queen of Sheba" })?.kind).toBe("crew-not-at-hand");
  });
  it("a paper that runs out on the way ends the work of whoever has it, and of whom it watches over", () => {
    const walk = atFirstShut(gasJob());
    walk.add({ kind: "signed-on", by: "Isla Venn", may: { gas: { until: "2026-06-01" } } });
    walk.add({ kind: "signed-on", by: "Odd Kerrigan", under: "Isla Venn" });
    walk.now = Date.parse("2026-06-02T08:00:00Z");
    for (const by of ["Isla Venn", "Odd Kerrigan"])
      expect(walk.refusal(doneBy(walk, by))?.kind).toBe("not-competent");
    walk.add({ kind: "signed-on", by: "Isla Venn", may: { gas: { until: "2027-06-01" } } });
    walk.add(doneBy(walk, "Odd Kerrigan"));
  });
  it("stopping, noting and closing as not begun are anybody's", () => {
    const walk = atFirstShut(gasJob());
    walk.add({ kind: "note-added", text: "It smells here.", by: "Odd Kerrigan" });
    walk.add({ kind: "stopped", reason: "Nobody here may.", by: "Odd Kerrigan" });
    expect(walk.refusal({ kind: "given-up", reason: "Nobody may.", by: "Odd Kerrigan" })).toBeUndefined();
  });
  it("is asked of water by nobody", () => {
    const walk = new Walk(dryJob(ASKED)).toEnd();
    expect(walk.job.current).toBeUndefined();
  });
});

describe("another person proves zero", () => {
  const proving = (people: JobInputs["people"]) =>
    new Walk(dryJob({ people })).until((step) => step.kind === "gauge");
  const zero = (walk: Walk, by: string) => ({
    kind: "reading-taken",
    step: walk.job.current!.id,
    what: "zero",
    dimension: "gauge pressure",
    si: 0,
    typed: "0 bar g",
    by,
  });
  it("where the rule of the house says so", () => {
    const walk = proving({ competent: true, anotherProves: true });
    expect(walk.refusal(zero(walk, "Tam Arkle"))).toMatchObject({ kind: "another-proves", who: "Tam Arkle" });
    walk.add(zero(walk, "Isla Venn"));
    // What is waited for is nobody's word; the second reading is again.
    walk.until((step) => step.kind === "gauge");
    expect(walk.refusal(zero(walk, "Tam Arkle"))?.kind).toBe("another-proves");
  });
  it("and nowhere else", () => {
    const walk = proving({ competent: true });
    expect(walk.refusal(zero(walk, "Tam Arkle"))).toBeUndefined();
  });
});

describe("two signatures", () => {
  it("are two people's, where the sheet asks", () => {
    const inputs = dryJob(ASKED);
    const sheet = { ...inputs.sheet, secondSignature: "Two pairs of eyes." };
    const walk = new Walk({ ...inputs, sheet }).until((step) => step.kind === "second-signature");
    const sign = (by: string) => ({ kind: "signed-off", statement: "Back in service.", by });
    expect(walk.refusal(sign("Tam Arkle"))?.kind).toBe("not-yet");
    walk.add({ kind: "step-done", step: walk.job.current!.id, by: "Isla Venn" });
    expect(walk.refusal(sign("Isla Venn"))).toMatchObject({ kind: "another-signs" });
    walk.add(sign("Tam Arkle"));
    expect(walk.job.status.kind).toBe("signed-off");
  });
});
