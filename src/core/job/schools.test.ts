import { describe, expect, it } from "vitest";
import { stuckLadder } from "../build";
import { NUT_FACTOR } from "../fastening";
import type { AnyWay, ChosenWay, JobInputs, Topic } from "../formats";
import { otherWay } from "../schools";
import { compile } from "./compile";
import { librarySheet, Walk, wetJob } from "./job.fixtures";
import { replay } from "./progress";
import { planOf } from "./proof.fixtures";
import { prove } from "./prove";
import { jobRecord } from "./record";
import { costOfWays, schoolsHere } from "./schools-here";
import type { Step } from "./step";

const WHY = "The owner asks for it.";
const other = (topic: Topic, way: AnyWay, usual: AnyWay): ChosenWay => ({ topic, way, usual, why: WHY });

/** A job on a sheet of the library, out of any line. */
function job(id: string, reach: string[], ...schools: ChosenWay[]): JobInputs {
  const { line: _, ...base } = wetJob();
  const sheet = librarySheet(id);
  return {
    ...base,
    sheet,
    valve: { tag: "RW-1", name: "Valve", place: "Works", sheet: id },
    reach,
    schools,
  };
}
const stepsOf = (inputs: JobInputs): readonly Step[] => {
  const plan = compile(inputs, replay(inputs, []));
  if (!plan.ok) throw new Error(JSON.stringify(plan.error));
  return plan.value.steps;
};
const card = <K extends Step["kind"]>(steps: readonly Step[], kind: K, about: string) =>
  steps.find((step) => step.kind === kind && step.id.endsWith(`:${about}`)) as Extract<Step, { kind: K }>;

describe("bolts", () => {
  const full = (...schools: ChosenWay[]) =>
    card(stepsOf(job("pell-frostgate-32", ["cone"], ...schools)), "tighten", "bolts").passes.at(-1)!
      .torque_Nm;

  it("with paste the same clamp takes less pull, by the K of the thread", () => {
    expect(full()).toBe(60);
    expect(full(other("threads", "anti-seize", "dry"))).toBeCloseTo(
      (60 * NUT_FACTOR["anti-seize"].k) / NUT_FACTOR.dry.k,
      9,
    );
  });

  it("what is on the thread stands on the card, and in the record with the reason", () => {
    const inputs = job("pell-frostgate-32", ["cone"], other("threads", "anti-seize", "dry"));
    const walk = new Walk(inputs).toEnd();
    expect(card(walk.job.plan.steps, "fit", "bolts").rules).toContainEqual({
      kind: "anti-seize",
      with: "Anti-seize paste",
      why: WHY,
    });
    const record = jobRecord(walk.job, []);
    expect(record.threads).toContainEqual({ part: "Top bolts", with: "Anti-seize paste" });
    expect(record.schools).toEqual(inputs.schools);
  });

  it("what has to lock keeps its locker", () => {
    const steps = stepsOf(job("pell-frostgate-32", ["cone"], other("threads", "anti-seize", "dry")));
    expect(card(steps, "fit", "cone").rules.map(({ kind }) => kind)).toContain("locker");
  });
});

describe("a flange gasket", () => {
  const T2 = ["outlet-gasket"];
  it("cut otherwise comes from another kit, is drawn otherwise, and says its holes", () => {
    const inputs = job("pell-guardian-t2", T2, other("gasket", "full-face", "ring"));
    const steps = stepsOf(inputs);
    expect(card(steps, "fit", "outlet-gasket").rules).toContainEqual({
      kind: "cut",
      as: "full-face",
      bolts: 4,
      circle_mm: 92,
      outside_mm: 104,
      why: WHY,
    });
    const kits = (each: JobInputs) =>
      stepsOf(each)
        .find((step) => step.kind === "kit")!
        .picks.map(({ id }) => id);
    expect(kits(inputs)).toEqual(["PH-T2-GF"]);
    // The ring lies there singly, and the kit for the full face is not taken for it.
    expect(kits(job("pell-guardian-t2", T2))).toEqual(["outlet-gasket"]);
  });
});

describe("what is stuck", () => {
  const oil = other("freeing", "oil", "shock");
  it("is not hit where oil was chosen: neither by a card, nor by a tool, nor by the ladder", () => {
    const usual = stepsOf(job("lantern-bucket-20", ["seat"]));
    expect(card(usual, "task", "shock")).toBeDefined();
    const steps = stepsOf(job("lantern-bucket-20", ["seat"], oil));
    const instead = steps.find(({ id }) => id === "task:shock");
    expect(instead).toMatchObject({ kind: "other-way", way: "oil", why: WHY });
    // What lies inside is not oiled before it is open.
    expect(instead).toMatchObject({ lines: [{ name: "Test plug" }, { name: "Cover bolts", pieces: 6 }] });
    const next = steps[steps.indexOf(instead!) + 1];
    expect(next).toMatchObject({ kind: "soak", minutes: 10 });
    expect(steps.find((step) => step.kind === "tools")!.bring.map((tool) => tool.class)).not.toContain(
      "hammer",
    );
    for (const kind of ["crack", "strip"] as const)
      expect(card(steps, kind, "bolts").forbidden, kind).toContainEqual({
        kind: "follows",
        tool: "hammer",
        why: "oil-was-chosen",
      });
    const sheet = librarySheet("lantern-bucket-20");
    const bolts = sheet.parts.find(({ id }) => id === "bolts")!;
    expect(stuckLadder(bolts, sheet, true).at(-1)).toMatchObject({ rung: "shock", stop: true });
    expect(stuckLadder(bolts, sheet).at(-1)).toMatchObject({ rung: "cut" });
  });

  it("is shocked first where that was chosen: every piece that bears it is ticked, the hammer comes along", () => {
    const inputs = job("brae-skerrycheck-100", ["gaskets"], other("freeing", "shock", "oil"));
    const steps = stepsOf(inputs);
    const at = steps.findIndex((step) => step.kind === "other-way");
    expect(steps[at]).toMatchObject({
      way: "shock",
      minutes: 4,
      // The rods come free with the spool alone.
      lines: [{ name: "Spool bolts", pieces: 8 }],
    });
    expect(at).toBeLessThan(steps.findIndex((step) => step.kind === "strip"));
    expect(steps.find((step) => step.kind === "tools")!.bring.map((tool) => tool.class)).toContain("hammer");
  });
});

describe("cleaning", () => {
  const water = other("cleaning", "water", "acid");
  it("with water nothing soaks in acid, nothing is rinsed of it, and it stays at home", () => {
    const inputs = job("ottermouth-brook-20", ["stack"], water);
    const walk = new Walk(inputs, { fouling: "heavy" }).toEnd();
    const { steps } = walk.job.plan;
    expect(steps.map(({ id }) => id)).not.toContain("task:rinse");
    expect(steps.filter(({ kind }) => kind === "soak")).toEqual([]);
    expect(steps.find(({ id }) => id === "task:soak-heavy")).toMatchObject({
      kind: "other-way",
      way: "water",
    });
    expect(steps.find((step) => step.kind === "kit")!.supplies).not.toContain("Clear vinegar");
    // What its sheet washes with soap is washed all the same.
    expect(steps.find(({ id }) => id === "task:wash")).toMatchObject({ kind: "task" });
  });
});

const VALVES: readonly (readonly [string, string[], ChosenWay])[] = [
  ["pell-frostgate-32", ["cone"], other("threads", "anti-seize", "dry")],
  ["pell-guardian-t2", ["outlet-gasket"], other("gasket", "full-face", "ring")],
  ["lantern-bucket-20", ["seat"], other("freeing", "oil", "shock")],
  ["brae-skerrycheck-100", ["gaskets"], other("freeing", "shock", "oil")],
  ["ottermouth-brook-20", ["stack"], other("cleaning", "dry", "acid")],
  ["brae-swingout-3", ["flange-rings"], other("lubricant", "food-grade", "silicone")],
];

describe("on any valve", () => {
  it.each(VALVES)(
    "%s: walked to its end another way, and proven on the world as the usual way is",
    (id, reach, way) => {
      const inputs = job(id, reach, way);
      const walk = new Walk(inputs).toEnd();
      expect(walk.job.current).toBeUndefined();
      const { harms, differences } = prove(planOf(inputs), inputs);
      expect({ harms, differences }).toEqual({ harms: [], differences: [] });
    },
  );

  it.each(VALVES)("%s: the usual way gives the plan of its sheet", (id, reach) => {
    const { schools: _, ...plain } = job(id, reach);
    const usual = schoolsHere(plain).map(({ topic, usual: is }) => ({ topic, way: is, usual: is }));
    expect(usual.length).toBeGreaterThan(0);
    const told = (inputs: JobInputs) =>
      stepsOf(inputs).map((step) => (step.kind === "kit" ? { ...step, supplies: [], lines: [] } : step));
    expect(told({ ...plain, schools: usual })).toEqual(told(plain));
  });

  it.each(VALVES)("%s: what the way costs is what its plan takes", (id, reach, way) => {
    const inputs = job(id, reach);
    const cost = costOfWays(inputs, [way])!;
    const minutes = (each: JobInputs) => stepsOf(each).reduce((sum, step) => sum + step.minutes, 0);
    expect(cost.minutes).toBeCloseTo(minutes(job(id, reach, way)), 9);
    expect(otherWay([way], way.topic)?.way).toBe(way.way);
  });
});
