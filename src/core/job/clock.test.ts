import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { JobEvent } from "../formats";
import { accept, advance, run } from ".";
import { START, Walk, wetJob } from "./job.fixtures";
import { JOBS } from "./proof-jobs.fixtures";

const MINUTE = 60_000;
const note = (at: number): JobEvent => ({
  v: 1,
  id: "n",
  at: new Date(at).toISOString(),
  by: "Tam Arkle",
  kind: "note-added",
  text: "x",
});

describe("time cannot be made up", () => {
  const fresh = () => new Walk(wetJob()).job;

  it("an entry is not dated before the job was opened", () => {
    expect(accept(fresh(), note(START - 142 * MINUTE), { now: START + 3 * MINUTE })).toMatchObject({
      ok: false,
      error: { path: "/at", kind: "before-the-job" },
    });
    expect(accept(fresh(), note(START - MINUTE), { now: START }).ok).toBe(true);
  });

  it("a wait is over by the clock that judges, not by the entry's own date", () => {
    const walk = new Walk(wetJob()).until((step) => step.id === "prove:hold");
    walk.add({ kind: "wait-started", step: "prove:hold", minutes: 10 });
    const done = (at: number): JobEvent => ({ ...note(at), kind: "step-done", step: "prove:hold" }) as never;
    const ended = (minutes: number, ahead: number) =>
      accept(walk.job, done(walk.now + (minutes + ahead) * MINUTE), { now: walk.now + minutes * MINUTE });
    expect(ended(6, 4.5)).toMatchObject({
      ok: false,
      error: { kind: "wait-not-over", minutes: 4 },
    });
    expect(ended(10, 0).ok).toBe(true);
  });

  it("says which clock is wrong", () => {
    const ahead = note(START + 60 * MINUTE);
    const told = (clock: Parameters<typeof accept>[2]) => {
      const taken = accept(fresh(), ahead, clock);
      return taken.ok ? "" : taken.error.kind;
    };
    expect(told({ now: START })).toBe("clock-ahead");
    expect(told({ now: START, lastStored: START - MINUTE })).toBe("clock-ahead");
    expect(told({ now: START, lastStored: START + 50 * MINUTE })).toBe("server-clock-wrong");
  });

  it("a clock that once ran ahead does not lock the log", () => {
    const walk = new Walk(wetJob());
    walk.now += 100 * 60 * MINUTE;
    walk.add({ kind: "note-added", text: "Dated by a clock 100 h ahead" });
    walk.now -= 100 * 60 * MINUTE;
    expect(accept(walk.job, { ...note(walk.now + MINUTE), id: "m" }, { now: walk.now + MINUTE }).ok).toBe(
      true,
    );
    const undo = { ...note(walk.now), id: "u", kind: "undone", event: walk.events[0]!.id } as never;
    expect(accept(walk.job, undo, { now: walk.now }).ok).toBe(true);
  });
});

describe("a job some events further", () => {
  it("is the job compiled anew from the longer log, whatever the events", () => {
    const walk = new Walk(wetJob(), { "disc-face": "catches" });
    walk
      .until((step) => step.id === "prove:gauge")
      .add({ kind: "closure-passes", link: "V-19" })
      .add({ kind: "stopped", reason: "Too dark" })
      .add({ kind: "resumed" })
      .until((step) => step.kind === "tighten")
      .add({ kind: "undone", event: walk.events.at(-1)!.id })
      .toEnd();
    const { inputs, events } = walk;
    const kinds = new Set(events.map((event) => event.kind));
    expect(kinds.size).toBeGreaterThan(9);
    fc.assert(
      fc.property(fc.nat(events.length - 1), fc.integer({ min: 1, max: 4 }), (at, further) => {
        const before = run(inputs, events.slice(0, at));
        const whole = run(inputs, events.slice(0, at + further));
        if (!before.ok || !whole.ok) throw new Error("a prefix does not run");
        const stepped = advance(before.value, ...events.slice(at, at + further));
        expect(stepped.ok && stepped.value).toEqual(whole.value);
      }),
      { numRuns: 60 },
    );
  });

  it.each(Object.entries(JOBS))("of %s: entered one by one it has the plan compiled anew", (_, inputs) => {
    const walk = new Walk(inputs, { "disc-face": "catches" });
    for (let guard = 0; walk.job.current !== undefined && guard < 200; guard++) {
      if (walk.job.current.kind === "others") walk.add({ kind: "others-hold", held: [] });
      else walk.doStep(walk.job.current);
      const anew = run(inputs, walk.events);
      expect(anew.ok && anew.value.plan).toEqual(walk.job.plan);
    }
    expect(walk.job.status.kind).toBe("signed-off");
  });

  it("keeps its plan, the very same, where nothing it is compiled from is another", () => {
    const walk = new Walk(wetJob()).until((step) => step.id === "prove:gauge");
    const { plan } = walk.job;
    expect(walk.until((step) => step.phase === "strip").job.plan).toBe(plan);
    walk.doStep(walk.until((step) => step.kind === "strip").job.current!);
    expect(walk.job.plan).toBe(plan);
    expect(walk.add({ kind: "undone", event: walk.events.at(-1)!.id }).job.plan).toBe(plan);
  });

  it("names the lock that hangs there, as long as it does", () => {
    const walk = new Walk(wetJob()).until((step) => step.kind === "shut");
    const { id } = walk.job.current!;
    walk.add({ kind: "step-done", step: id, entry: "31" });
    const locks = () =>
      walk.job.plan.steps.flatMap((step) =>
        step.kind === "open" && `shut:${step.link}` === id ? [step.lock] : [],
      );
    expect(locks()).toEqual(["31"]);
    walk.add({ kind: "undone", event: walk.events.at(-1)!.id });
    expect(locks()).toEqual([undefined]);
  });
});

describe("a job that was started by mistake", () => {
  const giveUp = { kind: "given-up", reason: "The wrong valve" };
  it("is closed as not begun, rings no more, and the closing can be undone", () => {
    const walk = new Walk(wetJob()).add(giveUp);
    expect(walk.job.status).toMatchObject({ kind: "not-begun", reason: "The wrong valve" });
    expect(() => walk.add({ kind: "note-added", text: "x" })).toThrow("closed as not begun");
    walk.add({ kind: "undone", event: walk.events[0]!.id });
    expect(walk.job.status.kind).toBe("at-work");
  });

  it("is no way out once a valve was shut", () => {
    const walk = new Walk(wetJob()).until((step) => step.id === "shut:V-15");
    expect(() => walk.add(giveUp)).toThrow("has begun");
    expect(() => new Walk(wetJob()).add({ kind: "stopped", reason: "x" }).add(giveUp)).not.toThrow();
  });
});
