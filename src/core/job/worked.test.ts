import { describe, expect, it } from "vitest";
import type { JobEvent } from "../formats";
import { wetJob } from "./job.fixtures";
import { type Run, run } from "./run";
import { workedOf } from "./worked";

const T0 = Date.parse("2026-06-01T09:00:00Z");
const at = (min: number) => new Date(T0 + min * 60_000).toISOString();
const note = (min: number, by = "Tam Arkle"): JobEvent => ({
  v: 1,
  kind: "note-added",
  id: `n${min}`,
  at: at(min),
  by,
  text: "still at it",
});

function signed(log: readonly JobEvent[]): Run {
  const job = run(wetJob(), []);
  if (!job.ok) throw new Error("the plan cannot be compiled");
  return { ...job.value, log, status: { kind: "signed-off", at: T0, by: "Tam Arkle" } };
}

describe("how long a job took", () => {
  it("is nothing of a job that goes on", () => {
    expect(workedOf({ ...signed([note(0)]), status: { kind: "at-work" } })).toBeUndefined();
  });

  it("is from its first entry to its last, in whatever order they came, with who made them", () => {
    const worked = workedOf(signed([note(0), note(40), note(20, "Isla Venn"), note(55)]))!;
    expect(worked.taken).toBe(55);
    expect(worked.by).toEqual({ "Tam Arkle": 3, "Isla Venn": 1 });
    expect(worked.compiled).toBeGreaterThan(10);
  });

  it("leaves out what was waited for, the time that it was stopped, and a night", () => {
    const waits: JobEvent = {
      v: 1,
      kind: "wait-started",
      id: "w",
      at: at(10),
      by: "Tam Arkle",
      step: "s",
      minutes: 30,
    };
    expect(workedOf(signed([note(0), waits, note(50)]))!.taken).toBe(20);
    const stopped: JobEvent = { v: 1, kind: "stopped", id: "s", at: at(10), by: "Tam Arkle", reason: "dark" };
    const resumed: JobEvent = { v: 1, kind: "resumed", id: "r", at: at(40), by: "Tam Arkle" };
    expect(workedOf(signed([note(0), stopped, resumed, note(45)]))!.taken).toBe(15);
    expect(workedOf(signed([note(0), note(15), note(15 + 16 * 60)]))!.taken).toBe(15);
  });
});
