import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { siOf, wordsOf } from "..";
import { answerTo, figure, figureOf, type Typed } from "../calculators.fixtures";

describe("the impairment clock", () => {
  const clock = (typed: Typed) => answerTo("impairment-clock", { since: "2026-03-02T08:00", ...typed });

  it("the watch is due ten hours out, what was out before counted", () => {
    expect(wordsOf(clock({ now: "2026-03-02T09:00" }).outputs, "watchAt")).toBe("2026-03-02 18:00");
    expect(wordsOf(clock({ now: "2026-03-02T09:00", before: "3 h" }).outputs, "watchAt")).toBe(
      "2026-03-02 15:00",
    );
    expect(figureOf(clock({ now: "2026-03-02T09:00", before: "3 h" }), "out", "h")).toBeCloseTo(4, 9);
    expect(figureOf(clock({ now: "2026-03-02T09:00" }), "left", "h")).toBeCloseTo(9, 9);
  });

  it.each([
    ["2026-03-02T11:59", "no", "pass"],
    ["2026-03-02T12:00", "no", "watch"],
    ["2026-03-02T17:59", "no", "watch"],
    ["2026-03-02T18:00", "no", "stop"],
    ["2026-03-02T18:00", "yes", "watch"],
    ["2026-03-09T18:00", "no", "stop"],
  ])("at %s, watch walking: %s, it is %s", (now, kept, verdict) => {
    expect(clock({ now, kept }).verdict).toBe(verdict);
  });

  it("rings when the watch is due, and no more once it is", () => {
    const bell = clock({ now: "2026-03-02T09:00" }).bell;
    expect(bell).toMatchObject({ kind: "at", wall: Date.UTC(2026, 2, 2, 18) / 1000 });
    expect(clock({ now: "2026-03-02T19:00" }).bell).toBeUndefined();
  });

  it("a hydrant out has more to call than a system", () => {
    const calls = (what: string) => clock({ now: "2026-03-02T09:00", what }).tables.calls!.length;
    expect(calls("hydrant")).toBeGreaterThan(calls("system"));
    expect(calls("system")).toBeGreaterThan(1);
  });
});

describe("soaks and holds", () => {
  const START = "2026-03-02T10:00";

  it("Newton's cooling: from 140 to 110 in 10 min among 20, it takes 54.6 min to 45 °C", () => {
    const minutes = figure("soak-and-hold", { what: "cool", start: START }, "lasts", "min");
    expect(minutes).toBeCloseTo((10 * Math.log(120 / 25)) / Math.log(120 / 90), 6);
  });

  it("cooling to the second reading takes just the time between the two", () => {
    let seen = 0;
    fc.assert(
      fc.property(fc.integer({ min: 60, max: 200 }), fc.integer({ min: 1, max: 30 }), (first, drop) => {
        const second = `${first - drop} °C`;
        const typed = { what: "cool", start: START, first: `${first} °C`, second, wanted: second };
        expect(figure("soak-and-hold", typed, "lasts", "min")).toBeCloseTo(10, 6);
        seen++;
      }),
    );
    expect(seen).toBeGreaterThan(50);
  });

  it("the bell rings when it ends, over midnight too", () => {
    const answer = answerTo("soak-and-hold", { what: "soak", start: "2026-03-02T23:30", lasts: "45 min" });
    expect(wordsOf(answer.outputs, "ends")).toBe("2026-03-03 00:15");
    expect(answer.bell).toMatchObject({ kind: "at", wall: Date.UTC(2026, 2, 3, 0, 15) / 1000 });
  });

  it("every kind says what to look at then", () => {
    for (const what of ["soak", "cure", "stand", "bleed"]) {
      const { outputs } = answerTo("soak-and-hold", { what, start: START });
      expect(wordsOf(outputs, "look").length, what).toBeGreaterThan(10);
    }
  });
});

describe("renew or put back", () => {
  const decide = (typed: Typed) => answerTo("renew-or-reuse", typed);

  it("chances are chances, and an old part's is never below a new one's where it wears", () => {
    let seen = 0;
    fc.assert(
      fc.property(
        fc.constantFrom("elastomer", "seat", "spring", "motor"),
        fc.integer({ min: 0, max: 30 }),
        fc.integer({ min: 1, max: 10 }),
        (part, age, horizon) => {
          const { outputs } = decide({ part, age: `${age} y`, horizon: `${horizon} y` });
          const [old, fresh] = [siOf(outputs, "chance"), siOf(outputs, "chanceNew")];
          for (const chance of [old, fresh]) {
            expect(chance).toBeGreaterThanOrEqual(0);
            expect(chance).toBeLessThanOrEqual(1);
          }
          expect(old).toBeGreaterThanOrEqual(fresh - 1e-12);
          seen++;
        },
      ),
    );
    expect(seen).toBeGreaterThan(50);
  });

  it("a free part is renewed, a part that costs a fortune is put back", () => {
    expect(wordsOf(decide({ cost: "0" }).outputs, "decision")).toBe("renew it");
    expect(wordsOf(decide({ cost: "100000" }).outputs, "decision")).toBe("put it back");
  });

  it("a one-use part is renewed at any price and age", () => {
    for (const cost of ["0", "14", "10000"])
      expect(decide({ part: "once", cost, age: "0 d" }).verdict).toBe("stop");
  });

  it("worn counts as older: it breaks even sooner", () => {
    const even = (finding: string) => figureOf(decide({ finding }), "breakEven", "y");
    expect(even("worn")).toBeLessThan(even("good"));
    expect(even("poor")).toBeLessThan(even("worn"));
  });

  it("what is saved is the difference of the two costs, and the cheaper is the one named", () => {
    for (const age of ["0.5 y", "2 y", "5 y", "9 y"]) {
      const { outputs } = decide({ age });
      const [reuse, renew] = [siOf(outputs, "reuse"), siOf(outputs, "renew")];
      expect(siOf(outputs, "saves")).toBeCloseTo(Math.abs(reuse - renew), 9);
      expect(wordsOf(outputs, "decision")).toBe(reuse > renew ? "renew it" : "put it back");
    }
  });
});

describe("when it is due again", () => {
  const due = (typed: Typed) => answerTo("interval", { last: "2026-01-01", ...typed });

  it("nothing ever stretches the code: the answer is never later than it", () => {
    let [sooner, code] = [0, 0];
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 0, max: 60 }),
        fc.integer({ min: 0, max: 400 }),
        fc.integer({ min: 0, max: 40 }),
        (months, runs, hardness, cycles) => {
          const { outputs } = due({
            months: `${months}`,
            runs: `${runs} °C`,
            hardness: `${hardness} mg/L`,
            cycles: `${cycles}`,
            life: "20000",
          });
          expect(wordsOf(outputs, "due") <= wordsOf(outputs, "byCode")).toBe(true);
          if (wordsOf(outputs, "why") === "the code") code++;
          else sooner++;
        },
      ),
    );
    expect(Math.min(sooner, code)).toBeGreaterThan(5);
  });

  it("ten kelvin over its rating halve it", () => {
    const days = (runs: string) => figureOf(due({ runs, rated: "40 °C" }), "days", "d");
    expect(days("50 °C")).toBeCloseTo(days("40 °C") / 2, 0);
    expect(days("20 °C")).toBeCloseTo(days("40 °C"), 9);
  });

  it("two hundred cycles a day of a life of 20,000 are up in a hundred days", () => {
    const answer = due({ cycles: "200", life: "20000" });
    expect(figureOf(answer, "days", "d")).toBeCloseTo(100, 6);
    expect(wordsOf(answer.outputs, "why")).toBe("its cycles");
    expect(wordsOf(answer.outputs, "due")).toBe("2026-04-11");
  });

  it("a trend is where its line meets the limit: 1 to 2 in 100 days meets 3 after another 100", () => {
    const answer = due({
      trend: "2",
      limit: "3",
      day1: "2026-01-01",
      value1: "1",
      day2: "2026-04-11",
      value2: "2",
    });
    expect(wordsOf(answer.outputs, "byTrend")).toBe("2026-07-20");
    expect(answer.cautions.join(" ")).toContain("Two readings make a line");
  });
});
