import { describe, expect, it } from "vitest";
import { Walk, wetJob } from "./job.fixtures";
import { whereItStands } from "./where-it-stands";

/** Stripped as far as its disc, then left; or stopped as soon as zero was proven. */
const stopped = (proven = false) => {
  const walk = new Walk(wetJob()).until((step) =>
    proven ? step.phase === "strip" : step.id === "check:disc-face",
  );
  walk.add({ kind: "note-added", text: "The stem is bent" });
  walk.add({ kind: "stopped", reason: "Too dark" });
  return walk.job;
};

describe("how a job stands for whoever takes it on", () => {
  it("names what is shut, under which lock and whose", () => {
    const job = stopped();
    const { shut, lost } = whereItStands(job);
    expect(shut.map(({ link }) => link)).toEqual(job.shut);
    expect(shut.length).toBeGreaterThan(0);
    for (const each of shut) {
      expect(each.lock).not.toBe("");
      expect(each.by).toBe(job.progress.shut.get(each.link)!.by);
    }
    expect(lost.map(({ node }) => node)).toContain("NQ-H07");
  });

  it("names what lies on the tray and what goes in new, not yet in", () => {
    const { off, toFit } = whereItStands(stopped());
    expect(off.map(({ part }) => part)).toContain("disc");
    expect(toFit.length).toBeGreaterThan(0);
  });

  it("begins with what is proven again: nobody watched the section", () => {
    const job = stopped(true);
    const { again, next, status, notes } = whereItStands(job);
    expect(status).toMatchObject({ kind: "stopped", reason: "Too dark" });
    expect(notes.map(({ text }) => text)).toContain("The stem is bent");
    expect(again.length).toBeGreaterThan(0);
    expect(next?.id).toBe(again[0]!.id);
    expect(next?.id).not.toBe(job.current?.id);
  });

  it("has nothing shut, off or lost once it is signed", () => {
    const done = whereItStands(new Walk(wetJob()).until(() => false).job);
    expect(done).toMatchObject({
      shut: [],
      openRound: [],
      lost: [],
      off: [],
      again: [],
      waits: [],
      toFit: [],
    });
    expect(done.status.kind).toBe("signed-off");
    expect(done.next).toBeUndefined();
  });
});
