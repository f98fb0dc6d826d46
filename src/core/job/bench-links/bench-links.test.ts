import { describe, expect, it } from "vitest";
import { entryWords, refusalWords, speaker } from "@/words";
import { benchTitle, calculate, calculatorNamed, readTyped, siOf, workAgain } from "../../calculators";
import { accept, jobRecord, seal } from "..";
import { chainStart } from "../chain";
import { dryJob, START, Walk, wetJob } from "../job.fixtures";
import { jobAt, type planOf } from "../proof.fixtures";
import { run } from "../run";
import type { Step } from "../step";
import { benchLinks } from ".";

const linksAt = (walk: Walk, matches: (step: Step) => boolean) => {
  walk.until(matches);
  return benchLinks(walk.job, walk.job.current!);
};

describe("what the bench book has for a step", () => {
  it("a ring of bolts opens with the sheet's torque and count, and gives the passes of the step", () => {
    const walk = new Walk(dryJob());
    const [link] = linksAt(walk, (step) => step.kind === "tighten");
    const step = walk.job.current!;
    if (step.kind !== "tighten" || link === undefined) throw new Error("no bolts here");
    expect(link).toEqual({
      calculator: "bolt-up",
      start: {
        by: "sheet",
        limit: `${step.passes.at(-1)!.torque_Nm} N·m`,
        bolts: `${step.bolts}`,
        grade: "8.8",
        diameter: "16 mm",
        pitch: "2 mm",
        condition: "anti-seize",
      },
    });
    const calculator = calculatorNamed(link.calculator)!;
    const sent = Object.fromEntries(
      Object.entries(link.start).map(([name, text]) => {
        const read = readTyped(calculator.inputs.find((input) => input.name === name)!, text);
        if (!read.ok) throw new Error(read.error);
        return [name, read.value];
      }),
    );
    const answer = calculate(calculator, sent);
    if (!answer.ok) throw new Error(JSON.stringify(answer.error));
    expect(siOf(answer.value.outputs, "torque")).toBeCloseTo(step.passes.at(-1)!.torque_Nm, 9);
    expect(answer.value.tables.order?.map((row) => siOf(row, "bolt") - 1)).toEqual(step.order);
  });

  it("the pull of a greased or anti-seized bolt gives the preload the sheet meant for a dry one", () => {
    const walk = new Walk(wetJob({ policy: "everything-open" }));
    const [link] = linksAt(walk, (step) => step.kind === "tighten");
    const end = walk.inputs.sheet.parts.find((part) => part.id === walk.job.current!.part)!.fit!.end;
    if (end.kind !== "torque" || link === undefined) throw new Error("no torque here");
    expect(link.start.condition).toBe("anti-seize");
    const kept = workAgain({ calculator: "bolt-up", inputs: link.start, output: "preload" });
    if (!kept.ok) throw new Error(JSON.stringify(kept.error));
    // T = K · D · F with K 0.2 dry, M10.
    expect(kept.value.si).toBeCloseTo(end.torque_Nm / (0.2 * 0.01), 3);
  });

  it("every link of every step of two jobs names a calculation, and what it begins with can be read", () => {
    for (const inputs of [wetJob({ policy: "everything-open" }), dryJob({ policy: "everything-open" })]) {
      const walk = new Walk(inputs).toEnd();
      const seen = walk.job.plan.steps.flatMap((step) => benchLinks(walk.job, step));
      expect(new Set(seen.map((link) => link.calculator)).size).toBeGreaterThan(3);
      for (const link of seen) {
        const calculator = calculatorNamed(link.calculator)!;
        for (const [name, text] of Object.entries(link.start)) {
          const input = calculator.inputs.find((each) => each.name === name);
          expect(input, `${link.calculator} ${name}`).toBeDefined();
          expect(readTyped(input!, text).ok, `${link.calculator} ${name}: ${text}`).toBe(true);
        }
      }
    }
  });

  const at = (inputs: Parameters<typeof planOf>[0], id: string) => {
    const made = run(inputs, []);
    if (!made.ok) throw new Error(made.error.kind);
    return benchLinks(made.value, made.value.plan.steps.find((step) => step.id === id)!);
  };

  it("a sum that decides stands open at its card, with what the model gives", () => {
    const [balance] = at(jobAt("FS-PN1", "quillon-watchair-1", "ferry-shed"), "check:trip");
    expect(balance).toMatchObject({
      calculator: "actuator-balance",
      start: { diaphragm: "104 mm", seat: "24 mm" },
      decides: true,
    });
    const trip = at(jobAt("SK-C1", "brae-skerrycheck-100", "skerry-booster"), "prepare:kit");
    expect(trip.filter(({ decides }) => decides).map(({ calculator }) => calculator)).toEqual([
      "stud-length",
      "draw-out",
      "lift",
    ]);
  });

  it("a cock's ride-through begins with what the pipes of its own house hold, not the neighbours'", () => {
    const links = at(jobAt("RW-G17", "pell-ropewalk-20", "ropewalk-gas"), "isolate:live");
    // By hand: 28 mm over 14 m, 25 mm over 0.3 m, 8 mm over 0.1 m.
    const litres = (Math.PI / 4) * (28 ** 2 * 14 + 25 ** 2 * 0.3 + 8 ** 2 * 0.1) * 1e-3;
    const { start } = links.find(({ calculator }) => calculator === "ride-through")!;
    expect(start).toEqual({ volume: `${Number(litres.toPrecision(3))} L` });
  });

  it("takes over what a check of the same job has measured", () => {
    const inputs = jobAt("HL-V1", "lantern-parlour-1", "holm-library", { reach: ["restrictor"] });
    const area = {
      v: 1 as const,
      id: "a",
      at: "2026-06-01T09:00:00Z",
      by: "Tam Arkle",
      kind: "check-measured" as const,
      step: "check:area",
      check: "area",
      si: 4,
      typed: "4 m2",
    };
    const made = run(inputs, [area]);
    if (!made.ok) throw new Error(made.error.kind);
    const set = made.value.plan.steps.find((step) => step.id === "check:restrictor-set")!;
    expect(benchLinks(made.value, set)[0]).toMatchObject({
      calculator: "radiator",
      start: { medium: "steam", surface: "4 m2" },
    });
  });

  it("is of what the line carries, whatever the model was made for", () => {
    const co2 = at(jobAt("GC-HRV5", "pell-meter-h20", "gannet-co2", { build: "cone-small" }), "prepare:kit");
    expect(co2.find(({ calculator }) => calculator === "exposure")?.start).toEqual({ gas: "co2" });
  });

  it("knows whether a relief valve is one of two, the vessel it protects, and since when", () => {
    const [check] = at(jobAt("GC-RV2A", "pell-guardian-c3", "gannet-co2"), "prepare:kit").filter(
      ({ calculator }) => calculator === "relief-check",
    );
    expect(check).toMatchObject({
      decides: true,
      start: { refrigerant: "co2", fitted: "dual", volume: "600 L", design: "60 bar g" },
    });
  });

  it("the standing test opens with both readings of the proof", () => {
    const walk = new Walk(wetJob()).until((step) => step.id === "prove:hold");
    expect(benchLinks(walk.job, walk.job.current!).map((link) => link.calculator)).toEqual(["soak-and-hold"]);
    walk.until((step) => step.id === "prove:again");
    walk.doStep(walk.job.current!);
    const hold = walk.job.plan.steps.find((step) => step.id === "prove:hold")!;
    expect(benchLinks(walk.job, hold)[0]).toMatchObject({
      calculator: "stand-test",
      start: { first: "0 bar g", last: "0 bar g" },
    });
  });
});

describe("a zone that is flushed", () => {
  it("opens with the widest bore and the longest way to a head, as the line draws them", () => {
    const walk = new Walk(jobAt("MG-D3", "sedgeway-furrow-25", "marram-beds"));
    const [link] = linksAt(walk, (step) => step.id === "check:zone-clear");
    expect(link).toEqual({
      calculator: "zone-flush",
      start: { bore: "32 mm", length: "46 m" },
      decides: true,
    });
    const without = new Walk(jobAt("MG-D3", "sedgeway-furrow-25", undefined));
    expect(linksAt(without, (step) => step.id === "check:zone-clear")[0]?.start).toEqual({});
  });
});

describe("a result kept in the job", () => {
  const kept = {
    calculator: "bolt-up",
    inputs: { by: "sheet", grade: "unknown", limit: "110 N·m", wrench: "400 mm", extension: "100 mm" },
    output: "setting",
  };
  const worked = workAgain(kept);
  if (!worked.ok) throw new Error("does not work out");
  const event = { kind: "result-kept", ...kept, si: worked.value.si, typed: worked.value.said };

  it("stands in the record with its words, and can be undone", () => {
    const walk = new Walk(wetJob()).add(event);
    expect(walk.job.progress.kept).toMatchObject([{ calculator: "bolt-up", si: 88, typed: "88 N·m" }]);
    const sealed = walk.events.map((each, index) =>
      seal(each, index + 1, new Date(START).toISOString(), chainStart(walk.inputs)),
    );
    const record = jobRecord(walk.job, sealed);
    expect(record.worked).toMatchObject([{ calculator: "bolt-up", typed: "88 N·m" }]);
    expect(entryWords(speaker(), record.lines.at(-1)!, walk.inputs.sheet, benchTitle)).toEqual({
      what: "Bolt-up: Wrench setting",
      entry: "88 N·m",
    });
    walk.add({ kind: "undone", event: walk.events.at(-1)!.id });
    expect(walk.job.progress.kept).toEqual([]);
  });

  it("is worked out again: a figure that does not follow from its inputs is not taken", () => {
    const { job } = new Walk(wetJob());
    const refusal = (more: object) => {
      const full = { v: 1, id: "r", at: new Date(START).toISOString(), by: "Tam", ...event, ...more };
      const taken = accept(job, full as never, { now: START, workAgain });
      return taken.ok ? "" : `${taken.error.path} ${refusalWords(speaker(), taken.error, job)}`;
    };
    expect(refusal({})).toBe("");
    expect(refusal({ si: 90 })).toContain("/si These inputs give 88 N·m");
    expect(refusal({ typed: "188 N·m" })).toContain("/typed These inputs give 88 N·m");
    expect(refusal({ typed: "64.9 ft·lbf" })).toBe("");
    expect(refusal({ calculator: "none" })).toContain("/calculator There is no calculator");
    expect(refusal({ output: "nothing" })).toContain("/output");
    expect(refusal({ inputs: { limit: "110 psi" } })).toContain("/inputs/limit");
    expect(refusal({ inputs: { nonsense: "1" } })).toContain("/inputs/nonsense");
  });
});
