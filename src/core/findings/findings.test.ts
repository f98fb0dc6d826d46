import { describe, expect, it } from "vitest";
import type { Check } from "../formats";
import { librarySheet } from "../job/job.fixtures";
import { type Finding, judge, renewals } from ".";

const sheet = librarySheet("brae-quaywall-4");
const check = (id: string): Check => sheet.checks.find((each) => each.id === id)!;
const mm = (value: number) => value / 1000;

const look = {
  id: "lip",
  phase: "inspect" as const,
  ask: "How is the lip?",
  do: "Look at the lip.",
  why: "It seals.",
  minutes: 1,
  tools: [],
  how: [],
};
const trick: Check = {
  kind: "trick",
  ...look,
  go: { label: "Goes through", means: "reuse", says: "It goes." },
  noGo: { label: "Sticks", means: "renew", says: "It sticks." },
};

describe("what an answer means", () => {
  it.each([
    [8.0, "stop"],
    [8.4, "reuse"],
    [8.8, "reuse"],
    [9.3, "reuse"],
    [9.5, "stop"],
  ])("a collar of %s mm: %s", (value, means) => {
    expect(
      judge(check("collar-thickness"), { kind: "measured", si: mm(value), typed: `${value} mm` }, mm)?.means,
    ).toBe(means);
  });

  it("of the wrong kind means nothing", () => {
    expect(judge(check("disc-face"), { kind: "measured", si: 1, typed: "1" }, mm)).toBeUndefined();
    expect(judge(check("stem-thread"), { kind: "said", answer: "perhaps" }, mm)).toBeUndefined();
    expect(judge(check("collar-thickness"), { kind: "said", answer: "thin" }, mm)).toBeUndefined();
    expect(judge(trick, { kind: "measured", si: 1, typed: "1" }, mm)).toBeUndefined();
    expect(judge(trick, { kind: "said", answer: "perhaps" }, mm)).toBeUndefined();
  });

  it("chosen is the option's, with all that it brings with it", () => {
    const of: Check = {
      kind: "choice",
      ...look,
      part: "disc",
      options: [
        { id: "sound", label: "Sound", means: "reuse", says: "It goes back." },
        { id: "cut", label: "Cut", means: "renew", says: "Cut.", alsoRenew: ["seat"], reach: ["nozzle"] },
      ],
    };
    expect(judge(of, { kind: "said", answer: "cut" }, mm)).toEqual({
      check: "lip",
      part: "disc",
      given: "cut",
      answer: "Cut",
      means: "renew",
      says: "Cut.",
      alsoRenew: ["seat"],
      reach: ["nozzle"],
    });
    expect(judge(of, { kind: "said", answer: "sound" }, mm)).toMatchObject({
      answer: "Sound",
      means: "reuse",
      alsoRenew: [],
      reach: [],
    });
    expect(judge(of, { kind: "said", answer: "gone" }, mm)).toBeUndefined();
  });

  it("tried is what that side of the trick says, and of no part where the sheet names none", () => {
    const go = judge(trick, { kind: "said", answer: "go" }, mm);
    expect(go).toMatchObject({ answer: "Goes through", means: "reuse" });
    expect(go).not.toHaveProperty("part");
    expect(judge(trick, { kind: "said", answer: "no-go" }, mm)).toMatchObject({
      answer: "Sticks",
      means: "renew",
    });
  });

  it.each([
    [{}, 5, "within"],
    [{ low: 3 }, 2, "below"],
    [{ low: 3 }, 3, "within"],
    [{ low: 3 }, 9, "within"],
    [{ high: 7 }, 8, "above"],
    [{ high: 7 }, 7, "within"],
    [{ high: 7 }, 1, "within"],
  ])("measured against %j: %d mm is %s", (band, value, says) => {
    const of: Check = {
      kind: "measure",
      ...look,
      what: "depth",
      dimension: "length",
      unit: "mm",
      ...band,
      within: { means: "reuse", says: "within" },
      below: { means: "renew", says: "below" },
      above: { means: "renew", says: "above" },
    };
    expect(judge(of, { kind: "measured", si: mm(value), typed: `${value} mm` }, mm)).toMatchObject({
      answer: `${value} mm`,
      says,
    });
  });
});

it("what the job is for goes in new, unless a finding has a stronger word on it", () => {
  const due = new Map([
    ["disc", "Due: renew the disc"],
    ["stem", "Due: renew the disc"],
  ]);
  const found = {
    check: "c",
    part: "disc",
    answer: "x",
    means: "renew",
    says: "Cut",
    alsoRenew: [],
    reach: [],
  };
  const made = renewals(sheet, ["disc", "stem"], new Map(), [found as never], "on-condition", new Map(), due);
  expect(made).toEqual([
    { part: "disc", why: "Cut", because: "found" },
    { part: "stem", why: "Due: renew the disc", because: "due" },
  ]);
});

describe("policies", () => {
  const removed = ["stem-ring", "disc", "nozzle"];
  const by = (policy: Parameters<typeof renewals>[4]) =>
    renewals(sheet, removed, new Map(), [], policy, new Map()).map((each) => each.part);
  it("differ in what they add", () => {
    expect(by("on-condition")).toEqual([]);
    expect(by("what-was-disturbed")).toEqual(["stem-ring", "disc"]);
    expect(by("everything-open")).toEqual(["stem-ring", "disc"]);
  });

  it("add only what came off, is soft or all of it, and can be had", () => {
    const soft = sheet.parts.filter((part) => part.soft === true).map((part) => part.id);
    const all = sheet.parts.map((part) => part.id);
    const had = new Set([
      ...sheet.singles,
      ...sheet.kits.flatMap((kit) => kit.contents.map((item) => item.part)),
    ]);
    const made = (policy: Parameters<typeof renewals>[4]) =>
      renewals(sheet, [...all, "not-of-this-sheet"], new Map(), [], policy, new Map());
    expect(made("what-was-disturbed").map((each) => each.part)).toEqual(soft.filter((id) => had.has(id)));
    expect(made("everything-open").map((each) => each.part)).toEqual(all.filter((id) => had.has(id)));
    expect(made("what-was-disturbed")[0]).toMatchObject({
      because: "policy",
      policy: "what-was-disturbed",
    });
    expect(made("everything-open")[0]).toMatchObject({
      because: "policy",
      policy: "everything-open",
    });
  });
});

describe("what is renewed", () => {
  const found = (more: Partial<Finding>): Finding => ({
    check: "lip",
    given: "cut",
    answer: "Cut",
    means: "renew",
    says: "Cut.",
    alsoRenew: [],
    reach: [],
    ...more,
  });
  const of = (findings: readonly Finding[], spoiled = {}, chosen = {}) =>
    renewals(
      sheet,
      [],
      new Map(Object.entries(spoiled)),
      findings,
      "on-condition",
      new Map(Object.entries(chosen)),
    );

  it("is what a finding condemns, and what goes with it", () => {
    expect(of([found({ part: "disc", alsoRenew: ["nozzle"] })])).toEqual([
      { part: "disc", why: "Cut.", because: "found" },
      { part: "nozzle", why: "Cut.", because: "found" },
    ]);
    expect(of([found({ means: "reuse", part: "disc" }), found({})])).toEqual([]);
    expect(
      of([found({ means: "reuse", part: "disc", alsoRenew: ["nozzle"] })]).map(({ part }) => part),
    ).toEqual(["nozzle"]);
  });

  it("is what the strip spoils and what was chosen; the first reason counts", () => {
    expect(of([], { gasket: "Torn by the strip." }, { washer: "As it is open." })).toEqual([
      { part: "gasket", why: "Torn by the strip.", because: "spoiled" },
      { part: "washer", why: "As it is open.", because: "chosen" },
    ]);
    expect(of([found({ part: "gasket" })], { gasket: "Torn." }, { gasket: "Chosen." })).toEqual([
      { part: "gasket", why: "Cut.", because: "found" },
    ]);
  });
});
