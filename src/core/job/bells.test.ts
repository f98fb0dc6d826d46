import { describe, expect, it } from "vitest";
import { bellWords, speaker } from "@/words";
import { inRingingOrder } from "../ringing";
import { type Bell, jobBells, WATCH_AFTER_H } from ".";
import { dryJob, START, says, Walk, wetJob } from "./job.fixtures";
import { jobAt } from "./proof.fixtures";

const HOUR = 3_600_000;
const kinds = (bells: readonly Bell[]) => bells.map((bell) => bell.kind);
const note = (walk: Walk, more: Record<string, unknown>) =>
  walk.add({ at: new Date(walk.now).toISOString(), ...more });

describe("what a job rings", () => {
  it("at work, from the newest entry on, with the step in hand", () => {
    const walk = new Walk(wetJob());
    expect(jobBells(walk.job)).toEqual([
      expect.objectContaining({ kind: "at-work", at: START, valve: "NQ-H07", job: "job-1" }),
    ]);
    walk.doStep(walk.job.current!);
    const [bell] = jobBells(walk.job);
    expect(bell!.at).toBe(walk.now);
    expect(bellWords(speaker(), bell!)).toMatchObject({
      title: "Job open",
      says: `NQ-H07: ${says(walk.job.current!).title}`,
    });
  });

  it("a running wait, at its end, and no more once it is read", () => {
    const walk = new Walk(wetJob()).until((step) => step.kind === "hold");
    const wait = walk.job.current!;
    if (wait.kind !== "hold") throw new Error("no wait on the way");
    note(walk, { kind: "wait-started", step: wait.id, minutes: wait.minutes });
    const ringing = jobBells(walk.job).filter((bell) => bell.kind === "wait");
    expect(ringing).toEqual([
      expect.objectContaining({ at: walk.now + wait.minutes * 60_000, id: `job-1:wait:${wait.id}` }),
    ]);
    walk.now += wait.minutes * 60_000;
    note(walk, { kind: "step-done", step: wait.id });
    expect(kinds(jobBells(walk.job))).not.toContain("wait");
  });

  it("a cool-down that was worked out where it was too hot, and kept: until it is cold enough", () => {
    const walk = new Walk(jobAt("LD-T11", "lantern-bucket-20", "lido-steam")).until(
      (step) => step.id === "check:body-temp",
    );
    const measured = { step: "check:body-temp", check: "body-temp" };
    note(walk, { kind: "check-measured", ...measured, si: 358.15, typed: "85 °C" });
    const inputs = { first: "95 °C", second: "85 °C", time: "10 min", air: "20 °C", touched: "minute" };
    const wait_s = walk.keep({ calculator: "cool-down", inputs, output: "wait", step: measured.step });
    const at = walk.now + 1000 * wait_s;
    expect(jobBells(walk.job).filter(({ kind }) => kind === "wait")).toEqual([
      expect.objectContaining({ at, for: "a-look" }),
    ]);
    note(walk, { kind: "check-measured", ...measured, si: 308.15, typed: "35 °C" });
    expect(kinds(jobBells(walk.job))).not.toContain("wait");
  });

  it("a hydrant out of service: a watch, so many hours after the first closure, until it is open again", () => {
    const walk = new Walk(dryJob()).until((step) => step.kind === "shut");
    const before = jobBells(walk.job);
    expect(kinds(before)).not.toContain("impairment");
    walk.doStep(walk.job.current!);
    const first = walk.now;
    walk.until((step) => step.kind === "gauge");
    const [bell] = jobBells(walk.job).filter((each) => each.kind === "impairment");
    expect(bell!.at).toBe(first + WATCH_AFTER_H * HOUR);
    expect(bellWords(speaker(), bell!).title).toContain("Out of service: NQ-H10");
    expect(kinds(jobBells(walk.toEnd().job))).toEqual([]);
  });

  it("stopped work says why, and is not at work as well", () => {
    const walk = new Walk(wetJob());
    note(walk, { kind: "stopped", reason: "Too dark" });
    expect(jobBells(walk.job)).toEqual([
      expect.objectContaining({ kind: "stopped", at: walk.now, reason: "Too dark" }),
    ]);
    note(walk, { kind: "resumed" });
    expect(kinds(jobBells(walk.job))).toEqual(["at-work"]);
  });

  it("signed off or given up it rings nothing", () => {
    expect(jobBells(new Walk(wetJob()).toEnd().job)).toEqual([]);
    const given = new Walk(wetJob());
    note(given, { kind: "given-up", reason: "Wrong valve" });
    expect(jobBells(given.job)).toEqual([]);
  });
});

describe("the order of ringing", () => {
  const OF_KIND = {
    wait: { kind: "wait", for: "the-section" },
    impairment: { kind: "impairment", lost: [] },
    stopped: { kind: "stopped", reason: "" },
    "at-work": { kind: "at-work" },
    case: { kind: "case", says: "", ended: "" },
    due: { kind: "due", what: "", why: "" },
  } as const;
  const bell = (id: string, kind: Bell["kind"], at: number): Bell => ({
    id,
    at,
    valve: id,
    ...OF_KIND[kind],
  });

  it("what runs comes before what is stopped, at work, promised, and due; each nearest first", () => {
    const bells = [
      bell("due", "due", 1),
      bell("promised", "case", 7),
      bell("work", "at-work", 2),
      bell("later", "wait", 9),
      bell("stopped", "stopped", 3),
      bell("watch", "impairment", 8),
      bell("soon", "wait", 4),
    ];
    const order = inRingingOrder(bells).map((each) => each.id);
    expect(order).toEqual(["soon", "watch", "later", "stopped", "work", "promised", "due"]);
    expect(inRingingOrder([...bells].reverse()).map((each) => each.id)).toEqual(order);
  });

  it("of two at one moment the id decides, so that the rope does not jump", () => {
    const two = [bell("b", "due", 5), bell("a", "due", 5)];
    expect(inRingingOrder(two).map((each) => each.id)).toEqual(["a", "b"]);
  });
});

describe("a bell that is put off", () => {
  const waiting = () => {
    const walk = new Walk(wetJob()).until((step) => step.kind === "hold");
    const wait = walk.job.current!;
    note(walk, { kind: "wait-started", step: wait.id, minutes: 15 });
    const bell = jobBells(walk.job).find(({ kind }) => kind === "wait")!;
    walk.now += 16 * 60_000;
    return { walk, wait, bell };
  };
  const off = (bell: string, more: Record<string, unknown> = {}) => ({
    kind: "bell-put-off",
    bell,
    minutes: 5,
    reason: "I am on my way",
    ...more,
  });

  it("is silent until then, says why and who, and shortens no wait", () => {
    const { walk, wait, bell } = waiting();
    note(walk, off(bell.id));
    const now = jobBells(walk.job).find(({ id }) => id === bell.id)!;
    expect(now).toMatchObject({
      at: bell.at,
      putOff: { until: walk.now + 5 * 60_000, reason: "I am on my way" },
    });
    expect(bellWords(speaker(), now).look).toMatch(/^Look at the gauge before you touch anything/);
    expect(walk.job.states.get(wait.id)).toEqual({ kind: "running", until: bell.at });
    note(walk, { kind: "step-done", step: wait.id });
    expect(jobBells(walk.job).map(({ id }) => id)).not.toContain(bell.id);
  });

  it("put off before it rings, it rings at its time all the same", () => {
    const { walk, bell } = waiting();
    walk.now -= 14 * 60_000;
    note(walk, off(bell.id));
    expect(jobBells(walk.job).find(({ id }) => id === bell.id)!.putOff).toBeUndefined();
  });

  it("is one that rings: another is refused, and what was done meanwhile elsewhere stands", () => {
    const { walk, wait, bell } = waiting();
    expect(() => note(walk, off("job-1:wait:nothing"))).toThrow(/No such bell rings/);
    note(walk, { kind: "step-done", step: wait.id });
    expect(() => note(walk, off(bell.id))).toThrow(/No such bell rings/);
  });

  it("may be put off while work is stopped, and stands in the record", () => {
    const walk = new Walk(dryJob()).until((step) => step.kind === "shut");
    walk.doStep(walk.job.current!);
    const watch = jobBells(walk.job).find(({ kind }) => kind === "impairment")!;
    note(walk, { kind: "stopped", reason: "Dark" });
    walk.now = watch.at + 60_000;
    note(walk, off(watch.id, { minutes: 120, reason: "A watch stands there" }));
    expect(jobBells(walk.job).find(({ id }) => id === watch.id)!.putOff?.reason).toBe("A watch stands there");
    expect(walk.job.progress.effective.at(-1)).toMatchObject({ kind: "bell-put-off", minutes: 120 });
  });
});
