import { describe, expect, it } from "vitest";
import type { Part, Sheet } from "../formats";
import { releaseOf, stuckLadder } from ".";
import { trialSheet, wet } from "./build.fixtures";

/** A part of a trial sheet, with what is behind it. */
function ladder(
  part: Partial<Part>,
  more: { medium?: Sheet["isolation"]["medium"]; behind?: Part["material"] } = {},
) {
  const sheet = trialSheet({ plug: [{ heldBy: [], minutes: 1 }], seat: [{ heldBy: ["plug"], minutes: 1 }] });
  const [plug, seat] = sheet.parts;
  return stuckLadder(
    { ...plug!, ...part },
    {
      ...sheet,
      isolation: { ...sheet.isolation, medium: more.medium ?? "water" },
      parts: [plug!, { ...seat!, material: more.behind ?? "steel" }],
    },
  );
}
type Rung = ReturnType<typeof stuckLadder>[number];
const go = (rung: Rung["rung"], how: Rung["how"]): Rung => ({ rung, how, stop: false });
const stop = (rung: Rung["rung"], how: Rung["how"]): Rung => ({ rung, how, stop: true });
const PULL = go("pull", "steady-pull");
const OIL = go("oil", "oil-and-time");
const NO_OIL = go("oil", "no-oil");
const WARM = go("heat", "warm-air");
const HOT_WATER = go("heat", "hot-water");
const TAP = go("shock", "tap");
const CUT = go("cut", "cut-out");

describe("what to try when it will not move", () => {
  it("is pull, oil, warmth, a tap, and a cut", () => {
    expect(ladder({})).toEqual([PULL, OIL, WARM, TAP, CUT]);
  });

  it("stops before what is in no kit is cut", () => {
    expect(ladder({ keep: "It is in no kit." }).at(-1)).toEqual(stop("cut", "in-no-kit"));
  });

  it("stops before a shock where it cracks", () => {
    expect(ladder({ brittle: true })).toEqual([PULL, OIL, WARM, stop("shock", "cracks")]);
    expect(ladder({ material: "plastic" })).toEqual([PULL, NO_OIL, HOT_WATER, stop("shock", "cracks")]);
  });

  it.each(["gas", "ammonia"] as const)("stops before any heat at %s", (medium) => {
    expect(ladder({}, { medium })).toEqual([PULL, OIL, stop("heat", "no-flame-near-gas")]);
  });

  it.each(["nitrile", "epdm", "silicone", "ptfe", "fibre"] as const)(
    "keeps oil and flame from %s, and flame from what it lies behind",
    (material) => {
      expect(ladder({ material })).toEqual([PULL, NO_OIL, HOT_WATER, TAP, CUT]);
      expect(ladder({}, { behind: material })).toEqual([PULL, OIL, HOT_WATER, TAP, CUT]);
    },
  );

  it.each(["brass", "bronze"] as const)("is that of metal for %s", (material) => {
    expect(ladder({ material }, { behind: material })).toEqual([PULL, OIL, WARM, TAP, CUT]);
  });
});

describe("the rung pressure is let out at", () => {
  const RUNGS = ["cover", "fitting", "gauge-valve", "port"] as const;
  it("is the gentlest of those there are", () => {
    for (let from = 0; from < RUNGS.length; from++) {
      const release = RUNGS.slice(0, from + 1).map((rung) => ({ rung, do: `Open the ${rung}.` }));
      expect(releaseOf({ ...wet, release })).toEqual({
        kind: "rung",
        rung: { rung: RUNGS[from], do: `Open the ${RUNGS[from]}.` },
      });
    }
  });

  it("is none where only the cover is left and what comes out there hurts", () => {
    const barred = releaseOf({
      ...wet,
      isolation: { ...wet.isolation, medium: "ammonia" },
      release: [{ rung: "cover", do: "Crack it." }],
    });
    expect(barred).toEqual({ kind: "barred", medium: "ammonia" });
  });
});
