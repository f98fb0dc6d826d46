import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Trouble, TroubleFacts } from "../formats";
import { triedAs } from "../formats";
import { advise } from "./advise";
import { hypotheses, priors } from "./prior";
import { DRY, SMALL } from "./small.fixtures";

const chances = (
  knowledge: Trouble,
  facts: TroubleFacts,
  answers: readonly (readonly [string, string])[] = [],
) =>
  Object.fromEntries(
    advise(knowledge, facts, new Map(answers)).odds.map(({ cause, chance }) => [cause, chance]),
  );
const alone = (knowledge: Trouble, facts: TroubleFacts) =>
  Object.fromEntries(priors(knowledge, facts).map(({ cause, chance }) => [cause, chance]));
const cause = (id: string, change: Partial<Trouble["causes"][number]>): Trouble => ({
  ...SMALL,
  causes: SMALL.causes.map((each) => (each.id === id ? { ...each, ...change } : each)),
});

describe("odds", () => {
  it("are the shares of the complaint before anybody looked, something else among them", () => {
    const of = alone(SMALL, DRY);
    expect(of.cock).toBeCloseTo(0.475, 10);
    expect(of.coil).toBeCloseTo(0.285, 10);
    expect(of.torn).toBeCloseTo(0.19, 10);
    expect(of["else:"]).toBeCloseTo(0.05, 10);
  });

  it("follow Bayes by hand: a handle that stands across", () => {
    // Alone and in pairs 0.475, 0.285, 0.19, 0.05; 0.475·0.285, 0.475·0.19, 0.285·0.19, all over 1.279775.
    // The slip of 0.004 over two answers: shut 0.8984 of the cock, 0.0518 of the others, else (3·mean + even)/4.
    const [shutCock, shutOther] = [0.9 * 0.996 + 0.002, 0.05 * 0.996 + 0.002];
    const mean = (shutCock + 2 * shutOther) / 3;
    const weights = {
      cock: 0.475 * shutCock,
      coil: 0.285 * shutOther,
      torn: 0.19 * shutOther,
      else: 0.05 * ((3 * mean + 0.5) / 4),
      cockCoil: 0.475 * 0.285 * shutCock,
      cockTorn: 0.475 * 0.19 * shutCock,
      coilTorn: 0.285 * 0.19 * shutOther,
    };
    const sum = Object.values(weights).reduce((total, each) => total + each, 0);
    const of = chances(SMALL, DRY, [["handle", "shut"]]);
    expect(of.cock).toBeCloseTo((weights.cock + weights.cockCoil / 2 + weights.cockTorn / 2) / sum, 10);
    expect(of.coil).toBeCloseTo((weights.coil + weights.cockCoil / 2 + weights.coilTorn / 2) / sum, 10);
    expect(of["else:"]).toBeCloseTo(weights.else / sum, 10);
  });

  it("are raised by what this valve and this day make likelier, and say by how much", () => {
    const knowledge = cause("coil", { likelier: [{ when: { kind: "older-than", years: 8 }, times: 3 }] });
    const old = advise(knowledge, { ...DRY, age_years: 12 });
    expect(old.odds.find((each) => each.cause === "coil")?.raisedBy).toEqual([
      { when: { kind: "older-than", years: 8 }, times: 3 },
    ]);
    expect(alone(knowledge, { ...DRY, age_years: 12 }).coil).toBeCloseTo((0.95 * 0.9) / 1.6, 10);
    expect(alone(knowledge, { ...DRY, age_years: 8 }).coil).toBeCloseTo(0.285, 10);
  });

  it("learn as many jobs as the knowledge is held like before they weigh as much", () => {
    // Held like 10 jobs, 10 jobs found the coil each time: half from the file, half from the jobs.
    const of = alone(SMALL, { ...DRY, found: { coil: 10 } });
    const raw = { cock: (10 * 0.475) / 20, coil: (10 * 0.285 + 10) / 20, torn: (10 * 0.19) / 20 };
    const sum = raw.cock + raw.coil + raw.torn;
    expect(of.coil).toBeCloseTo((0.95 * raw.coil) / sum, 10);
  });

  it("of two at once the one a look speaks of shows in it", () => {
    const of = advise(
      SMALL,
      DRY,
      new Map([
        ["handle", "shut"],
        ["click", "no"],
      ]),
    );
    expect([...(of.pair?.causes ?? [])].sort()).toEqual(["cock", "coil"]);
    expect(of.pair!.chance).toBeGreaterThan(0.2);
  });

  const answers = fc.uniqueArray(
    fc.constantFrom(
      ["handle", "open"],
      ["handle", "shut"],
      ["handle", "unknown"],
      ["click", "yes"],
      ["click", "no"],
      ["opened", "torn"],
      ["opened", "whole"],
      [triedAs("open"), "not"],
    ) as fc.Arbitrary<readonly [string, string]>,
    { selector: ([look]) => look },
  );

  it("add up to one, whatever was answered, in whatever order", () => {
    fc.assert(
      fc.property(answers, (given) => {
        const one = chances(SMALL, DRY, given);
        expect(Object.values(one).reduce((sum, each) => sum + each, 0)).toBeCloseTo(1, 9);
        const other = chances(SMALL, DRY, given.toReversed());
        for (const [id, chance] of Object.entries(one)) expect(other[id]).toBeCloseTo(chance, 12);
        const [a, b] = [advise(SMALL, DRY, new Map(given)), advise(SMALL, DRY, new Map(given.toReversed()))];
        expect(a.next).toEqual(b.next);
      }),
    );
  });

  it("say of each answer what it makes of a cause, whenever it came", () => {
    const given = new Map([
      ["click", "no"],
      ["handle", "open"],
    ]);
    const of = (map: ReadonlyMap<string, string>) =>
      Object.fromEntries(
        advise(SMALL, DRY, map)
          .odds.find(({ cause: id }) => id === "coil")!
          .answers.map(({ look, times }) => [look, times]),
      );
    const [one, other] = [of(given), of(new Map([...given].toReversed()))];
    expect(one.click).toBeGreaterThan(1);
    expect(one.click).toBeCloseTo(other.click!, 10);
    expect(one.handle).toBeGreaterThan(1);
  });

  it("an answer that nobody could give says nothing, and is not asked again", () => {
    const before = chances(SMALL, DRY);
    const after = advise(SMALL, DRY, new Map([["handle", "unknown"]]));
    for (const { cause: id, chance } of after.odds) expect(chance).toBeCloseTo(before[id]!, 12);
    expect(after.looks.map(({ look }) => look)).not.toContain("handle");
  });

  it("pairs are made of the likeliest few by now, and all chances add up to one", () => {
    const all = hypotheses(priors(SMALL, DRY), (id) => (id === "torn" ? 5 : 1));
    expect(all.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1, 12);
    expect(all.filter(({ causes }) => causes.length === 2)).toHaveLength(3);
  });
});
