import { describe, expect, it } from "vitest";
import {
  type Act,
  actWords,
  type IsolationFailure,
  isolationMessage,
  type LockedPiece,
  lockedWords,
} from ".";

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
    expect(isolationMessage(failure)).toMatch(says);
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
    expect(actWords({ kind, id, name, why: "" })).toBe(says);
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
    expect(lockedWords(piece, "metric")).toBe(
      "5.9 L of liquid ammonia stands locked in: about 15 bar more for each K of warming. 2 K reach its rating. Leave it a way to give: do not shut both ends of it, or let liquid out first.",
    );
    expect(lockedWords(piece, "us")).toMatch(/US gal of liquid ammonia .* psi more/);
  });

  it("asks for draining where the section is drained anyhow, and never says less than one kelvin", () => {
    const { kelvinToRating: _, ...open } = piece;
    expect(lockedWords({ ...open, untilDrained: true }, "metric")).toMatch(
      /Drain it as soon as the last valve is shut/,
    );
    expect(lockedWords({ ...piece, kelvinToRating: 0.3 }, "metric")).toContain("1 K reach its rating");
  });
});
