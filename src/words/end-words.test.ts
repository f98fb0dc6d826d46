import { describe, expect, it } from "vitest";
import type { EndCondition } from "@/core/formats";
import { notationOf } from "@/core/quantity";
import { endWords, speaker } from ".";

describe("where tightening ends", () => {
  it.each<[EndCondition, string]>([
    [
      { kind: "torque", torque_Nm: 54.23, stated: "dry", pattern: "single", passes_percent: [100] },
      "to 40 ft·lbf",
    ],
    [{ kind: "flush" }, "flush, no further"],
    [{ kind: "touch-and-back-off", backOff_turns: 0.25 }, "until it touches, then 1/4 turn back"],
    [
      { kind: "touch-and-back-off", backOff_turns: 0.125, pitch_mm: 1.25 },
      "until it touches, then 1/8 turn back: a gap of 0.006 in",
    ],
    [{ kind: "touch" }, "until it touches, no further"],
    [{ kind: "seat-to-depth", depth_mm: 6.35, tolerance_mm: 1.27 }, "0.25 in deep, ± 0.05 in"],
    [{ kind: "to-ask-for", whom: "the maker" }, "figure to ask for: the maker"],
  ])("%j", (end, says) => {
    expect(endWords(speaker(notationOf("us")), end)).toBe(says);
  });
});
