import { describe, expect, it } from "vitest";
import { ACT_KINDS } from "../world";
import { MUTANTS } from "./mutants.fixtures";
import { kind } from "./proof.fixtures";
import { JOBS, type JobName, plans, proofOf } from "./proof-jobs.fixtures";
import { prove, truthsOf } from "./prove";
import { actsOf } from "./step-rules";

describe("the plans themselves", () => {
  it.each(Object.keys(JOBS) as JobName[])(
    "%s: no harm, whatever is hidden, and all as service wants it",
    (job) => {
      const proof = proofOf(job);
      expect(proof.harms.map(({ harm, step, truth }) => ({ harm, at: step.id, truth }))).toEqual([]);
      expect(proof.differences).toEqual([]);
      expect(proof.acts).toBeGreaterThan(20);
      expect(proof.truths).toBe(truthsOf(plans[job], JOBS[job]).length);
    },
  );
});

it("between them they ask for every act there is", () => {
  const asked = new Set(
    Object.values(plans).flatMap(({ steps }) => steps.flatMap((step) => actsOf(step).map((act) => act.do))),
  );
  // What was noted is confirmed only when something was: no plan has that before its beginning.
  expect(ACT_KINDS.filter((each) => !asked.has(each))).toEqual(["confirm"]);
});

describe("work that is stopped and taken up again", () => {
  const stops = (job: JobName) =>
    truthsOf(plans[job], JOBS[job]).filter(({ kind: is }) => is === "stopped-at");

  it("is tried at every card between the proof and the first open joint, and later", () => {
    const { steps } = plans.wet;
    const crack = steps.findIndex(kind("crack"));
    const tried = stops("wet").flatMap((truth) => (truth.kind === "stopped-at" ? [truth.step] : []));
    expect(tried).toContain(steps[crack]!.id);
    expect(tried).toContain(steps[crack - 1]!.id);
    expect(tried).toContain(steps.find(({ phase }) => phase === "rebuild")!.id);
  });

  it.each(["mixer", "preAction"] as const)(
    "%s: opened on a proof of the day before, pressure comes out or what was dead is live",
    (job) => {
      // Rules of before: nothing is proven again.
      const { harms } = prove(plans[job], { ...JOBS[job], rules: 3 }, { truths: stops(job) });
      expect(harms.map(({ harm }) => harm.kind)).toContain("zero-not-proven");
    },
  );
});

describe("a rule taken away is found", () => {
  it.each(MUTANTS)("%s (%s)", (_, job, change, finds) => {
    const proof = proofOf(job, change);
    const found: string[] = [
      ...proof.harms.map(({ harm }) => harm.kind),
      ...proof.differences.map((each) => each.kind),
    ];
    expect(found).toContain(finds);
  });
});
