import { describe, expect, it } from "vitest";
import type { EndCondition } from "@/core/formats";
import { endWords } from "./end-words";
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

describe("where tightening ends", () => {
  it.each<[EndCondition, string]>([
    [
      { kind: "torque", torque_Nm: 54.23, stated: "dry", pattern: "single", passes_percent: [100] },
      "to 40 ft·lbf",
    ],
    [{ kind: "flush" }, "flush, no further"],
    [{ kind: "touch-and-back-off", backOff_turns: 0.25 }, "until it touches, then 1/4 turn back"],
    [{ kind: "seat-to-depth", depth_mm: 6.35, tolerance_mm: 1.27 }, "0.25 in deep, ± 0.05 in"],
    [{ kind: "to-ask-for", whom: "the maker" }, "figure to ask for: the maker"],
  ])("%j", (end, says) => {
    expect(endWords(end, "us")).toBe(says);
  });
});
