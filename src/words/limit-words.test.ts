import { describe, expect, it } from "vitest";
import type { Check } from "@/core/formats";
import { notationOf } from "@/core/quantity";
import { limitWords, speaker, unitOfCheck } from ".";

type Measure = Extract<Check, { kind: "measure" }>;
const check = (more: Partial<Measure>) =>
  ({ id: "x", kind: "measure", ask: "?", dimension: "length", unit: "mm", ...more }) as Measure;

describe("what a check allows", () => {
  it.each([
    [{ low: 8.4, high: 9.3 }, "metric", "8.4 mm to 9.3 mm"],
    [{ low: 25.4, high: 50.8 }, "us", "1 in to 2 in"],
    [{ high: 12.7 }, "us", "up to 0.5 in"],
    [{ low: 2, dimension: "gauge pressure", unit: "bar g" }, "us", "at least 29 psi g"],
    [{ low: 5, high: 9, dimension: "time", unit: "min" }, "us", "5 min to 9 min"],
    [{}, "metric", "any"],
  ] as const)("%o in %s: %s", (more, system, words) => {
    expect(limitWords(speaker(notationOf(system)), check(more))).toBe(words);
  });

  it("is asked in the reader's unit, a time in the sheet's", () => {
    expect(unitOfCheck(check({}), "us").id).toBe("in");
    expect(unitOfCheck(check({ dimension: "time", unit: "min" }), "us").id).toBe("min");
  });
});
