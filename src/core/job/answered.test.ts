import { describe, expect, it } from "vitest";
import { entryWords, speaker } from "@/words";
import type { JobEvent, SealedEvent } from "../formats";
import { readEvent } from "../formats";
import { answeredStep, withAnswered, withoutAnswered } from "./answered";
import { chainStart, seal } from "./chain";
import { START, says, Walk, wetJob } from "./job.fixtures";
import { jobRecord } from "./record";

/** A whole job as the server keeps it: each entry with the facts of its step. */
function kept(walk: Walk): SealedEvent[] {
  const again = new Walk(walk.inputs);
  let head = chainStart(walk.inputs);
  return walk.events.map((event, index) => {
    const sealed = seal(withAnswered(again.job, event), index + 1, new Date(START).toISOString(), head);
    again.events.push(event);
    head = sealed.seal.hash;
    return sealed;
  });
}

const whole = () => new Walk(wetJob()).toEnd() as Walk;

describe("what an entry answered", () => {
  it("is kept with it as facts, and can be read by the format", () => {
    const walk = new Walk(wetJob());
    const step = walk.job.current!;
    walk.doStep(step);
    const event = withAnswered(new Walk(wetJob()).job, walk.events[0]!);
    expect(event.answered).toMatchObject({ id: step.id, kind: step.kind, phase: step.phase });
    expect(Object.keys(event.answered!)).not.toContain("tools");
    expect(readEvent(event, "").ok).toBe(true);
    expect(says(answeredStep(event)!).title).toBe(says(step).title);
    expect(withoutAnswered(event)).toEqual(walk.events[0]);
  });

  it("an event that answers no step has none", () => {
    const walk = new Walk(wetJob()).add({ kind: "note-added", text: "Wet" });
    expect(withAnswered(walk.job, walk.events[0]!)).toEqual(walk.events[0]);
  });

  it.each([undefined, {}, { id: "x", phase: "strip", kind: "no-such-kind" }, { id: 4, kind: "tray" }])(
    "nothing is read out of %j",
    (answered) => {
      const event = { v: 1, id: "e", at: "2026-06-01T09:00:00Z", by: "x", kind: "resumed", answered };
      expect(answeredStep(event as JobEvent)).toBeUndefined();
    },
  );

  it("a record reads true though the plan has come to be another", () => {
    const walk = whole();
    const sealed = kept(walk);
    const lines = (job: Walk["job"]) =>
      jobRecord(job, sealed).lines.map((line) => entryWords(speaker(), line, walk.inputs.sheet).what);
    const { plan, ...rest } = walk.job;
    const another = { ...rest, plan: { ...plan, steps: plan.steps.slice(-1) } };
    expect(lines(another)).toEqual(lines(walk.job));
    expect(lines(walk.job)).toContain(says(plan.steps.find((step) => step.id === "shut:V-12")!).title);
    expect(jobRecord(another, sealed).asFound).toEqual(jobRecord(walk.job, sealed).asFound);
  });
});
