import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Line } from "../formats";
import { planIsolation } from "../isolation";
import { lineOf, live, node, planned, randomLine, valve } from "../isolation/isolation.fixtures";
import { type ShutAlone, shutOnceOn } from "./joint";

const alone = (line: Line, tag: string): ShutAlone => ({
  tag,
  opens: [tag],
  plan: planned(line, [tag]),
  open_min: 60,
});

/** Two beds behind one cock each, in a street that a valve at each end shuts. */
const street = (more: Partial<Line> = {}, bed: object = {}) =>
  lineOf(
    [node("feed", "source"), node("a", "consumer", bed), node("b", "consumer", bed), node("end", "consumer")],
    [valve("V1", "feed", "a"), valve("V2", "a", "b"), valve("V3", "b", "end"), valve("V4", "feed", "end")],
    more,
  );

describe("what is shut off once", () => {
  it("turns what lies between two works not at all", () => {
    const line = street();
    const { once, apart } = shutOnceOn(line, [alone(line, "a"), alone(line, "b")]);
    expect(apart).toEqual([]);
    expect(once.map(({ tags }) => tags)).toEqual([["a", "b"]]);
    expect(once[0]!.plan.closures.map(({ link }) => link).sort()).toEqual(["V1", "V3"]);
  });

  it("is not two hydrants that are out one after the other", () => {
    const line = street({}, { hydrant: true });
    expect(shutOnceOn(line, [alone(line, "a"), alone(line, "b")]).once).toEqual([]);
  });

  it("is no two sections of a refrigerant that touch: they are never out together", () => {
    const line = street({ medium: "ammonia" });
    expect(shutOnceOn(line, [alone(line, "a"), alone(line, "b")])).toMatchObject({
      once: [],
      apart: [{ tags: ["a", "b"], because: { kind: "one-section" } }],
    });
  });

  it("holds what feeds the line from all of it, is done sooner than each by itself, and takes from nobody else", () => {
    fc.assert(
      fc.property(randomLine(8, 12), (line) => {
        const works = line.nodes
          .slice(1)
          .flatMap(({ id }) => (planIsolation(line, { open: [id] }).ok ? [alone(line, id)] : []));
        const { once } = shutOnceOn(line, works);
        const tags = once.flatMap((each) => each.tags);
        expect(new Set(tags).size).toBe(tags.length);
        for (const { tags: group, plan } of once) {
          const members = works.filter(({ tag }) => group.includes(tag));
          const left = live(line, new Set(plan.closures.map(({ link }) => link)));
          for (const { tag } of members) expect(left.has(tag)).toBe(false);
          expect(plan.minutes).toBeLessThan(members.reduce((sum, each) => sum + each.plan.minutes, 0));
          const gone = new Set(members.flatMap((each) => each.plan.lost.map((lost) => lost.node)));
          for (const lost of plan.lost) expect(gone.has(lost.node)).toBe(true);
        }
      }),
      { numRuns: 200 },
    );
  });
});
