import { describe, expect, it } from "vitest";
import type { JobInputs, Sheet, Valve } from "../formats";
import { dues } from "../rounds";
import { actsDone, afterJob } from "./after-job";
import { type Answers, librarySheet, START, Walk, wetJob } from "./job.fixtures";
import { run } from "./run";

const relief = librarySheet("pell-guardian-t2");
const SIGNED = START + 5 * 3_600_000;
const MONTH = 30 * 86_400_000;

const valve: Valve = {
  tag: "GN-RV1A",
  name: "Relief valve",
  place: "Gannet cold store",
  sheet: relief.id,
  installed: "2022-06-01",
  serviced: "2025-06-01",
};

/** The job of a relief valve off its line, for this reason, walked to its end or only begun. */
function reliefJob(symptom: string, whole: boolean, more: Partial<JobInputs> = {}) {
  const { line: _, store: __, ...base } = wetJob();
  const reason = relief.symptoms.find(({ id }) => id === symptom)!;
  const inputs: JobInputs = {
    ...base,
    valve,
    sheet: relief,
    reason: { kind: "symptom", says: reason.says, symptom },
    reach: reason.reach,
    renew: reason.renews ?? [],
    where: "bench",
    ...more,
  };
  return whole ? walked(inputs) : must(run(inputs, []));
}
const walked = (inputs: JobInputs, answers: Answers = {}) => new Walk(inputs, answers).toEnd().job;
const must = <T>(made: { ok: true; value: T } | { ok: false }): T => {
  if (!made.ok) throw new Error("cannot be compiled");
  return made.value;
};

const LOOK = { renew: [], reach: ["outlet-bolts"] };

const five = (of: Valve, now = SIGNED) => dues(of, relief, now).find(({ interval }) => interval === "five")!;

describe("each interval counts from its own act", () => {
  it("an exchange counts from the exchange", () => {
    const job = reliefJob("due", true);
    expect(actsDone(job)).toEqual(["five"]);
    const after = afterJob(valve, job, SIGNED);
    expect(after.last).toEqual({ five: new Date(SIGNED).toISOString() });
    expect(five(after)).toMatchObject({ at: Date.UTC(2031, 5, 1, 14), counted: { from: "act", months: 60 } });
  });

  it("a look does not put it off", () => {
    const looked = afterJob(valve, reliefJob("due", true, LOOK), SIGNED);
    expect(looked.serviced).toBe(new Date(SIGNED).toISOString());
    expect(looked.last).toBeUndefined();
    expect(five(looked)).toMatchObject({ at: Date.UTC(2027, 5, 1), counted: { from: "installation" } });
    expect(dues(looked, relief, SIGNED).find(({ interval }) => interval === "look")).toMatchObject({
      counted: { from: "service" },
    });
  });

  it("where nobody knows when it was done, looks go on counting from what was known before them", () => {
    const { installed: _, ...unknown } = valve;
    const looked = afterJob(unknown, reliefJob("due", true, LOOK), SIGNED);
    expect(looked.last).toEqual({ five: "2025-06-01" });
    const { serviced: __, ...nothing } = unknown;
    const first = afterJob(nothing, reliefJob("due", true, LOOK), SIGNED);
    expect(five(first, SIGNED + MONTH)).toMatchObject({ at: SIGNED, atOnce: { since: SIGNED } });
  });

  it("a lift makes it due at once, from the report on, until it is exchanged", () => {
    const says = relief.symptoms.find(({ id }) => id === "lifted")!.says;
    expect(five({ ...valve, symptom: says })).toMatchObject({ at: SIGNED, atOnce: { reported: says } });
    // Closed before anything was done: nothing was serviced, and the exchange is due all the same.
    const closed = afterJob({ ...valve, symptom: says }, reliefJob("lifted", false), SIGNED);
    expect(closed).toMatchObject({ serviced: valve.serviced, symptom: says });
    expect(five(closed, SIGNED + MONTH)).toMatchObject({ at: SIGNED });
    const exchanged = afterJob(closed, reliefJob("lifted", true), SIGNED + MONTH);
    expect(exchanged.dueSince).toBeUndefined();
    expect(exchanged.symptom).toBeUndefined();
    expect(five(exchanged).counted).toMatchObject({ from: "act" });
  });

  it("an answer can make it due", () => {
    const at: Sheet = { ...relief, symptoms: relief.symptoms.map(({ renews: _, ...each }) => each) };
    const job = walked(
      { ...reliefJob("due", false).inputs, sheet: at, renew: [], where: "line" },
      { why: "lifted" },
    );
    expect(job.plan.findings.flatMap(({ makesDue }) => makesDue ?? [])).toEqual(["five"]);
    // It was exchanged in the same job, as the answer asks.
    expect(actsDone(job)).toEqual(["five"]);
  });
});
