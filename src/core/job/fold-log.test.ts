import { describe, expect, it } from "vitest";
import { foldLog, type JobRecord } from ".";

type Line = JobRecord["lines"][number];
const pull = (bolt: number, more: Partial<Line> = {}): Line => ({
  at: bolt,
  by: "Tam Arkle",
  event: {
    v: 1,
    id: `b${bolt}`,
    at: "2026-06-01T09:00:00Z",
    by: "Tam Arkle",
    kind: "bolt-pulled",
    step: "tighten:bolts",
    pass: 1,
    bolt,
  },
  ...more,
});
const note: Line = {
  at: 9,
  by: "Tam Arkle",
  event: { v: 1, id: "n", at: "2026-06-01T09:00:00Z", by: "Tam Arkle", kind: "note-added", text: "rain" },
};

describe("the log, folded", () => {
  it("a bolt circle is one line; what lies between stands alone", () => {
    expect(foldLog([pull(1), pull(2), pull(3), note, pull(4)]).map(({ count }) => count)).toEqual([3, 1, 1]);
  });

  it("what another entered, or without signal, stands alone", () => {
    expect(foldLog([pull(1), pull(2, { by: "Una Pell" })])).toHaveLength(2);
    expect(foldLog([pull(1), pull(2, { storedAt: 99 })])).toHaveLength(2);
    expect(foldLog([])).toEqual([]);
  });
});
