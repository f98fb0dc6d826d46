import { describe, expect, it } from "vitest";
import { MUTANTS } from "./mutants.fixtures";
import { JOBS, type JobName, plans } from "./proof-jobs.fixtures";
import { type Proof, prove, truthsOf } from "./prove";
import type { Step } from "./step";

describe("a truth that is tried from where it matters to where it is spent", () => {
  const asItIs = (steps: readonly Step[]) => steps;
  const said = (proofs: readonly Proof[]) => [
    ...new Set(
      proofs.flatMap(({ harms, differences }) => [
        ...harms.map(({ harm, step }) => `${step.id} ${JSON.stringify(harm)}`),
        ...differences.map((each) => JSON.stringify(each)),
      ]),
    ),
  ];
  const sound = (Object.keys(JOBS) as JobName[]).map((job) => ({ name: "sound", job, change: asItIs }));
  const spoiled = MUTANTS.map(([name, job, change]) => ({ name, job, change }));

  it.each([...sound, ...spoiled])(
    "finds what it finds when it is tried alone and whole: $name ($job)",
    ({ job, change }) => {
      const plan = { ...plans[job], steps: change(plans[job].steps) };
      const alone = truthsOf(plan, JOBS[job]).map((truth) => prove(plan, JOBS[job], { truths: [truth] }));
      const together = prove(plan, JOBS[job]);
      expect(said([together]).sort()).toEqual(said(alone).sort());
      expect(together.acts).toBeLessThanOrEqual(alone.reduce((sum, { acts }) => sum + acts, 0));
    },
  );
});
