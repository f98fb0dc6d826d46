import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Look, Trouble, TroubleFacts } from "../formats";
import { triedAs, UNLISTED } from "../formats";
import { advise } from "./advise";
import { type Case, caseOf, makeReady } from "./case";
import { exactly } from "./exact";
import { after, twoSteps } from "./next-look";
import { DRY, SMALL, withLooks } from "./small.fixtures";
import { act, massOf, mayBeDone, type OnTheWay } from "./weigh-ends";

/** Every order of looks, answers and trials, walked to the end: dull, and slow. */
function brute(
  of: Case,
  belief: Float64Array,
  made: number,
  left: readonly number[],
  way?: OnTheWay,
): number {
  let best = act(of, belief, made, way).cost;
  for (const [index, end] of of.ends.entries()) {
    if (!end.tried || !mayBeDone(end, of, way)) continue;
    const rest = belief.map((each, h) => (end.covers[h] === 1 ? 0 : each));
    const without = { ...of, ends: of.ends.filter((_, other) => other !== index) };
    best = Math.min(best, end.minutes * massOf(belief) + brute(without, rest, made, left, way));
  }
  for (const index of left) {
    const look = of.looks[index]!;
    const ready = makeReady(of, look, made);
    const rest = left.filter((each) => each !== index);
    const cost = look.chance.reduce(
      (sum, chance, answer) =>
        sum +
        brute(of, after(belief, chance), ready.made, rest, {
          look: look.look.id,
          answer: look.answers[answer]!,
          ...(way !== undefined && { before: way }),
        }),
      (ready.cost + look.minutes) * massOf(belief),
    );
    best = Math.min(best, cost);
  }
  return best;
}

const chance = fc.double({ min: 0.01, max: 0.99, noNaN: true });
const look = (id: string, ask: readonly number[], minutes: number, needs: Look["needs"] = []): Look => ({
  kind: "choice",
  id,
  ask: id,
  do: id,
  minutes,
  drawn: "test",
  needs,
  answers: [
    { id: "yes", label: "Yes" },
    { id: "no", label: "No" },
  ],
  tells: SMALL.causes.map((cause, index) => ({
    causes: [cause.id],
    chances: { yes: ask[index]!, no: 1 - ask[index]! },
  })),
});
const needs = fc.constantFrom<NonNullable<Look["needs"]>>(
  [],
  ["live"],
  ["power-off"],
  ["dead"],
  ["cover-off"],
);
const knowledge = fc
  .array(fc.tuple(fc.tuple(chance, chance, chance), fc.integer({ min: 0, max: 30 }), needs), {
    minLength: 1,
    maxLength: 4,
  })
  .map((all) =>
    withLooks(all.map(([ask, minutes, need], index) => look(`look${index}`, ask, minutes, need))),
  );
const facts = fc.record({
  complaint: fc.constant("dry"),
  costs: fc.record({
    "renew-coil": fc.record({
      minutes: fc.integer({ min: 20, max: 200 }),
      dead_min: fc.integer({ min: 0, max: 20 }),
    }),
    inside: fc.record({
      minutes: fc.integer({ min: 20, max: 300 }),
      dead_min: fc.integer({ min: 0, max: 10 }),
      cover_min: fc.integer({ min: 0, max: 10 }),
    }),
  }),
});

const whole = (of: Case) =>
  brute(
    of,
    of.now,
    of.made,
    of.looks.map((_, index) => index),
  );
const bestOf = (search: NonNullable<ReturnType<typeof exactly>>) =>
  Math.min(search.now.cost, ...search.looks.map(({ cost }) => cost));

describe("the next look", () => {
  it("exact is what walking every way gives", () => {
    fc.assert(
      fc.property(knowledge, facts, (known, given) => {
        const of = caseOf(known, given, new Map());
        const search = exactly(of, 1_000_000);
        expect(search?.exact).toBe(true);
        expect(bestOf(search!)).toBeCloseTo(whole(of), 0);
      }),
      { numRuns: 40 },
    );
  });

  it("two steps ahead lie within the bound they state of the exact", () => {
    fc.assert(
      fc.property(knowledge, facts, (known, given) => {
        const of = caseOf(known, given, new Map());
        const near = twoSteps(of);
        const exact = whole(of);
        expect(bestOf(near)).toBeGreaterThanOrEqual(exact - 1e-6);
        expect(bestOf(near) - near.bound).toBeLessThanOrEqual(exact + 1e-6);
      }),
      { numRuns: 60 },
    );
  });

  it("looks at what costs nothing before what has to be opened, though that would say it, too", () => {
    const at = advise(SMALL, DRY);
    expect(at.next).toMatchObject({ kind: "look", look: "handle" });
    expect(at.looks.at(-1)?.look).toBe("opened");
  });

  it("never opens what another look would settle without, whatever the odds and the costs", () => {
    const shallow: Look = { ...look("ask", [0.02, 0.5, 0.98], 3), needs: ["live"] };
    const deep: Look = { ...look("open", [0.02, 0.5, 0.98], 3), needs: ["cover-off"] };
    fc.assert(
      fc.property(
        facts,
        fc.dictionary(fc.constantFrom("cock", "coil", "torn"), fc.integer({ min: 0, max: 40 })),
        (given, found) => {
          const ranks = advise(withLooks([deep, shallow]), { ...given, found }).looks.map(
            (each) => each.look,
          );
          expect(ranks.indexOf("ask")).toBeLessThan(ranks.indexOf("open"));
        },
      ),
    );
  });

  it("stops when acting is cheaper than looking, and says what would change that", () => {
    const given: TroubleFacts = { ...DRY, found: { torn: 20_000 }, setUp: { "cover-off": 400 } };
    const at = advise(SMALL, given, new Map([["click", "yes"]]));
    if (at.next.kind !== "end") throw new Error("it is time to act");
    expect(at.next).toMatchObject({ end: "inside" });
    expect(at.next.wouldChange.length).toBeGreaterThan(0);
    for (const { look: seen, answer, end } of at.next.wouldChange) {
      const after = advise(
        SMALL,
        given,
        new Map([
          ["click", "yes"],
          [seen, answer],
        ]),
      );
      expect(after.actNow.end).toBe(end);
      expect(end).not.toBe("inside");
    }
    // Where being wrong costs nothing, nothing is looked at.
    const free: TroubleFacts = {
      complaint: "dry",
      weigh: { trip_min: 0, wrong_min: 0 },
      costs: { open: { minutes: 0 }, "renew-coil": { minutes: 0 }, inside: { minutes: 0 } },
    };
    expect(advise(SMALL, free).next.kind).toBe("end");
  });

  it("goes on without a cause whose cure did not help", () => {
    const at = advise(
      SMALL,
      DRY,
      new Map([
        ["handle", "shut"],
        [triedAs("open"), "not"],
      ]),
    );
    expect(at.next.kind === "end" ? at.next.end : at.next.look).not.toBe("open");
    expect(at.odds[0]!.cause).not.toBe("cock");
  });

  it("does only after it was seen what may be done only then", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1000 }), (found) => {
        const at = advise(SMALL, { ...DRY, found: { cock: found } });
        expect(at.next.kind === "end" && at.next.end === "open").toBe(false);
      }),
    );
    expect(advise(SMALL, DRY, new Map([["handle", "shut"]])).next).toMatchObject({
      kind: "end",
      end: "open",
    });
  });

  it("does not ask on the telephone what a caller cannot see", () => {
    const at = advise(SMALL, { ...DRY, from: "telephone" });
    expect(at.looks.map((each) => each.look)).toEqual(["handle"]);
    // What only somebody there can do has its trip in it.
    expect(at.actNow.cost).toBeGreaterThan(advise(SMALL, DRY).actNow.cost);
  });

  it("hands over what nothing on the list explains", () => {
    const odd = new Map([
      ["handle", "open"],
      ["click", "yes"],
      ["opened", "whole"],
    ]);
    const at = advise({ ...SMALL, else_percent: 40 }, DRY, odd);
    expect(at.next).toMatchObject({ kind: "end", end: UNLISTED });
  });

  it("spares a job what was made for a look already", () => {
    const given: TroubleFacts = {
      complaint: "dry",
      costs: { inside: { minutes: 80, dead_min: 20, cover_min: 15 } },
    };
    const before = caseOf(SMALL, given, new Map());
    const opened = caseOf(SMALL, given, new Map([["opened", "torn"]]));
    const inside = (of: Case) => of.ends.find(({ end }) => end.id === "inside")!;
    const only = (of: Case) =>
      Float64Array.from(of.hypotheses, ({ causes }) => Number(causes.join() === "torn"));
    expect(
      act(before, only(before), before.made).cost - act(opened, only(opened), opened.made).cost,
    ).toBeCloseTo(35, 9);
    expect(inside(opened).end.id).toBe("inside");
  });

  it("goes to the acts of a danger at once, whatever is likely", () => {
    const dangerous: Trouble = {
      ...SMALL,
      complaints: [...SMALL.complaints, { id: "smell", says: "It smells", danger: "out" }],
      looks: SMALL.looks.map((each) =>
        each.kind === "choice" && each.id === "click"
          ? {
              ...each,
              answers: each.answers.map((one) => (one.id === "no" ? { ...one, danger: "out" } : one)),
            }
          : each,
      ),
      ends: [
        ...SMALL.ends,
        {
          kind: "leak",
          id: "out",
          says: "Out.",
          minutes: 5,
          grade: 1,
          to: "the service",
          cannotWait: ["Out."],
        },
      ],
      causes: SMALL.causes.map((each) => ({ ...each, weights: { dry: 50, smell: 10 } })),
    };
    expect(advise(dangerous, { complaint: "smell" }).danger).toEqual({ end: "out" });
    expect(advise(dangerous, DRY).danger).toBeUndefined();
    expect(advise(dangerous, DRY, new Map([["click", "no"]])).danger).toEqual({ end: "out", look: "click" });
  });
});
