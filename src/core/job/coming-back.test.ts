import { describe, expect, it } from "vitest";
import { asFoundWords, speaker } from "@/words";
import type { JobInputs } from "../formats";
import { says, Walk } from "./job.fixtures";
import { jobAt } from "./proof.fixtures";
import { jobRecord } from "./record";

const stepsOf = (inputs: JobInputs) => new Walk(inputs).job.plan.steps;
const order = (inputs: JobInputs) => stepsOf(inputs).map((step) => step.id);
/** Those of these that the plan has, in its order. */
const among = (inputs: JobInputs, ids: readonly string[]) => order(inputs).filter((id) => ids.includes(id));
const inThisOrder = (inputs: JobInputs, ids: readonly string[]) => expect(among(inputs, ids)).toEqual(ids);

const mixer = jobAt("LD-M1", "ottermouth-spoolmix-25", "lido-water");
const co2 = jobAt("GC-SV2", "pell-frostgate-32", "gannet-co2");
const preAction = jobAt("FS-PN1", "quillon-watchair-1", "ferry-shed");

describe("coming back, by medium", () => {
  it("CO2: bleeds shut, air out, vapour in, the gate read, the leak looked for, and only then liquid", () => {
    inThisOrder(co2, [
      "bleed-shut:BD1",
      "open:GC-V2",
      "restore:evacuate",
      "restore:charge",
      "restore:gate",
      "check:leak",
      "open:GC-V1",
    ]);
  });

  it("CO2 with vapour on its far side: that is let in, and no hose is needed", () => {
    const regulator = jobAt("GC-HRV5", "pell-meter-h20", "gannet-co2", { build: "cone-small" });
    inThisOrder(regulator, ["restore:evacuate", "open:GC-V9", "restore:gate", "check:leak", "open:GC-V7"]);
    expect(order(regulator)).not.toContain("restore:charge");
  });

  it("a mixer: cold, hot, power, the temperature proven at the drain, the fail-safe, and its outlet last", () => {
    inThisOrder(mixer, [
      "open:LD-W12",
      "open:LD-W7",
      "open:LD-Q1",
      "check:mixed-temp",
      "put-back:check:mixed-temp",
      "check:fail-safe",
      "put-back:check:fail-safe",
      "open:LD-W14",
      "restore:tell",
    ]);
  });

  it("a pre-action set: air, priming, panel, trip test and reset behind a shut gate, the gate last", () => {
    inThisOrder(preAction, [
      "drain-shut:D1",
      "open:FS-T7",
      "open:FS-T1",
      "open:FS-Q1",
      "check:trip",
      "put-back:check:trip",
      "check:reset",
      "open:FS-V1",
      "restore:tell",
    ]);
  });

  it("without a line the same order holds, by what the sheet's cards name", () => {
    const { line: _, ...loose } = mixer;
    const { line: __, node: ___, ...valve } = loose.valve;
    const byHand = order({ ...loose, valve }).filter((id) =>
      /^(open-flow|restore:open|check:mixed)/.test(id),
    );
    expect(byHand.indexOf("open-flow:hot")).toBeGreaterThan(byHand.indexOf("open-flow:cold"));
    expect(byHand.indexOf("check:mixed-temp")).toBeGreaterThan(byHand.indexOf("open-flow:electricity"));
    expect(byHand.indexOf("check:mixed-temp")).toBeLessThan(byHand.indexOf("open-flow:mixed"));
  });

  it("a job of an earlier version keeps the order it began with", () => {
    for (const inputs of [mixer, co2, preAction]) {
      const { rules: _, ...first } = inputs;
      for (const before of [first, { ...inputs, rules: 2 }])
        expect(order(before).some((id) => /^(put-back|restore:(evacuate|charge|gate))/.test(id))).toBe(false);
    }
  });
});

describe("the gate before liquid", () => {
  const read = (walk: Walk, bar: number) =>
    walk.add({
      kind: "reading-taken",
      step: "restore:gate",
      what: "vapour",
      dimension: "gauge pressure",
      si: bar * 1e5,
      typed: `${bar} bar g`,
    });

  it("takes no reading below it, says what to do, and is skipped by nobody", () => {
    const walk = new Walk(co2).until((step) => step.id === "restore:gate");
    expect(() => read(walk, 4)).toThrow(/more vapour/i);
    expect(() => walk.add({ kind: "step-done", step: "restore:gate" })).toThrow("not done by ticking");
    expect(() => walk.add({ kind: "step-overridden", step: "restore:gate", reason: "No time" })).toThrow(
      "cannot be skipped",
    );
    expect(() => walk.add({ kind: "step-done", step: "open:GC-V1" })).toThrow("First:");
    read(walk, 7.5);
    expect(walk.job.current?.id).toBe("check:equal");
    expect(walk.toEnd().job.status.kind).toBe("signed-off");
  });
});

describe("isolating by more than shutting", () => {
  it("a valve that lets its pressure out by its own motor keeps its power until then", () => {
    const softener = jobAt("LD-SF1", "ottermouth-brook-20", "lido-treatment");
    inThisOrder(softener, ["shut:LD-R4", "release", "shut:LD-Q7", "prove:dead:SFE"]);
  });

  it("the cap of a stem comes off before it is turned and goes on behind it", () => {
    const steps = stepsOf(jobAt("GN-RV4A", "pell-guardian-t2", "gannet-low-side"));
    const cues = (id: string) => says(steps.find((step) => step.id === id)!).cues?.join();
    expect(cues("shut:GN-RS4")).toContain("cap off first");
    expect(cues("open:GN-RS4")).toContain("cap on again");
  });

  it("a stem that shuts the work off as it stands is looked at and locked, and left so", () => {
    const inputs = jobAt("GN-RV4B", "pell-guardian-t2", "gannet-low-side");
    const titles = stepsOf(inputs)
      .filter(({ id }) => id.endsWith(":GN-RS4"))
      .map((step) => says(step).title);
    expect(titles).toEqual([
      "Check that Relief stem GN-RS4 stands so: back seat, GN-RV4B shut off. Lock it.",
      "Take your lock off Relief stem GN-RS4: back seat, GN-RV4B shut off. Leave it so.",
    ]);
    expect(order({ ...inputs, rules: 2 }).some((id) => id.endsWith(":GN-RS4"))).toBe(false);
  });

  it("a vessel of CO2 loses its liquid before it is drawn down", () => {
    inThisOrder(jobAt("GC-RV5", "pell-guardian-c3", "gannet-co2"), ["liquid-out:SEP", "pump-out:SEP"]);
  });
});

describe("a relief valve on a line of its rating", () => {
  const at = (rating_bar: number) => {
    const inputs = jobAt("GC-RV2A", "pell-guardian-c3", "gannet-co2", { reach: ["valve"] });
    const walk = new Walk({ ...inputs, line: { ...inputs.line!, rating_bar } });
    return walk.until((step) => step.id === "check:set-pressure");
  };
  const set = (walk: Walk, bar: number) =>
    walk.add({
      kind: "check-measured",
      step: "check:set-pressure",
      check: "set-pressure",
      si: bar * 1e5,
      typed: `${bar} bar g`,
    });

  it("one that is set above what the line bears is not fitted, whatever its sheet allows", () => {
    expect(set(at(60), 58).job.current?.id).not.toBe("check:set-pressure");
    const walk = set(at(40), 58);
    expect(walk.job.states.get("check:set-pressure")?.kind).toBe("halted");
  });
});

describe("what is noted", () => {
  it("from outside before anything is shut, behind a cover when it is off, a loose end while its part sits", () => {
    inThisOrder(mixer, ["shut:LD-Q1", "strip:lid", "mark:spool-mark", "mark:at:p-cold", "strip:probe-cold"]);
    inThisOrder(preAction, ["mark:ports", "shut:FS-Q1"]);
  });

  it("one place holds one end", () => {
    const walk = new Walk(mixer).until((step) => step.id === "mark:at:p-cold");
    walk.add({ kind: "step-done", step: "mark:at:p-cold", entry: "Socket C" });
    walk.until((step) => step.id === "mark:at:p-hot");
    expect(() => walk.add({ kind: "step-done", step: "mark:at:p-hot", entry: "Socket C" })).toThrow(
      "one place holds one end",
    );
  });

  it("what was found wrong is put right", () => {
    const twin = jobAt("GN-RV4A", "pell-guardian-t2", "gannet-low-side");
    const { photo: _, ...capture } = twin.sheet.capture.find((each) => each.id === "stem")!;
    const right = capture.choices![0]!;
    const wrong = capture.choices!.find((each) => each !== right)!;
    const after = twin.sheet.symptoms[0]!.reach[0]!;
    const sheet = {
      ...twin.sheet,
      capture: [{ ...capture, right, confirmAfter: after }],
    };
    const walk = new Walk({ ...twin, sheet }).until((step) => step.id === "mark:stem");
    walk.add({ kind: "step-done", step: "mark:stem", entry: wrong });
    walk.until((step) => step.id === "confirm:stem");
    expect(() => walk.add({ kind: "step-done", step: "confirm:stem", entry: wrong })).toThrow(right);
    walk.add({ kind: "step-done", step: "confirm:stem", entry: right });
    expect(walk.job.states.get("confirm:stem")?.kind).toBe("done");
    const found = jobRecord(walk.job, []).asFound.map((each) => asFoundWords(speaker(), each));
    expect(found.join()).toContain(`${wrong}: found wrong, put right: ${right}`);
  });
});
