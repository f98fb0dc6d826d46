import { describe, expect, it } from "vitest";
import { shortWhen } from "./when";

const NOW = new Date(2026, 5, 3, 10, 0, 0).getTime();
const MIN = 60_000;
const DAY = 86_400_000;

describe("when it rings, at a glance", () => {
  it.each([
    [38_000, "0:38"],
    [12 * MIN + 5000, "12:05"],
    [125 * MIN, "2 h 05"],
    [2 * DAY, "Fri"],
    [10 * DAY, "10 d"],
    [40 * DAY, "13 Jul"],
    [500 * DAY, "Oct 2027"],
    [-5 * MIN, "now"],
    [-3 * DAY, "3 d late"],
  ])("in %i ms: %s", (left, says) => {
    expect(shortWhen(NOW + left, NOW)).toBe(says);
  });
});
