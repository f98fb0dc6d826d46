import { beforeEach, describe, expect, it } from "vitest";
import type { JobDocument, JobEvent } from "@/core/formats";
import { chainStart, seal } from "@/core/job";
import { Walk, wetJob } from "@/core/job/job.fixtures";
import { undoEdit } from "../book/undo";
import { demoServices } from "../demo.fixtures";
import { exportJob } from "../jobs/export-job";
import { allDoubts } from "../proof/verify";
import { passingServices, type Services } from "../services";
import { bells } from "../today/bells";
import { importFiles } from "./import-files";

const NOW = Date.parse("2027-03-01T09:00:00Z");
const HOUR = 3_600_000;
let services: Services;
beforeEach(() => {
  services = demoServices(() => NOW);
});

const inputs = wetJob({ id: "from-elsewhere", openedAt: new Date(NOW - 30 * HOUR).toISOString() });

/** A log sealed as any program can seal it, each entry stored as it was made. */
function sealed(events: readonly JobEvent[], storedAt = (event: JobEvent) => event.at): JobDocument {
  let previous = chainStart(inputs);
  return {
    format: "loftbell.job",
    version: 1,
    inputs,
    events: events.map((event, index) => {
      const made = seal(event, index + 1, storedAt(event), previous);
      previous = made.seal.hash;
      return made;
    }),
  };
}
const bring = (job: JobDocument, at: Services = services) =>
  importFiles(at, [{ name: "job.json", text: JSON.stringify(job) }], "Tam Arkle");
const summary = () => services.summaries.of(inputs.id)!;
const whole = () => new Walk(inputs, {}, NOW - 30 * HOUR).toEnd().events;
const signature = (minutes: number): JobEvent => ({
  v: 1,
  id: "s",
  at: new Date(NOW - 30 * HOUR + minutes * 60_000).toISOString(),
  by: "Tam Arkle",
  kind: "signed-off",
  statement: "Back in service",
});

describe("a log that is brought in", () => {
  it("made elsewhere and possible entry by entry counts, and is marked", () => {
    const before = services.register.valve("NQ-H07")?.serviced;
    expect(bring(sealed(whole()))).toMatchObject({ ok: true });
    expect(summary()).toMatchObject({ origin: "elsewhere", status: "signed-off" });
    expect(services.register.valve("NQ-H07")?.serviced).not.toBe(before);
    expect(allDoubts(services)).toEqual([]);
  });

  it("signed for by this installation comes back as its own", () => {
    const job = structuredClone(exportJob(services, "demo-h08-done")!);
    const other = passingServices(() => NOW, undefined, services.installation);
    expect(bring(job as JobDocument, other)).toMatchObject({ ok: true });
    expect(other.summaries.of("demo-h08-done")).toMatchObject({ origin: "here", status: "signed-off" });
    const stranger = passingServices(() => NOW);
    bring(job as JobDocument, stranger);
    expect(stranger.summaries.of("demo-h08-done")?.origin).toBe("elsewhere");
  });

  it.each<[string, () => JobDocument, RegExp]>([
    [
      "with its strip left out",
      () => sealed(whole().filter((event) => !("step" in event && event.step?.startsWith("strip:")))),
      /^Entry \d+ could not have been made then: First: /,
    ],
    [
      "signed before the work is done",
      () => sealed([...whole().slice(0, 20), signature(600)]),
      /^Entry 21 could not have been made then: Not yet/,
    ],
    [
      "dated before it was opened",
      () => {
        const [note] = new Walk(inputs, {}, NOW - 30 * HOUR).add({ kind: "note-added", text: "x" }).events;
        const early = { ...note!, at: new Date(NOW - 33 * HOUR).toISOString() };
        return sealed([early], () => new Date(NOW - 29 * HOUR).toISOString());
      },
      /^Entry 1 could not have been made then: This is dated before the job was opened/,
    ],
    [
      "with a wait that took no time",
      () => {
        const events = whole();
        const at = events.findIndex((event) => event.kind === "wait-started");
        return sealed(
          events.map((event, index) => (index === at + 1 ? { ...event, at: events[at]!.at } : event)),
        );
      },
      /The wait is not over/,
    ],
    [
      "stored before it was made",
      () => sealed(whole(), () => new Date(NOW - 40 * HOUR).toISOString()),
      /sealed out of its time|before the job was opened|runs ahead/,
    ],
    [
      "stored in the future",
      () => sealed(whole(), () => new Date(NOW + 40 * HOUR).toISOString()),
      /sealed out of its time/,
    ],
  ])("%s is foreign: it is kept to be read, and closes nothing", (_, job, says) => {
    const before = services.register.valve("NQ-H07");
    const [readings, ringing] = [services.library.readings("NQ-H07"), bells(services)];
    const done = bring(job());
    expect(done).toMatchObject({
      ok: true,
      value: { lines: [{ caution: expect.stringContaining("foreign") }] },
    });
    expect(summary()).toMatchObject({ origin: "foreign", status: "foreign", bells: [], held: [], lost: [] });
    expect(summary().because).toMatch(says);
    expect(services.register.valve("NQ-H07")).toEqual(before);
    expect(services.library.readings("NQ-H07")).toEqual(readings);
    expect(bells(services)).toEqual(ringing);
    expect(services.summaries.openOfValve("NQ-H07")).toBeUndefined();
  });

  it("a single signature closes a job that was never begun: the valve stays due", () => {
    const before = services.register.valve("NQ-H07");
    bring(sealed([signature(5)]));
    expect(summary()).toMatchObject({ origin: "elsewhere", status: "signed-off", entries: 1 });
    expect(services.register.valve("NQ-H07")).toEqual(before);
  });

  it("is taken back with what its signature did", () => {
    const before = services.register.valve("NQ-H07");
    const readings = services.library.readings("NQ-H07");
    const done = bring(sealed(whole()));
    if (!done.ok) throw new Error("not brought in");
    expect(undoEdit(services, done.value.id!, "Tam Arkle")).toMatchObject({ ok: true });
    expect(services.register.valve("NQ-H07")).toEqual(before);
    expect(services.library.readings("NQ-H07")).toEqual(readings);
    expect(services.jobs.has(inputs.id)).toBe(false);
    expect(allDoubts(services)).toEqual([]);
  });
});
