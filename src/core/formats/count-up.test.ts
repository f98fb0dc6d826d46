import { describe, expect, it } from "vitest";
import { countUp } from "./count-up";

describe("a row of equal tags", () => {
  it.each([
    ["H-09", 3, ["H-09", "H-10", "H-11"]],
    ["T1", 2, ["T1", "T2"]],
    ["GATE", 3, ["GATE", "GATE-2", "GATE-3"]],
    ["A-007", 2, ["A-007", "A-008"]],
    ["99", 2, ["99", "100"]],
  ])("from %s, %i of them", (first, count, tags) => {
    expect(countUp(first, count)).toEqual(tags);
  });
});
