import { describe, expect, it } from "vitest";
import { notationOf } from "@/core/quantity";
import { dueWhy, gateWords, speaker, stepDangers, stepWords } from "@/words";
import { gate, jobBells, jobRecord, mayCloseEarly, outOfService, PHASES, run, WATCH_AFTER_H } from ".";
import { dryJob, Walk, wetJob, says as wordsOf } from "./job.fixtures";
import { jobAt, planOf } from "./proof.fixtures";

const open = (walk: Walk) => PHASES.filter((phase) => gate(walk.job, phase).open);
const says = (walk: Walk, phase: (typeof PHASES)[number]) => {
  const found = gate(walk.job, phase);
  return found.open ? "" : gateWords(speaker(), found);
};

describe("gates", () => {
  it("strip waits for zero, restore for the tray, the signature for all", () => {
    const walk = new Walk(wetJob());
    expect(open(walk)).toEqual(["triage", "prepare", "isolate", "prove", "mark", "test"]);
    expect(says(walk, "strip")).toContain("Nothing is opened before zero is proven");
    walk.until((step) => step.phase === "strip");
    expect(open(walk)).toContain("strip");
    walk.until((step) => step.phase === "inspect");
    expect(says(walk, "restore")).toContain("are still on it");
    walk.until((step) => step.id === "tray");
    expect(says(walk, "restore")).toContain("Account for the tray");
    walk.until((step) => step.phase === "restore");
    expect(open(walk)).toContain("restore");
    expect(says(walk, "sign-off")).toContain("Not proven yet");
    walk.until((step) => step.phase === "sign-off");
    expect(open(walk)).toContain("sign-off");
  });

  it("shut again when a closure is found to pass, even with the valve in pieces", () => {
    const walk = new Walk(wetJob()).until((step) => step.phase === "inspect");
    walk.add({ kind: "closure-passes", link: "V-12" });
    expect(gate(walk.job, "strip").open).toBe(false);
    expect(walk.job.current?.phase).toBe("isolate");
    expect(walk.job.tray.off).toBeGreaterThan(5);
    expect(walk.toEnd().job.status.kind).toBe("signed-off");
  });

  it("let a job end early only while nothing is shut and nothing is off", () => {
    const walk = new Walk(wetJob());
    expect(mayCloseEarly(walk.job)).toBe(true);
    walk.until((step) => step.id === "shut:V-15");
    expect(mayCloseEarly(walk.job)).toBe(false);
  });
});

describe("who is out of service", () => {
  it("is nobody until the first valve is shut, and nobody after the signature", () => {
    const walk = new Walk(wetJob());
    expect(outOfService(walk.job)).toEqual([]);
    walk.until((step) => step.id === "shut:V-15");
    expect(outOfService(walk.job).map((each) => each.node)).toContain("NQ-H07");
    expect(outOfService(walk.toEnd().job)).toEqual([]);
  });

  it("is told before anything is shut", () => {
    const steps = new Walk(wetJob()).job.plan.steps;
    const told = steps.findIndex((step) => step.id === "prepare:notify");
    expect(told).toBeGreaterThan(-1);
    expect(told).toBeLessThan(steps.findIndex((step) => step.kind === "shut"));
    expect(wordsOf(steps[told]!).title).toContain("Ferry shed sprinklers");
    expect(stepDangers(speaker(), steps[told]!).cautions[0]?.do).toContain("local authority");
  });
});

describe("bells", () => {
  it("an impairment rings when a watch has to be posted, counted from the first closure", () => {
    const walk = new Walk(wetJob()).until((step) => step.id === "shut:V-15");
    const bell = jobBells(walk.job).find((each) => each.kind === "impairment");
    expect(bell?.at).toBe(walk.job.progress.shut.get("V-12")!.at + WATCH_AFTER_H * 3_600_000);
  });

  it("are silent after the signature", () => {
    expect(jobBells(new Walk(dryJob()).toEnd().job)).toEqual([]);
  });
});

describe("a job without a line", () => {
  const { line: _, ...without } = wetJob();

  it("asks for the closures by hand, has zero proven all the same, and has them opened", () => {
    const walk = new Walk(without).until((step) => step.phase === "isolate");
    expect(wordsOf(walk.job.current!).title).toContain("by the site's drawing");
    expect(() => walk.add({ kind: "step-done", step: "isolate:by-hand" })).toThrow("Write it down");
    walk.until((step) => step.phase === "prove");
    expect(gate(walk.job, "strip").open).toBe(false);
    walk.toEnd();
    expect(walk.job.progress.done.has("restore:by-hand")).toBe(true);
  });
});

describe("policies and choices", () => {
  it("what was disturbed renews more than on condition, everything open at least as much", () => {
    const renewed = (policy: "on-condition" | "what-was-disturbed" | "everything-open") =>
      new Walk(wetJob({ policy })).job.plan.renewals.length;
    expect(renewed("what-was-disturbed")).toBeGreaterThan(renewed("on-condition"));
    expect(renewed("everything-open")).toBeGreaterThanOrEqual(renewed("what-was-disturbed"));
  });

  it.each([
    ["brae-swingout-3", "due", ["seat-out", "seat-in", "upper-seal", "trunnion-ring"]],
    ["brae-skerrycheck-100", "due", ["valve"]],
    ["pell-meter-h20", "overhaul", ["cone", "packing"]],
  ])(
    "%s: what the job is for (%s) goes in new under every policy, and is brought before anything is shut",
    (id, due, parts) => {
      for (const policy of ["on-condition", "what-was-disturbed", "everything-open"] as const) {
        const base = jobAt("T-1", id, undefined, { policy });
        const symptom = base.sheet.symptoms.find((each) => each.id === due)!;
        const { steps } = planOf({ ...base, reach: symptom.reach, renew: symptom.renews! });
        const kit = steps.find((step) => step.kind === "kit")!;
        expect(kit.kind === "kit" && kit.renewals.map((each) => each.part)).toEqual(
          expect.arrayContaining(parts),
        );
        for (const part of parts)
          expect(steps.find((step) => step.id === `fit:${part}`)).toMatchObject({ renewal: { part } });
        // Reached for a look, the same parts go back.
        const looked = planOf({ ...base, reach: symptom.reach, policy: "on-condition" });
        expect(looked.renewals.filter((each) => each.because === "due")).toEqual([]);
      }
    },
  );

  it("a part can be renewed all the same, with a reason; a one-use part cannot be reused", () => {
    const walk = new Walk(wetJob()).until((step) => step.id === "check:disc-face");
    walk.add({ kind: "part-judged", part: "disc", disposition: "renew", reason: "Ten years old" });
    expect(walk.job.plan.renewals.find((each) => each.part === "disc")).toMatchObject({
      because: "chosen",
      why: "Ten years old",
    });
    expect(() =>
      walk.add({ kind: "part-judged", part: "gland-gasket", disposition: "reuse", reason: "Looks fine" }),
    ).toThrow("once only");
  });

  it("a look that cannot be had is skipped with a reason, and stands in the record", () => {
    const walk = new Walk(wetJob()).until((step) => step.kind === "check" && step.mayOverride);
    const { id } = walk.job.current!;
    walk.add({ kind: "step-overridden", step: id, reason: "Lamp is broken" });
    expect(walk.job.current?.id).not.toBe(id);
    expect(jobRecord(walk.toEnd().job, []).overrides).toMatchObject([
      { step: { id }, reason: "Lamp is broken", by: "Tam Arkle" },
    ]);
  });

  it.each([
    ["pell-ropewalk-20", ["tamper", "dial", "season", "riser"]],
    ["pell-guardian-t2", ["set-pressure", "capacity"]],
    ["lantern-parlour-1", ["packing"]],
  ])("%s: a look that can stop the work is skipped by nobody: %j", (sheet, checks) => {
    const { steps } = planOf(jobAt("T-1", sheet, undefined));
    const stops = steps.filter(
      (step) => step.kind === "check" && (step.phase === "triage" || step.phase === "inspect"),
    );
    expect(stops.length).toBeGreaterThan(0);
    const skipped = stops.filter((step) => step.mayOverride).map((step) => step.id);
    for (const check of checks) expect(skipped).not.toContain(`check:${check}`);
    for (const step of stops)
      if (step.kind === "check" && step.check.kind === "choice")
        expect(step.mayOverride, step.id).toBe(step.check.options.every(({ means }) => means !== "stop"));
  });
});

describe("the record", () => {
  it("shows what was shut with which lock, when, and that it is open again", () => {
    const walk = new Walk(wetJob()).toEnd();
    const record = jobRecord(walk.job, []);
    expect(record.closures.map((each) => each.link).sort()).toEqual(["V-12", "V-15", "V-19"]);
    for (const each of record.closures) {
      expect(each.lock).toBe("14");
      expect(each.openedAt).toBeGreaterThan(each.shutAt);
    }
    expect(record.torques.map((each) => [each.part, Math.round(each.torque_Nm)])).toContainEqual([
      "Gland bolts",
      18,
    ]);
    expect(record.next?.interval).toBe("yearly");
  });

  it("of a job closed at triage leaves the valve due as it was", () => {
    const walk = new Walk(wetJob(), { "cap-or-valve": "gasket" });
    walk.doStep(walk.job.current!);
    expect(walk.job.states.get("check:cap-or-valve")).toMatchObject({ kind: "halted" });
    walk.add({ kind: "signed-off", statement: "Only the cap gasket" });
    expect(walk.job.status.kind).toBe("signed-off");
    expect(dueWhy(speaker(), jobRecord(walk.job, []).next!)).toContain("Neither service nor installation");
  });
});

it("the card speaks in the reader's units; its title says the same to everybody", () => {
  const job = run(wetJob(), []);
  if (!job.ok) throw new Error("no plan");
  const { steps } = job.value.plan;
  const said = (id: string, system: "metric" | "us") =>
    stepWords(speaker(notationOf(system)), steps.find((step) => step.id === id)!);
  // 1404 L are 371 US gallons.
  expect(said("drain:D2", "metric").cues).toEqual(["1\u2009404 L"]);
  expect(said("drain:D2", "us").cues).toEqual(["371 US gal"]);
  // Titles stand in everybody's lists.
  for (const { id } of steps) expect(said(id, "us").title).toBe(said(id, "metric").title);
});

describe("every step", () => {
  it.each([
    ["wet", new Walk(wetJob(), { "disc-face": "catches" })],
    ["dry", new Walk(dryJob(), { "seat-face": "cut" })],
  ])("of the %s-barrel job says why, has an id of its own, and speaks in sentences", (_name, walk) => {
    const { steps } = walk.toEnd().job.plan;
    expect(new Set(steps.map((step) => step.id)).size).toBe(steps.length);
    for (const step of steps) {
      const { title, why } = wordsOf(step);
      expect(why.length, step.id).toBeGreaterThan(5);
      expect(title, step.id).toMatch(/[.?]$/);
      expect(step.minutes, step.id).toBeGreaterThanOrEqual(0);
    }
    const order = steps.map((step) => PHASES.indexOf(step.phase));
    expect(order).toEqual([...order].sort((a, b) => a - b));
  });
});
