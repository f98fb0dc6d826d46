import { expect, it } from "vitest";
import { besideTheLines, changeWords, promisedWords, speaker } from ".";

const seat = {
  name: "Main seat",
  pieces: 1,
  promised: [{ name: "Seat kit", place: "The loft", for: "NQ-H02" }],
};
const nothing = {
  kind: "kit" as const,
  picks: [],
  renewals: [],
  doNotTake: [],
  leftovers: [],
  supplies: [],
};

it("what lies there for another job is said with whom to ask; what no place has is said as that", () => {
  const told = besideTheLines(speaker(), { ...nothing, missing: [seat, { name: "Shim", pieces: 2 }] });
  expect(told).toEqual([
    {
      name: "Main seat",
      note: "NOT FREE: Seat kit at The loft is put aside for NQ-H02. Ask there, or get another",
      missing: true,
    },
    { name: "Shim × 2", note: "MISSING: no stock place has it", missing: true },
  ]);
  // Several pieces of one kit are one reason.
  expect(promisedWords(speaker(), [...seat.promised, ...seat.promised])).toBe(told[0]?.note);
});

it("a plan that changes says both apart", () => {
  const change = {
    minutes: 0,
    added: [],
    dropped: [],
    renewed: [],
    deeper: [],
    shut: [],
    noIsolationLeft: false,
    kit: { missing: [seat, { name: "Shim", pieces: 2 }], picks: [], leftovers: 0 },
  };
  expect(changeWords(speaker(), change)).toEqual([
    "No stock has shim: get it before you go on, or stop work.",
    "No stock has main seat free: Seat kit at The loft is put aside for NQ-H02. Ask there, get another before you go on, or stop work.",
  ]);
});
