import { describe, expect, it } from "vitest";
import { MEDIA, STREAMS } from "@/core/formats";
import type { Act, IsolationFailure, LockedPiece } from "@/core/isolation";
import { notationOf } from "@/core/quantity";
import { actWhy, actWords, closureWhy, isolationMessage, lockedWords, speaker } from ".";

const step = (id: string, name = id) => ({ id, name });

describe("why there is no plan, and what would make one", () => {
  it.each<[string, IsolationFailure, RegExp]>([
    ["nothing named", { kind: "nothing-to-open" }, /Name at least one place/],
    ["a name nobody knows", { kind: "unknown-place", name: "V-99" }, /no place or valve "V-99"/],
    [
      "a broken line",
      { kind: "bad-line", problems: [{ path: "/links/0/to", message: 'There is no node "X".' }] },
      /cannot be used: There is no node "X"/,
    ],
    [
      "a valve to make good",
      {
        kind: "no-isolation",
        openPath: [step("S", "Supply"), step("V-1"), step("H")],
        makeGood: [{ ...step("V-1", "V-1 Yard"), unfit: "seized" }],
        second: false,
      },
      /Nothing can be shut along Supply → V-1 → H\. It becomes possible when V-1 Yard \(it is seized\) can be shut/,
    ],
    [
      "a vessel to pump out",
      {
        kind: "no-isolation",
        openPath: [step("P", "Oil pot"), step("R")],
        makeGood: [],
        second: false,
        pumpOut: step("P", "Oil pot"),
      },
      /when Oil pot is pumped out first/,
    ],
    [
      "nothing but the source",
      { kind: "no-isolation", openPath: [step("S"), step("H")], makeGood: [], second: false },
      /Shut down and drain its source, lock that, and prove zero there first/,
    ],
    [
      "one barrier where two are asked for",
      { kind: "no-isolation", openPath: [step("S"), step("H")], makeGood: [], second: true },
      /two barriers with a bleed between, and only one can be had\. Have a second valve put in/,
    ],
    [
      "two barriers and nothing between",
      { kind: "no-bleed", inner: [step("B")], outer: [step("A")] },
      /nothing bleeds what is between A and B\. Have a bleed cock put in/,
    ],
    [
      "a vessel without its relief valve",
      { kind: "unprotected", vessels: [step("V", "Receiver")] },
      /leave Receiver without a relief valve\. Pump it out first/,
    ],
    [
      "two of them",
      { kind: "unprotected", vessels: [step("V", "Receiver"), step("W", "Drum")] },
      /leave Receiver and Drum without a relief valve\. Pump them out first/,
    ],
  ])("%s", (_name, failure, says) => {
    expect(isolationMessage(speaker(), failure)).toMatch(says);
  });
});

describe("what is done, as one says it", () => {
  it.each<[Act["kind"], string, string, string]>([
    ["shut", "V-12", "Chandler street", "Shut and lock V-12 Chandler street"],
    ["shut", "V-12", "V-12", "Shut and lock V-12"],
    ["switch-off", "Q1", "Plug", "Switch off and lock Q1 Plug"],
    ["stop-pump", "P1", "Pump 1", "Stop and lock P1 Pump 1"],
    ["turn", "RS", "Relief stem: front seat", "Turn Relief stem: front seat"],
    ["pump-out", "OP", "Oil pot", "Pump out Oil pot"],
    ["open-bleed", "BD1", "Bleed B1", "Open and leave open Bleed B1"],
    ["shut-drain", "D2", "Low drain", "Shut Low drain"],
    ["leave-shut", "V-3", "Bypass", "Take the lock off and leave shut V-3 Bypass"],
    ["start-pump", "P1", "Pump 1", "Start P1 Pump 1"],
  ])("%s %s %s", (kind, id, name, says) => {
    expect(actWords(speaker(), { kind, id, name, why: { kind: "pumps-first" } })).toBe(says);
  });
});

describe("locked liquid in words", () => {
  const piece: LockedPiece = {
    nodes: ["A"],
    medium: "ammonia",
    volume_L: 5.9,
    barPerKelvin: 15,
    kelvinToRating: 2.6,
    untilDrained: false,
  };

  it("says how much, how fast, how soon and what to do, in the reader's units", () => {
    expect(lockedWords(speaker(), piece)).toBe(
      "5.9 L of liquid ammonia stands locked in: about 15 bar more for each K of warming. 2 K reach its rating. Leave it a way to give: do not shut both ends of it, or let liquid out first.",
    );
    expect(lockedWords(speaker(notationOf("us")), piece)).toMatch(/US gal of liquid ammonia .* psi more/);
  });

  it("asks for draining where the section is drained anyhow, and never says less than one kelvin", () => {
    const { kelvinToRating: _, ...open } = piece;
    expect(lockedWords(speaker(), { ...open, untilDrained: true })).toMatch(
      /Drain it as soon as the last valve is shut/,
    );
    expect(lockedWords(speaker(), { ...piece, kelvinToRating: 0.3 })).toContain("1 K reach its rating");
  });
});

describe("why an act stands at its place in the order", () => {
  const shut = (stream: (typeof MEDIA)[number] | (typeof STREAMS)[number], first = false) =>
    actWhy(speaker(), { kind: "shut-in-order", stream, first });
  const opened = (
    stream: (typeof MEDIA)[number] | (typeof STREAMS)[number],
    { first = false, inner = false, system = "metric" as "metric" | "us" } = {},
  ) => actWhy(speaker(notationOf(system)), { kind: "opened-in-order", stream, first, inner });

  it("is said where a wrong order hurts somebody", () => {
    for (const each of ["electricity", "steam", "hot", "liquid"] as const) {
      expect(shut(each), each).toMatch(/first|before/i);
      expect(opened(each), each).toMatch(/last|after/i);
    }
    for (const each of ["cold", "condensate", "suction", "pilot", "air"] as const)
      expect(opened(each), each).toMatch(/first|before/i);
    expect(opened("gas")).toContain("relight");
    expect(opened("co2")).toContain("dry ice");
  });

  it("says a pressure in the reader's units alone", () => {
    expect(opened("co2")).toContain("above 7 bar g:");
    expect(opened("co2", { system: "us" })).toContain("above 102 psi g:");
  });

  it("is that of plain pipes where nothing else is to be said, and always something when opening", () => {
    expect(shut("oil")).toBe("");
    expect(shut("oil", true)).toMatch(/^From the feed on/);
    for (const each of [...MEDIA, ...STREAMS]) expect(opened(each).length, each).toBeGreaterThan(20);
    expect(opened("water", { first: true })).toMatch(/^It lies lowest/);
    expect(opened("co2", { inner: true })).toMatch(/^By a crack.*The inner one first/);
  });
});

describe("what a closure is for", () => {
  const closure = { medium: "water", barrier: "inner", lockable: true, why: { insteadOf: [] } } as const;
  it.each([
    [closure, "Keeps pressure from coming back along this pipe."],
    [{ ...closure, why: { ...closure.why, feeder: "the town" } }, "Cuts the work off from the town."],
    [
      { ...closure, medium: "electricity", why: { ...closure.why, feeder: "Board 2" } } as const,
      "Takes the electricity of Board 2 away.",
    ],
    [
      { ...closure, barrier: "outer", lockable: false, why: { ...closure.why, feeder: "S" } } as const,
      "Second barrier: cuts the work off from S; it has no lock point: chain it, tag it and tell the crew.",
    ],
    [
      {
        ...closure,
        why: { feeder: "S", insteadOf: [{ link: "V-1", unfit: "seized" } as const], hardToReach: "in ivy" },
      },
      "Cuts the work off from S; taken instead of V-1, which is seized; in ivy.",
    ],
  ])("%j", (each, says) => {
    expect(closureWhy(speaker(), each)).toBe(says);
  });
});
