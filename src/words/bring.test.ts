import { describe, expect, it } from "vitest";
import { knowledgeOf } from "@/core/trouble/trouble.fixtures";
import { courseWords, itemLine, marginWords, packingNote, speaker, toolLine, uncoveredWords } from ".";

const words = speaker();
const pilot = knowledgeOf("electric-pilot-valve");

describe("what to bring, in words", () => {
  const item = {
    kind: "part",
    id: "coil",
    name: "Pilot coil",
    pieces: 2,
    place: "Mainland supplier",
    from: "supplier",
    days: 3,
    price: 40,
    kg: 0.25,
    without: 0.314,
    for: ["job-coil"],
  } as const;

  it("says where a thing comes from, what it weighs, what is lost without it, and what it is for", () => {
    expect(itemLine(words, pilot, item)).toEqual({
      key: "part:coil:Mainland supplier",
      name: "2 × Pilot coil",
      says: "ordered of Mainland supplier, 3 days, 0.25 kg, without it 31 in 100",
      for: "For: The coil is gone: renew it.",
    });
    expect(itemLine(words, pilot, { ...item, pieces: 1, days: 0, place: "Van 1" })).toMatchObject({
      name: "Pilot coil",
      says: expect.stringMatching(/^from Van 1, /),
    });
    expect(toolLine(words, { id: "m", name: "Multimeter", kg: 0.4, without: 0.2 })).toMatchObject({
      name: "Multimeter",
      says: "without it 20 in 100",
    });
  });

  it("says why something is not covered: nobody has it, it comes later, it is not worth its way", () => {
    const why = (lacks: Parameters<typeof uncoveredWords>[2]["lacks"]) =>
      uncoveredWords(words, pilot, { ends: ["job-coil"], chance: 0.1, lacks }).why;
    expect(why([])).toBe("Not worth its weight, or the way to fetch it");
    expect(why([{ name: "Pilot coil" }, { name: "Pilot body" }])).toBe(
      "Nobody has: Pilot coil and Pilot body.",
    );
    expect(why([{ name: "Air valve", later: { place: "Mainland supplier", days: 3 } }])).toBe(
      "Air valve: Mainland supplier, in 3 days.",
    );
  });

  it("says how sure the packing is", () => {
    expect(packingNote(words, { kg: 8.41, exact: true }, 0.15)).toMatch(
      /^About 8\.4 kg .* worth more.*15 of 100/,
    );
    expect(packingNote(words, { kg: 0, exact: false }, 0.15)).toMatch(/^The best that was found in time/);
  });
});

describe("where a reading goes, in words", () => {
  const at = (day: string) => Date.parse(`${day}T00:00:00Z`);
  const course = { what: "drain-time", values: [1, 2], doubts: [] };
  const meets = { limit: 600, side: "high", early: at("2027-10-22"), sisters: 3 } as const;
  const said = (of: Parameters<typeof courseWords>[1]) => courseWords(words, of, "s", (si) => si);

  it("says when, how sure, and by whose readings", () => {
    expect(
      said({ ...course, meets: { ...meets, likely: at("2028-02-21"), late: at("2028-07-23") } }),
    ).toEqual([
      "Its drain time meets its limit about Feb 2028. Of ten such valves one has by Oct 2027, nine by Jul 2028. By its own readings and those of 3 of its kind.",
    ]);
    expect(said({ ...course, meets: { ...meets, sisters: 0 } })).toEqual([
      "Its drain time goes towards its limit. Of ten such valves one has by Oct 2027. By its own readings alone.",
    ]);
  });

  it("asks about what does not fit", () => {
    expect(said({ ...course, doubts: [{ kind: "newest", expected: 398.5, error: 17 }] })[0]).toMatch(
      /^The newest reading does not fit .* about 6\.64 min was to be expected/,
    );
    expect(said({ ...course, doubts: [{ kind: "unlike-sisters", faster: true, sisters: 5 }] })[0]).toMatch(
      /^It goes faster than 5 others/,
    );
  });
});

describe("how far a figure may move, in words", () => {
  it("says the figure, where it is and where it turns, each in its unit", () => {
    const name = (id: string) => ({ piece: "By the piece", set: "The set" })[id] ?? id;
    expect(
      marginWords(
        words,
        { of: { kind: "comes-back", depth: "piece" }, now: 0.14, high: { at: 0.6, depth: "set" } },
        name,
        "SHP",
      ),
    ).toEqual({
      figure: "By the piece: comes back",
      now: "now 14 in 100",
      turns: ["above 60 in 100: the set"],
    });
    expect(
      marginWords(words, { of: { kind: "trip" }, now: 38, low: { at: 3, depth: "set" } }, name, "SHP"),
    ).toMatchObject({ figure: "A trip", now: "now 38.00 SHP", turns: ["below 3.00 SHP: the set"] });
  });
});
