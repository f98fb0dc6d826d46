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
    "metric",
  );
}
const PULL = { name: "Steady pull", do: "The right size, square on, both hands, no jerk.", stop: false };
const OIL = {
  name: "Oil and time",
  do: "Penetrating oil, ten minutes, then pull again. Wipe it off before rebuilding.",
  stop: false,
};
const NO_OIL = {
  name: "Oil",
  do: "No oil on rubber or plastic: it swells or cracks. Warm water and patience.",
  stop: false,
};
const WARM = { name: "Heat", do: "Warm air round it, evenly, to hand-hot; then pull.", stop: false };
const HOT_WATER = { name: "Heat", do: "Hot water only, under 80 °C: seals lie behind it.", stop: false };
const TAP = { name: "Shock", do: "One sharp tap on the head, square, then pull.", stop: false };
const CUT = {
  name: "Cut",
  do: "Cut it out, if a new one is in hand. Shield the faces beside it.",
  stop: false,
};

describe("what to try when it will not move", () => {
  it("is pull, oil, warmth, a tap, and a cut", () => {
    expect(ladder({})).toEqual([PULL, OIL, WARM, TAP, CUT]);
  });

  it("stops before what is in no kit is cut", () => {
    expect(ladder({ keep: "It is in no kit." }).at(-1)).toEqual({
      name: "Cut",
      do: "Stop here: this one is in no kit.",
      stop: true,
    });
  });

  it("stops before a shock where it cracks", () => {
    const stop = {
      name: "Shock",
      do: "Stop here. It cracks before it moves: renew the whole valve.",
      stop: true,
    };
    expect(ladder({ brittle: true })).toEqual([PULL, OIL, WARM, stop]);
    expect(ladder({ material: "plastic" })).toEqual([PULL, NO_OIL, HOT_WATER, stop]);
  });

  it.each(["gas", "ammonia"] as const)("stops before any heat at %s", (medium) => {
    expect(ladder({}, { medium })).toEqual([
      PULL,
      OIL,
      { name: "Heat", do: "Never near what burns. Stop here: hand it over.", stop: true },
    ]);
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
    expect(barred).toEqual({
      kind: "barred",
      says: "This valve has no port, gauge valve or fitting to let ammonia out, and ammonia is never let out at the cover. Have a port fitted, or empty the section elsewhere and prove it there.",
    });
  });
});
