import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { changeWords, speaker } from "@/words";
import type { JobEvent, Line } from "../formats";
import {
  accept,
  canonical,
  chainStart,
  effectiveEvents,
  gate,
  haltedBy,
  jobBells,
  jobRecord,
  lineAsItStands,
  planChange,
  prove,
  provenAgain,
  replay,
  run,
  seal,
  verifyChain,
} from ".";
import { dryJob, START, says, Walk, wetJob } from "./job.fixtures";

const titles = (walk: Walk, phase: string) =>
  walk.job.plan.steps.filter((step) => step.phase === phase).map((step) => step.id);

describe("the wet-barrel job", () => {
  it("shuts the three valves that part the slip from both feeds, not the seized nor the passing one", () => {
    expect(titles(new Walk(wetJob()), "isolate")).toEqual([
      "shut:V-12",
      "shut:V-15",
      "shut:V-19",
      "drain:D2",
    ]);
  });

  it.each([
    ["V-14", { operable: true }, ["V-12", "V-14", "V-19"]],
    ["V-18", { passes: false }, ["V-12", "V-15", "V-18"]],
  ])("would use %s if it were sound", (id, flaw, closures) => {
    const inputs = wetJob();
    const line = {
      ...inputs.line!,
      links: inputs.line!.links.map((link) => (link.id === id ? { ...link, ...flaw } : link)),
    } as Line;
    const shut = titles(new Walk({ ...inputs, line }), "isolate")
      .filter((step) => step.startsWith("shut:"))
      .map((step) => step.slice(5));
    expect([...shut].sort()).toEqual(closures);
  });

  it("runs from the bell to the signature", () => {
    const walk = new Walk(wetJob()).toEnd();
    expect(walk.job.status.kind).toBe("signed-off");
    expect(walk.job.shut).toEqual([]);
    expect(walk.job.tray.balances).toBe(true);
  });

  it("renews what the strip spoils, even when every check passes", () => {
    const walk = new Walk(wetJob()).toEnd();
    expect(walk.job.plan.renewals.map((each) => each.part).sort()).toEqual(["gland-gasket", "nozzle-gasket"]);
  });

  it("goes deeper and fetches the kit when the disc fails, and says what changed", () => {
    const walk = new Walk(wetJob(), { "disc-face": "catches" }).until(
      (step) => step.id === "check:disc-face",
    );
    const before = walk.job;
    walk.doStep(before.current!);
    const change = planChange(before, walk.job);
    expect(changeWords(speaker(), change!).join(" ")).toContain("Renew outlet disc and friction ring");
    expect(changeWords(speaker(), change!).join(" ")).toContain(
      "Take off thrust nut, collars and friction ring, too.",
    );
    expect(changeWords(speaker(), change!).join(" ")).toContain("Outlet disc kit K-31");
    expect(change?.minutes).toBeGreaterThan(0);
    expect(walk.job.current?.id).toBe("strip:thrust-nut");
    walk.toEnd();
    expect(walk.job.status.kind).toBe("signed-off");
    const record = jobRecord(walk.job, []);
    expect(record.kept).toEqual(["Nozzle screw", "Collars"]);
    expect(record.renewed.map((each) => each.name)).toContain("Outlet disc");
    expect(record.leftovers.map((each) => each.name)).toContain("White shim ring");
  });

  it("does not offer the kit of another generation", () => {
    const inputs = wetJob();
    const walk = new Walk(
      { ...inputs, valve: { ...inputs.valve, generation: "A" } },
      { "disc-face": "catches" },
    ).until((step) => step.id === "strip:thrust-nut");
    expect(walk.job.plan.kits.picks.map((pick) => pick.id)).toContain("BF-K21");
    expect(walk.job.plan.kits.doNotTake.map((kit) => kit.id)).toEqual(["BF-K31"]);
  });

  it("pulls the gland bolts last, lower for the anti-seize, by the crossing pattern", () => {
    const step = new Walk(wetJob()).job.plan.steps.find((each) => each.id === "tighten:gland-bolts");
    if (step?.kind !== "tighten") throw new Error("no bolt circle");
    expect(step.order).toEqual([0, 3, 1, 4, 2, 5]);
    expect(step.passes.map((pass) => Math.round(pass.torque_Nm * 10) / 10)).toEqual([5.4, 10.8, 18, 18]); // 30 N·m · 0.12/0.20
    expect(step.passes.at(-1)?.circular).toBe(true);
  });
});

describe("proving zero", () => {
  const atGauge = () => new Walk(wetJob()).until((step) => step.id === "prove:gauge");
  const reading = (si: number, step = "prove:gauge") => ({
    kind: "reading-taken",
    step,
    what: "zero",
    dimension: "gauge pressure",
    si,
    typed: `${si / 1e5} bar g`,
  });

  it("does not open on a reading above zero", () => {
    const walk = atGauge().add(reading(40_000));
    expect(walk.job.current?.id).toBe("prove:gauge");
    expect(walk.job.states.get("prove:gauge")).toEqual({ kind: "not-zero", typed: "0.4 bar g" });
    expect(gate(walk.job, "strip").open).toBe(false);
    expect(() => walk.add({ kind: "step-done", step: "strip:stem-nut" })).toThrow("First: Prove zero");
  });

  it("finds another closure when one is named as passing, and has zero proven again", () => {
    const walk = atGauge().add(reading(40_000)).add({ kind: "closure-passes", link: "V-19" });
    expect(walk.job.current?.id).toBe("shut:V-22");
    expect(
      walk.job.plan.isolation?.ok && walk.job.plan.isolation.value.lost.map((each) => each.node),
    ).toContain("NQ-H09");
    walk.until((step) => step.phase === "strip");
    expect(walk.job.shut).toContain("V-19");
    walk.toEnd();
    expect(walk.job.shut).toEqual([]);
    expect(walk.job.progress.done.has("open:V-19")).toBe(true);
  });

  it("starts the wait anew when the second reading has climbed", () => {
    const walk = new Walk(wetJob())
      .until((step) => step.id === "prove:again")
      .add(reading(20_000, "prove:again"));
    expect(walk.job.current?.id).toBe("prove:gauge");
    walk.add(reading(0));
    expect(walk.job.current?.id).toBe("prove:hold");
    expect(walk.job.states.get("prove:hold")).toEqual({ kind: "open" });
  });

  it("holds the wait to its end", () => {
    const walk = new Walk(wetJob())
      .until((step) => step.id === "prove:hold")
      .add({ kind: "wait-started", step: "prove:hold", minutes: 10 });
    walk.now += 9 * 60_000;
    expect(() => walk.add({ kind: "step-done", step: "prove:hold" })).toThrow("1 min to go");
    expect(jobBells(walk.job).find((bell) => bell.kind === "wait")?.at).toBe(walk.now + 60_000);
    walk.now += 60_000;
    expect(walk.add({ kind: "step-done", step: "prove:hold" }).job.current?.id).toBe("prove:again");
  });

  it("blocks the job, with the way out, when nothing is left to shut", () => {
    const inputs = wetJob();
    const line = {
      ...inputs.line!,
      links: inputs.line!.links.map((link) => (link.kind === "valve" ? { ...link, operable: false } : link)),
    } as Line;
    const walk = new Walk({ ...inputs, line }).until((step) => step.kind === "blocked");
    expect(walk.job.states.get("isolate:blocked")).toEqual({ kind: "halted" });
    expect(says(walk.job.current!).reason).toContain("Nothing can be shut along");
    expect(() => walk.add({ kind: "step-done", step: "isolate:blocked" })).toThrow("not done by ticking");
    // It stops at a gate of its own: nobody is hurt by what nobody comes to.
    expect(prove(walk.job.plan, walk.inputs)).toMatchObject({ harms: [], differences: [] });
  });
});

describe("the dry-barrel job", () => {
  it("runs by the same engines with its own steps", () => {
    const walk = new Walk(dryJob(), { "seat-face": "cut" }).toEnd();
    expect(walk.job.status.kind).toBe("signed-off");
    const record = jobRecord(walk.job, []);
    expect(record.kept).toEqual(["Thrust bearing, upper", "Thrust bearing, lower"]);
    expect(record.torques.find((each) => each.part === "Lower nut")?.torque_Nm).toBe(270);
    expect(record.renewed.map((each) => each.name)).toContain("Main seat");
  });

  it("leaves the bonnet bolts loose until the weather cap is on", () => {
    const rebuild = titles(new Walk(dryJob()), "rebuild");
    expect(rebuild.indexOf("fit:bonnet-bolts")).toBeLessThan(rebuild.indexOf("fit:operating-nut"));
    expect(rebuild.indexOf("tighten:bonnet-bolts")).toBe(rebuild.indexOf("fit:weather-cap") + 1);
  });

  it("fails a barrel that does not drain", () => {
    const walk = new Walk(dryJob(), { "drain-time": "14" }).until((step) => step.id === "check:drain-time");
    walk.doStep(walk.job.current!);
    expect(walk.job.states.get("check:drain-time")).toEqual({ kind: "halted" });
    expect(haltedBy(walk.job, walk.job.current!)).toContain("drain is blocked");
    expect(gate(walk.job, "sign-off").open).toBe(false);
  });
});

describe("the rules of the log", () => {
  it("stop leaves a ringing state; resume goes on where it stood", () => {
    const walk = new Walk(wetJob()).until((step) => step.phase === "inspect");
    const at = walk.job.current?.id;
    walk.add({ kind: "stopped", reason: "Dark" });
    expect(jobBells(walk.job).map((bell) => bell.kind)).toEqual(["impairment", "stopped"]);
    expect(() => walk.add({ kind: "step-done", step: at })).toThrow("Work is stopped");
    expect(walk.add({ kind: "resumed" }).job.current?.id).toBe(at);
  });

  it("proves zero anew after a stop, as long as nothing is open: nobody watched the section", () => {
    const walk = new Walk(wetJob()).until((step) => step.kind === "crack");
    const at = walk.job.current?.id;
    walk.add({ kind: "stopped", reason: "Dark" });
    expect(provenAgain(walk.job).map(({ kind }) => kind)).toEqual(["gauge", "hold", "gauge"]);
    walk.now += 14 * 3_600_000;
    walk.add({ kind: "resumed" });
    expect(walk.job.current?.kind).toBe("gauge");
    walk.until((step) => step.id === at);
    const proofs = walk.events.filter(({ kind }) => kind === "reading-taken" || kind === "wait-started");
    expect(proofs).toHaveLength(6);
    // Once the joint is cracked there is nothing to prove.
    walk.doStep(walk.job.current!);
    walk.add({ kind: "stopped", reason: "Dark" }).add({ kind: "resumed" });
    expect(provenAgain(walk.job)).toEqual([]);
    // A job of earlier rules goes on as it began.
    const old = new Walk(wetJob({ rules: 3 })).until((step) => step.kind === "crack");
    const then = old.job.current?.id;
    expect(old.add({ kind: "stopped", reason: "Dark" }).add({ kind: "resumed" }).job.current?.id).toBe(then);
  });

  it("undo takes back the newest entry, and only that", () => {
    const walk = new Walk(wetJob()).until((step) => step.phase === "strip");
    const last = walk.events.at(-1)!;
    expect(() => walk.add({ kind: "undone", event: walk.events[0]!.id })).toThrow("newest entry first");
    const before = replay(walk.inputs, walk.events.slice(0, -1));
    walk.add({ kind: "undone", event: last.id });
    expect(replay(walk.inputs, walk.events)).toEqual(before);
  });

  it.each([
    [{ kind: "step-done", step: "shut:V-12", entry: " " }, "number of the lock"],
    [{ kind: "step-overridden", step: "shut:V-12", reason: "in a hurry" }, "cannot be skipped"],
    [{ kind: "step-done", step: "no-such-step" }, "no step"],
    [{ kind: "step-done", step: "prepare:kit" }, "Already done"],
    [{ kind: "signed-off", statement: "done" }, ""],
    [{ kind: "closure-passes", link: "V-09" }, "not shut in this job"],
  ])("refuses %j", (event, message) => {
    const walk = new Walk(wetJob()).until((step) => step.id === "shut:V-12");
    if (message === "") expect(walk.add(event).job.status.kind).toBe("signed-off");
    else expect(() => walk.add(event)).toThrow(message);
  });

  it("refuses a reading below vacuum, and a device whose clock runs ahead", () => {
    const walk = new Walk(wetJob()).until((step) => step.id === "prove:gauge");
    expect(() =>
      walk.add({
        kind: "reading-taken",
        step: "prove:gauge",
        what: "zero",
        dimension: "gauge pressure",
        si: -2e5,
        typed: "-2 bar",
      }),
    ).toThrow("vacuum");
    const ahead = {
      v: 1,
      id: "x",
      by: "T",
      kind: "note-added",
      text: "hello",
      at: new Date(walk.now + 3_600_000).toISOString(),
    } as JobEvent;
    const taken = accept(walk.job, ahead, { now: walk.now });
    expect(taken).toMatchObject({ ok: false, error: { path: "/at" } });
  });

  it("does not let a wait be dated back", () => {
    const walk = new Walk(wetJob()).until((step) => step.id === "prove:hold");
    walk.now -= 3_600_000;
    expect(() => walk.add({ kind: "wait-started", step: "prove:hold", minutes: 10 })).toThrow("dated before");
  });

  it("cannot be signed off early once something is shut", () => {
    const walk = new Walk(wetJob()).until((step) => step.id === "shut:V-15");
    expect(() => walk.add({ kind: "signed-off", statement: "gone home" })).toThrow("Not yet");
  });

  it("any prefix of a whole job replays, and its plan compiles", () => {
    const whole = new Walk(wetJob(), { "disc-face": "catches" }).toEnd();
    fc.assert(
      fc.property(fc.nat(whole.events.length), (length) => {
        const part = run(whole.inputs, whole.events.slice(0, length));
        expect(part.ok).toBe(true);
        if (part.ok && length < whole.events.length) expect(part.value.current).toBeDefined();
      }),
      { numRuns: 60 },
    );
  });

  it("the tray balances again after any run of undos", () => {
    const whole = new Walk(dryJob()).until((step) => step.id === "tray");
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 30 }), (undos) => {
        const walk = new Walk(whole.inputs);
        walk.events.push(...whole.events);
        walk.now = whole.now;
        for (let i = 0; i < undos; i++)
          walk.add({ id: `undo-${i}`, kind: "undone", event: effectiveEvents(walk.events).at(-1)!.id });
        const { tray } = walk.job;
        expect(tray.off).toBe(tray.back + tray.missing.length);
        expect(walk.until((step) => step.id === "tray").job.tray.balances).toBe(true);
      }),
      { numRuns: 10 },
    );
  });
});

describe("the hash chain", () => {
  const sealed = () => {
    const walk = new Walk(wetJob()).until((step) => step.phase === "prove");
    let previous = chainStart(walk.inputs);
    return {
      inputs: walk.inputs,
      events: walk.events.map((event, index) => {
        const made = seal(event, index + 1, new Date(START).toISOString(), previous);
        previous = made.seal.hash;
        return made;
      }),
    };
  };

  it("holds over an untouched log", () => {
    const { inputs, events } = sealed();
    expect(verifyChain(inputs, events)).toEqual({ ok: true, value: events.length });
  });

  it("names the first entry that was changed, removed or moved", () => {
    const { inputs, events } = sealed();
    fc.assert(
      fc.property(fc.nat(events.length - 1), fc.constantFrom("change", "remove", "swap"), (at, how) => {
        const copy = structuredClone(events);
        if (how === "change") copy[at]!.event.by = "Somebody Else";
        if (how === "remove") copy.splice(at, 1);
        if (how === "swap") copy.reverse();
        const checked = verifyChain(inputs, copy);
        // Taking the last entry off leaves a shorter, whole chain.
        if (how === "remove" && at === events.length - 1) expect(checked.ok).toBe(true);
        else expect(checked.ok).toBe(false);
      }),
    );
  });

  it("shows a change of what the job began with", () => {
    const { inputs, events } = sealed();
    expect(verifyChain({ ...inputs, reach: ["cap"] }, events)).toMatchObject({
      ok: false,
      error: { seq: 1 },
    });
  });

  it("does not depend on the order of keys", () => {
    expect(canonical({ b: 1, a: [2, { d: 3, c: undefined }] })).toBe('{"a":[2,{"d":3}],"b":1}');
  });
});

it("a valve that another job holds shut is not opened by this one", () => {
  const inputs = wetJob();
  const line = lineAsItStands(inputs.line!, new Map([["V-19", { job: "other", valve: "NQ-H02" }]]));
  const walk = new Walk({ ...inputs, line }).toEnd();
  expect(walk.job.plan.steps.find((step) => step.id === "open:V-19")).toMatchObject({
    kind: "open",
    how: "leave-shut",
  });
});
