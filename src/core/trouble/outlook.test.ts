import { describe, expect, it } from "vitest";
import { UNLISTED } from "../formats";
import { advise } from "./advise";
import { outlook } from "./outlook";
import { DRY, SMALL } from "./small.fixtures";
import { FAMILIES, factsOf, knowledgeOf } from "./trouble.fixtures";

describe("what one tells of a case", () => {
  const costs = { inside: { minutes: 80, outage_min: 50 }, "renew-coil": { minutes: 40 } };
  const told = (answers: readonly (readonly [string, string])[], end?: string) => {
    const facts = { ...DRY, costs };
    return outlook(SMALL, facts, advise(SMALL, facts, new Map(answers)), end);
  };

  it("says what it may be, likeliest first, and what is done about it", () => {
    const { think, will, otherwise } = told([
      ["handle", "open"],
      ["click", "no"],
    ]);
    expect(think[0]!.cause).toBe("coil");
    expect(will).toMatchObject({ end: "renew-coil", kind: "job", minutes: 40, outage_min: 0 });
    expect(will.chance).toBeGreaterThan(0.5);
    for (const [at, way] of otherwise.entries())
      expect(way.chance).toBeLessThanOrEqual(otherwise[at - 1]?.chance ?? 1);
  });

  it("says how long somebody goes without, and nothing where nobody knows", () => {
    expect(told([], "inside").will).toMatchObject({ minutes: 80, outage_min: 50 });
    expect(told([], "open").will.outage_min).toBe(0);
    expect(told([], UNLISTED).will).not.toHaveProperty("outage_min");
  });

  it("tells of every family no more than is likely, and never the same twice", () => {
    for (const family of FAMILIES) {
      const knowledge = knowledgeOf(family);
      for (const { id } of knowledge.complaints) {
        const facts = factsOf(family, id);
        const { think, will, otherwise } = outlook(knowledge, facts, advise(knowledge, facts));
        expect(think.length, `${family} ${id}`).toBeGreaterThan(0);
        const ends = [will, ...otherwise].map(({ end }) => end);
        expect(new Set(ends).size).toBe(ends.length);
        const sum = [will, ...otherwise].reduce((total, { chance }) => total + chance, 0);
        expect(sum).toBeLessThanOrEqual(1 + 1e-9);
      }
    }
  });
});
