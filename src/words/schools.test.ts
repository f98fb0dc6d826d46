import { describe, expect, it } from "vitest";
import { TOPICS, WAYS } from "@/core/formats";
import type { NotBecause, UsualBecause } from "@/core/schools";
import {
  barredWhy,
  keepsWords,
  schoolsWords,
  speaker,
  usualWhy,
  wayCosts,
  wayName,
  wayRefused,
  wayRisk,
} from ".";

const english = speaker();
const COST = { minutes: 60, outage_min: 0, price: 10, missing: [], torques: [] };

describe("ways of working, in words", () => {
  it("every way has its name and its risk", () => {
    for (const topic of TOPICS)
      for (const way of WAYS[topic]) {
        expect(wayName(english, topic, way)).not.toBe(way);
        expect(wayRisk(english, topic, way)).toMatch(/\.$/);
      }
    expect(wayName(english, "cleaning", "dry")).not.toBe(wayName(english, "threads", "dry"));
  });

  it.each([
    [{ kind: "sheet" }, "Its sheet does it so."],
    [{ kind: "sheet", says: "It must come out again." }, "Its sheet: It must come out again."],
    [{ kind: "shock-breaks", part: "Bonnet" }, "A shock could break something at the bonnet."],
    [{ kind: "in-a-recess" }, "It lies in a recess."],
  ] as const satisfies readonly (readonly [UsualBecause, string])[])("%j", (because, says) =>
    expect(usualWhy(english, because)).toBe(says),
  );

  it("what must not be says where and why", () => {
    const clash: NotBecause = { kind: "clash", base: "silicone", why: "it swells. Use another base." };
    expect(barredWhy(english, { part: "Lid ring", because: clash })).toBe(
      "Not here. Lid ring: it swells. Use another base.",
    );
    expect(barredWhy(english, { because: { kind: "not-on-its-sheet" } })).toBe(
      "Not here: its sheet has none: ask its maker before anything else goes on.",
    );
  });

  it("what goes on as before is told once for each reason", () =>
    expect(
      keepsWords(english, [
        { part: "Stem nut", because: { kind: "must-lock" } },
        { part: "Screw", because: { kind: "must-lock" } },
        { part: "Plug", because: { kind: "must-seal" } },
      ]),
    ).toEqual([
      "As their sheet says all the same: Stem nut, Screw (this thread has to lock).",
      "As their sheet says all the same: Plug (this thread has to seal).",
    ]));

  it("what it costs beside the usual way, in the reader's units", () => {
    const dearer = {
      ...COST,
      minutes: 70,
      price: 8,
      missing: ["Gasket"],
      torques: [{ part: "Bolts", torque_Nm: 36 }],
    };
    const usual = { ...COST, torques: [{ part: "Bolts", torque_Nm: 60 }] };
    expect(wayCosts(english, dearer, usual, "EUR")).toEqual([
      "10 min more",
      "2.00 EUR cheaper",
      "Bolts: 36 N·m instead of 60 N·m",
      "nobody has it: Gasket",
    ]);
    expect(wayCosts(english, COST, COST, "EUR")).toEqual(["Costs the same"]);
  });

  it("the record says what was usual, and why not", () =>
    expect(
      schoolsWords(english, [
        { topic: "threads", way: "dry", usual: "dry" },
        { topic: "gasket", way: "full-face", usual: "ring", why: "It hangs." },
      ]),
    ).toEqual([
      "Bolts and studs: Clean and dry, as usual",
      "Flange gasket: Full face, a hole for each bolt. Usual here: ring, inside the bolts. Why: It hangs.",
    ]));

  it("a refusal says what to do", () => {
    const at = { topic: "gasket", at: 0 } as const;
    expect(wayRefused(english, { ...at, kind: "say-why" })).toMatch(/^Say why/);
    expect(wayRefused(english, { ...at, kind: "no-such-way", ways: ["full-face", "ring"] })).toBe(
      "There is no such way. Choose one of: full-face, ring.",
    );
    expect(wayRefused(english, { ...at, kind: "barred", because: { kind: "no-kit-cut-so" } })).toBe(
      "Not here: no kit of its sheet is cut so.",
    );
    for (const kind of ["does-not-arise", "twice"] as const)
      expect(wayRefused(english, { ...at, kind })).toMatch(/\.$/);
  });
});
