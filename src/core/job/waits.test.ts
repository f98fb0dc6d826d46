import { describe, expect, it } from "vitest";
import { entryWords, speaker } from "@/words";
import { jobBells } from "./bells";
import { librarySheet, says, Walk, wetJob } from "./job.fixtures";
import { jobAt, planOf } from "./proof.fixtures";

const MIN = 60_000;

describe("what is switched off and holds a charge", () => {
  const booster = jobAt("SK-C1", "brae-skerrycheck-100", "skerry-booster");

  it("is waited out before what is stored is let out and before it is proven dead", () => {
    const { steps } = planOf(booster);
    const wait = steps.findIndex(({ kind }) => kind === "discharge");
    expect(steps[wait]).toMatchObject({ minutes: 10, of: [{ wait_min: 10 }] });
    const off = steps.findLastIndex(
      (step) => step.kind === "shut" && step.by.kind === "closure" && step.by.medium === "electricity",
    );
    expect(wait).toBeGreaterThan(off);
    expect(wait).toBeLessThan(steps.findIndex(({ kind }) => kind === "stored"));
    expect(wait).toBeLessThan(steps.findIndex(({ kind }) => kind === "dead"));
  });

  it("is not waited for in a job that was planned before", () => {
    expect(planOf({ ...booster, rules: 3 }).steps.some(({ kind }) => kind === "discharge")).toBe(false);
  });
});

describe("locker", () => {
  const locked = wetJob({ reach: ["nozzle-screw"] });
  const atCure = () => new Walk(locked).until(({ kind }) => kind === "cure");

  it("cures from the moment the last of it went in, and rings", () => {
    const walk = atCure();
    const state = walk.job.states.get("rebuild:cure");
    const lastIn = Math.max(
      ...["nozzle-screw", "stem-nut"].flatMap((id) => walk.job.progress.fitted.get(id)?.at ?? []),
    );
    expect(state).toEqual({ kind: "running", until: lastIn + 15 * MIN });
    expect(jobBells(walk.job)).toContainEqual(
      expect.objectContaining({ kind: "wait", for: "a-cure", at: lastIn + 15 * MIN }),
    );
  });

  it("is not loaded sooner, unless somebody says why", () => {
    const walk = atCure();
    const { until } = walk.job.states.get("rebuild:cure") as { until: number };
    const tick = { kind: "step-done", step: "rebuild:cure" } as const;
    walk.now = until - 3 * MIN;
    expect(walk.refusal(tick)).toMatchObject({ kind: "wait-not-over", minutes: 3 });
    walk.now = until;
    expect(walk.refusal(tick)).toBeUndefined();
  });
});

describe("a look that needs its time", () => {
  const cock = () =>
    new Walk(jobAt("RW-G21", "pell-ropewalk-20", "ropewalk-gas")).until(
      (step) => step.kind === "check" && step.check.id === "dial",
    );

  it("says that all is well when its wait is over, and not before it was started", () => {
    const walk = cock();
    const step = walk.job.current!.id;
    const still = { kind: "check-answered", step, check: "dial", answer: "still" } as const;
    expect(walk.refusal(still)).toMatchObject({ kind: "wait-not-started" });
    walk.add({ kind: "wait-started", step, minutes: 2 });
    walk.now += MIN;
    expect(walk.refusal(still)).toMatchObject({ kind: "wait-not-over", minutes: 1 });
    expect(jobBells(walk.job)).toContainEqual(expect.objectContaining({ kind: "wait", for: "a-look" }));
    walk.now += MIN;
    expect(walk.refusal(still)).toBeUndefined();
  });

  it("says that something is wrong at once", () => {
    const dial = librarySheet("pell-ropewalk-20").checks.find(({ id }) => id === "dial");
    if (dial?.kind !== "choice") throw new Error("the dial is a choice");
    const walk = cock();
    const moves = dial.options.find(({ means }) => means === "stop")!.id;
    const step = walk.job.current!.id;
    walk.add({ kind: "check-answered", step, check: "dial", answer: moves });
    expect(walk.job.states.get(step)).toEqual({ kind: "halted" });
  });

  it("is judged at once in a job that was planned before", () => {
    const { steps } = planOf({ ...jobAt("RW-G21", "pell-ropewalk-20", "ropewalk-gas"), rules: 3 });
    const look = steps.find((step) => step.kind === "check" && step.check.id === "dial");
    expect(look).not.toHaveProperty("wait_min");
  });
});

describe("what may not be left on its way", () => {
  const atSwing = () =>
    new Walk(jobAt("RW-G21", "pell-ropewalk-20", "ropewalk-gas")).until(
      (step) => step.kind === "task" && step.task === "half-circle",
    );

  it("is timed, every line ticked before it", () => {
    const walk = atSwing();
    const step = walk.job.current!.id;
    const round = { kind: "step-done", step, entry: "2.8" };
    expect(walk.refusal(round)).toMatchObject({ kind: "tick-every-line" });
    for (const line of ["1", "2", "3", "4"]) walk.add({ kind: "line-ticked", step, line });
    for (const entry of [undefined, "0", "quick", "-2", "99999"])
      expect(walk.refusal({ ...round, entry })).toMatchObject({ kind: "time-it" });
    expect(walk.refusal(round)).toBeUndefined();
  });

  it("took too long and is written down all the same: it has happened", () => {
    const walk = atSwing();
    const step = walk.job.current!;
    for (const line of ["1", "2", "3", "4"]) walk.add({ kind: "line-ticked", step: step.id, line });
    walk.add({ kind: "step-done", step: step.id, entry: "40.0" });
    expect(walk.job.current!.id).not.toBe(step.id);
    const entry = { event: walk.events.at(-1)!, step };
    expect(entryWords(speaker(), entry, walk.inputs.sheet).entry).toBe("40.0 s: LONGER than 8 s");
  });

  const rideThrough = (inputs: Record<string, string>) =>
    ({ calculator: "ride-through", inputs, output: "seconds" }) as const;

  it("may take no longer than its gas lasts, once that is worked out, and never longer than its sheet allows", () => {
    const walk = atSwing();
    expect(walk.job.current).toMatchObject({ swing: { most_s: 8, workedOut: false } });
    expect(walk.keep(rideThrough({ volume: "16 L" }))).toBeGreaterThan(8);
    expect(walk.job.current).toMatchObject({ swing: { most_s: 8, workedOut: false } });
    walk.keep(rideThrough({ volume: "5 L" }));
    expect(walk.job.current).toMatchObject({ swing: { most_s: 5.6, workedOut: true } });
    expect(says(walk.job.current!).cues).toContain("Round within 5.6 s");
  });

  it("is only done in a job that was planned before", () => {
    const { steps } = planOf({ ...jobAt("RW-G21", "pell-ropewalk-20", "ropewalk-gas"), rules: 5 });
    for (const each of steps) expect(each).not.toHaveProperty("swing");
  });
});

describe("what is counted while it is done", () => {
  const atGrease = (task: string) =>
    new Walk(jobAt("RW-G21", "pell-ropewalk-20", "ropewalk-gas")).until(
      (step) => step.kind === "task" && step.task === task,
    );

  it("is a number, one at least and never more than does harm", () => {
    const walk = atGrease("grease-open");
    const tick = { kind: "step-done", step: walk.job.current!.id };
    for (const entry of [undefined, "0", "13", "many"])
      expect(walk.refusal({ ...tick, entry })).toMatchObject({ kind: "count-them", most: 12 });
    expect(walk.refusal({ ...tick, entry: "7" })).toBeUndefined();
  });

  it("stands on the card that wants as many", () => {
    const walk = atGrease("grease-open");
    walk.add({ kind: "step-done", step: walk.job.current!.id, entry: "7" });
    walk.until((step) => step.kind === "task" && step.task === "grease-far");
    expect(walk.job.current).toMatchObject({ count: { before: 7 } });
    expect(says(walk.job.current!).cues).toContain("Strokes of the gun the first time: 7");
  });
});
