import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Check, Sheet } from "../formats";
import { demoDocument } from "../job/job.fixtures";
import { addMonths, dues, judge, renewals } from ".";

const sheet = demoDocument<Sheet>("sheets/brae-quaywall-4.json");
const check = (id: string): Check => sheet.checks.find((each) => each.id === id)!;
const mm = (value: number) => value / 1000;

describe("what an answer means", () => {
  it.each([
    [8.0, "stop"],
    [8.4, "reuse"],
    [8.8, "reuse"],
    [9.3, "reuse"],
    [9.5, "stop"],
  ])("a collar of %s mm: %s", (value, means) => {
    expect(
      judge(check("collar-thickness"), { kind: "measured", si: mm(value), typed: `${value} mm` }, mm)?.means,
    ).toBe(means);
  });

  it("of the wrong kind means nothing", () => {
    expect(judge(check("disc-face"), { kind: "measured", si: 1, typed: "1" }, mm)).toBeUndefined();
    expect(judge(check("stem-thread"), { kind: "said", answer: "perhaps" }, mm)).toBeUndefined();
  });
});

describe("policies", () => {
  const removed = ["stem-ring", "disc", "nozzle"];
  const by = (policy: Parameters<typeof renewals>[4]) =>
    renewals(sheet, removed, new Map(), [], policy, new Map()).map((each) => each.part);
  it("differ in what they add", () => {
    expect(by("on-condition")).toEqual([]);
    expect(by("what-was-disturbed")).toEqual(["stem-ring", "disc"]);
    expect(by("everything-open")).toEqual(["stem-ring", "disc"]);
  });
});

describe("the calendar", () => {
  it("keeps the day of the month, or the last one there is", () => {
    expect(new Date(addMonths(Date.UTC(2026, 0, 31), 1)).toISOString()).toBe("2026-02-28T00:00:00.000Z");
    expect(new Date(addMonths(Date.UTC(2026, 4, 15, 9), 12)).toISOString()).toBe("2027-05-15T09:00:00.000Z");
  });

  it("never runs backwards", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 4e12 }),
        fc.integer({ min: 1, max: 240 }),
        (from, months) => addMonths(from, months) > from,
      ),
    );
  });

  it("rings a valve without a history at once, and the earliest interval first", () => {
    const valve = { tag: "X", name: "x", place: "y", sheet: sheet.id };
    expect(dues(valve, sheet, 1000)[0]?.at).toBe(1000);
    const served = dues({ ...valve, serviced: "2026-01-01T00:00:00Z" }, sheet, 0);
    expect(served.map((due) => due.interval)).toEqual(["yearly", "disc"]);
  });
});
