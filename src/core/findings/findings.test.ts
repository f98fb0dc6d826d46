import { describe, expect, it } from "vitest";
import type { Check } from "../formats";
import { librarySheet } from "../job/job.fixtures";
import { judge, renewals } from ".";

const sheet = librarySheet("brae-quaywall-4");
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
