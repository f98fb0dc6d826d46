import { describe, expect, it } from "vitest";
import { dryJob, wetJob } from "./job.fixtures";
import { jobAt, planOf } from "./proof.fixtures";

const drawnAt = (inputs: Parameters<typeof planOf>[0]) =>
  new Map(planOf(inputs).steps.map((step) => [step.id, step.drawn]));

describe("what a card draws", () => {
  it("a fastener that says nothing has a right-hand thread: left off, right on", () => {
    const drawn = drawnAt(wetJob());
    expect(drawn.get("crack:gland-bolts")).toEqual([{ kind: "turn", way: "left" }]);
    expect(drawn.get("tighten:gland-bolts")).toEqual([{ kind: "turn", way: "right" }]);
  });

  it("the hand of a thread follows the build, both ways", () => {
    const on = (build: string) => {
      const job = dryJob();
      return drawnAt({ ...job, valve: { ...job.valve, build } });
    };
    expect(on("opens-left").get("strip:hold-down")).toEqual([{ kind: "turn", way: "left", turns: 9 }]);
    expect(on("opens-right").get("strip:hold-down")).toEqual([{ kind: "turn", way: "right", turns: 9 }]);
    expect(on("opens-right").get("fit:hold-down")).toEqual([{ kind: "turn", way: "left", turns: 9 }]);
  });

  it("a valve of the line is shut against the way it opens, with its turns; nothing is drawn that nobody knows", () => {
    const drawn = drawnAt(wetJob());
    const line = wetJob().line!;
    const v12 = line.links.find(({ id }) => id === "V-12");
    expect(drawn.get("shut:V-12")).toEqual([
      { kind: "turn", way: "right", turns: v12?.kind === "valve" ? v12.turns : 0 },
    ]);
    const unknown = {
      ...line,
      links: line.links.map((link) => {
        if (link.kind !== "valve") return link;
        const { opens: _, ...rest } = link;
        return rest;
      }),
    };
    expect(drawnAt(wetJob({ line: unknown })).get("shut:V-12")).toBeUndefined();
  });

  it("where an arrow or a mark points, and how a key is turned", () => {
    expect(drawnAt(dryJob()).get("fit:main-seat")).toEqual([{ kind: "arrow", to: "up" }]);
    const cock = planOf(jobAt("FST-P1", "quillon-pierhead-2", undefined));
    const levers = cock.steps.flatMap(({ drawn = [] }) => drawn.filter(({ kind }) => kind === "lever"));
    expect(levers.length).toBeGreaterThan(0);
  });
});

describe("a figure for real equipment that nobody is named for", () => {
  it("is marked at its card, and only there", () => {
    const job = wetJob();
    const real = { ...job, sheet: { ...job.sheet, demonstration: false } };
    const marked = planOf(real).steps.filter(({ dangers }) =>
      dangers.some(({ kind }) => kind === "no-source"),
    );
    expect(marked.map(({ id }) => id)).toContain("tighten:gland-bolts");
    expect(marked.map(({ id }) => id)).toContain("check:static-pressure");
    expect(marked.map(({ id }) => id)).not.toContain("check:leak");
    expect(
      planOf(job)
        .steps.flatMap(({ dangers }) => dangers)
        .some(({ kind }) => kind === "no-source"),
    ).toBe(false);
  });
});
