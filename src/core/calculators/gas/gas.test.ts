import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { siOf, wordsOf } from "..";
import { answerTo, figure, figureOf, type Typed } from "../calculators.fixtures";

describe("riding through a shut cock", () => {
  it("by hand: 16 L from 20 to 8 mbar hold 0.19 L, and two pilots of 200 W burn it in 18 s", () => {
    const answer = answerTo("ride-through");
    const usable = (16 * 12) / 1013.25;
    expect(figureOf(answer, "usable", "L")).toBeCloseTo(usable, 6);
    expect(figureOf(answer, "seconds", "s")).toBeCloseTo((usable * 38_000) / 400, 4);
  });

  it("twice the pilots or half the pipe ride half as long", () => {
    const seconds = (typed: Typed) => figure("ride-through", typed, "seconds", "s");
    expect(seconds({ pilots: "4" })).toBeCloseTo(seconds({}) / 2, 9);
    expect(seconds({ volume: "8 L" })).toBeCloseTo(seconds({}) / 2, 9);
    // A propane pilot of the same heat takes 38/95 of the volume.
    expect(seconds({ gas: "propane" }) / seconds({})).toBeCloseTo(95 / 38, 9);
  });

  it("stops just where the work takes longer than the gas, and watches up to three times it", () => {
    const seconds = figure("ride-through", {}, "seconds", "s");
    const at = (share: number) => answerTo("ride-through", { work: `${seconds * share} s` }).verdict;
    expect([at(1.01), at(0.99), at(0.34), at(0.33)]).toEqual(["stop", "watch", "watch", "pass"]);
  });

  it("no pilot sets no time and is no comfort", () => {
    const answer = answerTo("ride-through", { pilots: "0" });
    expect(answer.verdict).toBe("watch");
    expect(answer.outputs.seconds).toBeUndefined();
  });
});

describe("the test dial", () => {
  it("a foot of gas in 40 s is 2.55 m³/h or 26.9 kW", () => {
    const answer = answerTo("dial-test", { dial: "1 ft3", seconds: "40 s" });
    expect(figureOf(answer, "flow", "m3/h")).toBeCloseTo((0.028316846592 / 40) * 3600, 6);
    expect(figureOf(answer, "heat", "kW")).toBeCloseTo((0.028316846592 / 40) * 38_000, 3);
  });

  it("what turns with everything off is a leak, however slowly", () => {
    for (const seconds of ["1 s", "60 s", "3600 s"])
      expect(answerTo("dial-test", { off: "off", seconds }).verdict, seconds).toBe("stop");
    expect(answerTo("dial-test", { off: "running", seconds: "60 s" }).verdict).toBe("pass");
  });

  it("a still dial says what could have passed unseen, and never that it is tight", () => {
    const short = answerTo("dial-test", { seen: "none", watched: "2 min" });
    expect(short.verdict).toBe("watch");
    const wait = figureOf(short, "wait", "min");
    expect(answerTo("dial-test", { seen: "none", watched: `${wait * 1.01} min` }).verdict).toBe("pass");
    expect(answerTo("dial-test", { seen: "none", watched: `${wait * 0.99} min` }).verdict).toBe("watch");
    expect(short.cautions.join(" ")).toContain("not a tightness test");
  });
});

describe("grading a leak", () => {
  const RANK = ["pass", "watch", "fail", "stop"];
  const grade = (typed: Typed) => RANK.indexOf(answerTo("leak-grade", typed).verdict!);
  const WHERE = ["inside", "wall", "confined", "paved", "open"] as const;
  const SIGNS = ["none", "smell", "blowing", "ill"] as const;

  it("is never milder for a higher reading, a worse sign or one that spreads", () => {
    let seen = 0;
    fc.assert(
      fc.property(
        fc.constantFrom(...WHERE),
        fc.constantFrom(...SIGNS),
        fc.constantFrom("open", "sealed"),
        fc.integer({ min: 0, max: 99 }),
        fc.integer({ min: 1, max: 100 }),
        (where, sign, seal, reading, more) => {
          const typed = { where, sign, seal, reading: `${reading} %` };
          const worse = `${Math.min(100, reading + more)} %`;
          expect(grade({ ...typed, reading: worse })).toBeGreaterThanOrEqual(grade(typed));
          expect(grade({ ...typed, spread: "grows" })).toBeGreaterThanOrEqual(grade(typed));
          expect(grade({ ...typed, sign: "blowing" })).toBeGreaterThanOrEqual(
            grade({ ...typed, sign: "none" }),
          );
          seen++;
        },
      ),
    );
    expect(seen).toBeGreaterThan(50);
  });

  it("somebody ill, or gas inside that is smelled, brings everyone out wherever it is", () => {
    for (const where of WHERE)
      expect(answerTo("leak-grade", { where, sign: "ill" }).verdict, where).toBe("stop");
    expect(answerTo("leak-grade", { where: "inside", reading: "1 %" }).verdict).toBe("stop");
  });

  it("no reading is never a pass: it defers to procedure and code always", () => {
    for (const where of WHERE) {
      const answer = answerTo("leak-grade", { where });
      expect(answer.verdict).not.toBe("pass");
      expect(answer.cautions.join(" ")).toContain("your operator's procedure and local code decide");
    }
  });
});

describe("the season", () => {
  const on = (day: string, typed: Typed = {}) => answerTo("season-gate", { on: day, ...typed });

  it.each([
    ["2026-05-01", "pass", 0],
    ["2026-09-30", "pass", 0],
    ["2026-04-30", "watch", 1],
    ["2026-10-01", "watch", 212],
    ["2026-12-31", "watch", 121],
  ])("May to September: %s is %s, %d days off", (day, verdict, days) => {
    expect(on(day).verdict).toBe(verdict);
    expect(siOf(on(day).outputs, "days")).toBe(days);
  });

  it("a window over the turn of the year holds on both sides of it", () => {
    const winter = { from: "11", to: "2" };
    expect(on("2026-12-24", winter).verdict).toBe("pass");
    expect(on("2027-01-10", winter).verdict).toBe("pass");
    expect(on("2026-03-01", winter).verdict).toBe("watch");
    expect(siOf(on("2026-10-31", winter).outputs, "days")).toBe(1);
  });

  it("south of the line the year is turned by half", () => {
    const south = { hemisphere: "south" };
    expect(wordsOf(on("2026-01-10", south).outputs, "window")).toBe("November to March");
    expect(on("2026-01-10", south).verdict).toBe("pass");
    expect(on("2026-06-10", south).verdict).toBe("watch");
  });

  it("every stop that holds is told, in season too", () => {
    const all = on("2026-06-10", { night: "1 °C", access: "some", without: "5 h", frail: "yes" });
    expect(all.verdict).toBe("stop");
    expect(all.reasons).toHaveLength(3);
  });
});
