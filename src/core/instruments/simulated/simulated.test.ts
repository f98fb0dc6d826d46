import { describe, expect, it } from "vitest";
import { type JobInputs, LINES_BY_WORD } from "../../formats";
import { judgeTrace, type Run, type Step, type Trace } from "../../job";
import { dryJob, Walk, wetJob } from "../../job/job.fixtures";
import { jobAt } from "../../job/proof.fixtures";
import { seeded } from "../../seeded";
import { type Hides, hear, helloOf, NOTHING_HEARD, readLine, sceneOf } from "..";
import type { HeardReading } from "../heard";
import { KINDS } from "./kinds";
import { conditionOf } from "./scene";
import { type Broken, beat, beatOf, type Identity, switchedOn, WHOLE } from "./simulated";

const THERE = { kind: "logger", name: "Pressure logger", serial: "PL-1" } as const;

/** What a simulated instrument says over some minutes of the card in hand. */
function said(
  job: Run,
  minutes: number,
  {
    is = THERE,
    hides = "nothing",
    broken = WHOLE,
    from = sceneOf(job, hides).since,
    channel = "gauge pressure",
  }: { is?: Identity; hides?: Hides; broken?: Broken; from?: number; channel?: string } = {},
): HeardReading[] {
  const scene = sceneOf(job, hides);
  const chance = seeded(7);
  const all: HeardReading[] = [];
  let heard = hear(NOTHING_HEARD, readLine(JSON.stringify(helloOf(is))), from);
  let state = switchedOn(is);
  for (let now = from; now < from + minutes * 60_000; now += beatOf(is) * 1000) {
    const { after, lines } = beat(state, { scene, broken, now, chance });
    state = after;
    for (const line of lines) heard = hear(heard, readLine(line), now);
    const reading = heard.readings.get(channel);
    if (reading !== undefined && reading !== all.at(-1)) all.push(reading);
  }
  return all;
}

const isHold = (step: Step) => step.kind === "hold";

/** A job whose section stands shut in, its wait begun. */
function standing(inputs: JobInputs): Run {
  const walk = new Walk(inputs).until(isHold);
  const { current } = walk.job;
  walk.add({ kind: "wait-started", step: current!.id, minutes: current!.minutes });
  return walk.job;
}

const traceOf = (readings: readonly HeardReading[], kelvin?: (at: number) => number): Trace => ({
  dimension: "gauge pressure",
  from: readings[0]!.at,
  every_s: 2,
  points: readings.map(({ at, si }) => [
    (at - readings[0]!.at) / 1000,
    si!,
    ...(kelvin === undefined ? [] : [kelvin(at)]),
  ]),
});

describe("a simulated instrument answers from the world of the valve", () => {
  const wet = standing(wetJob());

  it.each([
    ["holds when nothing is hidden", "nothing", "holds"],
    ["rises on and on through a closure that passes", "a-closure-passes", "let-in"],
    ["levels off when liquid boils", "liquid-boils", "residue"],
  ] as const)("pressure of a section that stands %s", (_, hides, verdict) => {
    const trace = traceOf(said(wet, 30, { hides }));
    expect(judgeTrace(trace, wet.current!, wet.inputs)).toMatchObject({
      kind: "standing",
      says: { kind: verdict },
    });
  });

  it("a cold section of a refrigerant warms, and with its temperature the sum says so", () => {
    const job = standing(jobAt("GC-HRV5", "pell-meter-h20", "gannet-co2", { build: "cone-small" }));
    const pressures = said(job, 40);
    const walls = said(job, 40, {
      is: { kind: "thermometer", name: "T", serial: "T-1" },
      channel: "temperature",
    });
    const kelvin = (at: number) => walls.findLast((each) => each.at <= at)?.si ?? walls[0]!.si!;
    const plain = judgeTrace(traceOf(pressures), job.current!, job.inputs);
    const warmed = judgeTrace(traceOf(pressures, kelvin), job.current!, job.inputs);
    if (plain?.kind !== "standing" || warmed?.kind !== "standing") throw new Error("no standing test");
    expect(plain.says.rise).toBeGreaterThan(1500);
    expect(Math.abs(warmed.says.corrected)).toBeLessThan(plain.says.rise / 4);
  });

  it("in front of what was shut it reads the line, at zero nothing, and never guesses without a job", () => {
    const walk = new Walk(wetJob());
    const live = said(walk.job, 0.2).at(-1)!;
    expect(live.si).toBeGreaterThan(2e5);
    walk.until((step) => step.kind === "gauge");
    expect(Math.abs(said(walk.job, 0.2).at(-1)!.si!)).toBeLessThan(1000);
    const { lines } = beat(switchedOn(THERE), { scene: undefined, broken: WHOLE, now: 0, chance: () => 0.5 });
    expect(JSON.parse(lines.at(-1)!)).toMatchObject({ say: "reading", value: 0 });
  });

  it("before the wait the way out is open; after it, it reads what crept in meanwhile, not all that ever may", () => {
    const walk = new Walk(wetJob()).until(isHold);
    const at = (hides: Hides, minutes = 0) => {
      const { since } = sceneOf(walk.job, hides);
      return said(walk.job, 0.1, { hides, from: since + minutes * 60_000 }).at(-1)!.si!;
    };
    expect(Math.abs(at("a-closure-passes", 600))).toBeLessThan(1000);
    const { minutes } = walk.job.current!;
    walk.doStep(walk.job.current!);
    expect(walk.job.current?.kind).toBe("gauge");
    expect(at("a-closure-passes", minutes)).toBeGreaterThan(5000);
    expect(at("a-closure-passes", minutes)).toBeLessThan(0.5e5);
    expect(Math.abs(at("nothing", minutes))).toBeLessThan(1000);
  });

  it("what a valve hides is the same every time, and some valves hide something", () => {
    const tags = ["NQ-H02", "NQ-H07", "GL-P1", "SQ-H02", "CB-D1", "HL-V1", "LX-T3", "GC-HRV5"];
    const kinds = tags.map((tag) => {
      const { valve } = wetJob();
      const job = new Walk(wetJob({ valve: { ...valve, tag } })).job;
      expect(sceneOf(job, "by-the-valve").hidden).toEqual(sceneOf(job, "by-the-valve").hidden);
      return sceneOf(job, "by-the-valve").hidden.kind;
    });
    expect(new Set(kinds).size).toBeGreaterThan(1);
  });

  it("a coil reads more ohms while it is still warm, and none while power stands on it", () => {
    const job = new Walk(jobAt("HO-S1h", "harrow-pickle-15", "hotel-laundry")).until(
      (step) => step.kind === "check" && step.check.id === "coil",
    ).job;
    const is = { kind: "multimeter", name: "M", serial: "M-1" } as const;
    const ohms = (from: number) => said(job, 0.1, { is, channel: "resistance", from }).at(-1)!.si!;
    const { since, tag } = sceneOf(job, "nothing");
    const warm = ohms(since);
    const cold = ohms(since + 3 * 3_600_000);
    expect(warm / cold).toBeGreaterThan(1.1);
    const { step } = sceneOf(job, "nothing");
    if (step?.kind !== "check" || step.check.kind !== "measure") throw new Error("no measure");
    // At 15 °C copper has 2 % less than at 20 °C.
    expect(cold).toBeCloseTo(conditionOf(tag, step.check) * (1 - 5 * 0.00393), 0);
  });

  it("a dial turns while an appliance burns and stands still while it is watched with all of them off", () => {
    const is = { kind: "dial-meter", name: "D", serial: "D-1" } as const;
    const dial = (job: Run) => {
      const all = said(job, 5, { is, channel: "volume" });
      return all.at(-1)!.si! - all[0]!.si!;
    };
    const walk = new Walk(jobAt("RW-G17", "pell-ropewalk-20", "ropewalk-gas"));
    expect(dial(walk.job)).toBeCloseTo((1.1 * 5) / 60, 2);
    walk.until((step) => step.id === "check:dial");
    expect(dial(walk.job)).toBe(0);
    expect(dial(standing(wetJob()))).toBe(0);
  });

  it("a wrench clicks near what it is set to, with scatter, and says its peak once", () => {
    const job = new Walk(dryJob()).until((step) => step.kind === "tighten").job;
    const step = job.current!;
    if (step.kind !== "tighten") throw new Error("no bolts");
    const is = { kind: "torque-wrench", name: "W", serial: "W-1" } as const;
    const scene = sceneOf(job, "nothing");
    const chance = seeded(3);
    let state = switchedOn(is);
    const peaks: number[] = [];
    for (let now = 0; now < 200_000; now += 200) {
      const { after, lines } = beat(state, { scene, pass: 1, broken: WHOLE, now, chance });
      state = after;
      for (const line of lines) {
        const read = JSON.parse(line) as { peak?: boolean; value: number };
        if (read.peak === true) peaks.push(read.value);
      }
    }
    const wanted = step.passes[0]!.torque_Nm;
    expect(peaks.length).toBeGreaterThan(15);
    expect(new Set(peaks).size).toBeGreaterThan(5);
    for (const peak of peaks) expect(Math.abs(peak / wanted - 1)).toBeLessThan(0.04);
  });

  it("frozen it says its last line again, garbled no line, adrift something else", () => {
    const whole = switchedOn(THERE);
    const scene = sceneOf(wet, "nothing");
    const at = (broken: Broken, before = whole) =>
      beat(before, { scene, broken, now: scene.since, chance: () => 0.5 });
    const first = at(WHOLE);
    expect(at({ ...WHOLE, frozen: true }, first.after).lines).toEqual(first.lines.slice(-1));
    for (const line of at({ ...WHOLE, garbled: true }).lines) expect(readLine(line).ok).toBe(false);
    const adrift = said(wet, 2, { broken: { ...WHOLE, drifts: true } });
    expect(adrift.at(-1)!.si! - adrift[0]!.si!).toBeGreaterThan(1e5);
  });

  it("each kind introduces itself by the protocol, and reads what it says it reads", () => {
    for (const kind of Object.keys(KINDS) as Identity["kind"][]) {
      const hello = readLine(JSON.stringify(helloOf({ kind, name: kind, serial: kind })));
      expect(hello).toMatchObject({ ok: true, value: { kind } });
      const { lines } = beat(switchedOn({ kind, name: kind, serial: kind }), {
        scene: sceneOf(wet, "nothing"),
        broken: WHOLE,
        now: 0,
        chance: () => 0.5,
      });
      for (const line of lines) expect(readLine(line), line).toMatchObject({ ok: true });
    }
    expect(Object.keys(LINES_BY_WORD)).toEqual(["hello", "reading", "battery", "gone"]);
  });
});
