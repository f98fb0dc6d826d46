import { beforeAll, describe, expect, it } from "vitest";
import { refusalWords, speaker } from "@/words";
import type { JobEvent } from "../formats";
import { accept, type Refusal } from ".";
import { dryJob, Walk, wetJob } from "./job.fixtures";

/** A place in a job where somebody might do the wrong thing, walked to once. */
type Place =
  | "a check by eye"
  | "a figure to measure"
  | "the gauge"
  | "the wait"
  | "the wait, running"
  | "the bolts"
  | "a strip"
  | "the signature";

const PLACES: Readonly<Record<Place, () => Walk>> = {
  "a check by eye": () => new Walk(wetJob()).until((step) => step.id === "check:disc-face"),
  "a figure to measure": () => new Walk(dryJob()).until((step) => step.id === "check:drain-time"),
  "the gauge": () => new Walk(wetJob()).until((step) => step.id === "prove:gauge"),
  "the wait": () => new Walk(wetJob()).until((step) => step.id === "prove:hold"),
  "the wait, running": () =>
    new Walk(wetJob())
      .until((step) => step.id === "prove:hold")
      .add({ kind: "wait-started", step: "prove:hold", minutes: 10 }),
  "the bolts": () => new Walk(wetJob()).until((step) => step.kind === "tighten"),
  "a strip": () => new Walk(wetJob()).until((step) => step.kind === "strip"),
  "the signature": () => new Walk(wetJob()).toEnd(),
};
const walks = new Map<Place, Walk>();
beforeAll(() => {
  for (const [place, walk] of Object.entries(PLACES)) walks.set(place as Place, walk());
});

/** What a wrong event is told at that place; the step is the one that stands there unless another is named. */
function refusal(place: Place, event: Readonly<Record<string, unknown>>): Refusal | "taken" {
  const walk = walks.get(place)!;
  const full = {
    v: 1,
    id: "wrong",
    at: new Date(walk.now).toISOString(),
    by: "Tam Arkle",
    step: walk.job.current?.id,
    ...event,
  } as JobEvent;
  const taken = accept(walk.job, full, { now: walk.now });
  return taken.ok ? "taken" : taken.error;
}

const zero = { kind: "reading-taken", what: "zero", dimension: "gauge pressure", si: 0, typed: "0 bar g" };
const look = { kind: "check-answered", check: "disc-face", answer: "catches" };
const figure = { kind: "check-measured", check: "drain-time", si: 300, typed: "5 min" };

const WRONG: readonly (readonly [Place, Readonly<Record<string, unknown>>, path: string, says: RegExp])[] = [
  ["a check by eye", zero, "/kind", /takes no gauge reading/],
  ["a check by eye", { kind: "step-done" }, "/kind", /not done by ticking/],
  ["a check by eye", { ...look, check: "gland" }, "/check", /belongs to another check/],
  ["a check by eye", { ...look, answer: "so-so" }, "/answer", /^Answer one of: /],
  ["a check by eye", { ...figure, check: "disc-face" }, "/kind", /wants a choice, not a figure/],
  ["a check by eye", { kind: "wait-started", minutes: 10 }, "/kind", /nothing to wait for/],
  ["a check by eye", { kind: "bolt-pulled", pass: 1, bolt: 1 }, "/kind", /No bolts are pulled/],
  ["a check by eye", { kind: "piece-set", piece: 1 }, "/kind", /No stack is counted/],
  ["a check by eye", { kind: "part-compared", part: "disc", found: [] }, "/kind", /No new part is compared/],
  ["a check by eye", { kind: "still-pressure" }, "/kind", /No joint is cracked/],
  ["a check by eye", { kind: "resumed" }, "", /not stopped/],
  ["a check by eye", { kind: "step-done", step: "sign-off" }, "/step", /^First: /],
  [
    "a check by eye",
    { kind: "part-judged", part: "propeller", disposition: "renew", reason: "worn" },
    "/part",
    /no part "propeller"/,
  ],
  ["a figure to measure", { ...figure, check: "depth" }, "/check", /belongs to another check/],
  ["a figure to measure", { ...figure, si: -1 }, "/si", /cannot be below zero/],
  ["a figure to measure", { ...look, check: "drain-time", answer: "go" }, "/kind", /wants a measured figure/],
  ["the gauge", { ...zero, dimension: "time" }, "/dimension", /takes a gauge pressure/],
  ["the gauge", { ...zero, si: 500e5 }, "/si", /above 400 bar/],
  ["the gauge", { ...zero, kelvin: 120 }, "/kelvin", /that cold or hot/],
  ["the gauge", { ...zero, kelvin: 900 }, "/kelvin", /that cold or hot/],
  ["the gauge", { kind: "step-done" }, "/kind", /not done by ticking/],
  ["the gauge", { kind: "step-overridden", reason: "no gauge here" }, "/step", /cannot be skipped/],
  ["the wait", { kind: "step-done" }, "/step", /Start the wait first/],
  ["the wait", { kind: "wait-started", minutes: 1 }, "/minutes", /10 minutes at least/],
  ["the wait, running", { kind: "wait-started", minutes: 10 }, "/step", /runs already/],
  ["the wait, running", { kind: "undone", event: "job-1-e1" }, "/event", /newest entry first/],
  ["the bolts", { kind: "step-done" }, "/step", /every bolt in every pass/],
  ["the bolts", { kind: "bolt-pulled", pass: 1, bolt: 2 }, "/bolt", /Next is bolt 1 of pass 1/],
  ["the bolts", { kind: "bolt-pulled", pass: 2, bolt: 1 }, "/bolt", /Next is bolt 1 of pass 1/],
  ["a strip", { kind: "part-compared", part: "disc", found: [] }, "/kind", /No new part is compared/],
  ["the gauge", { kind: "photo-taken", photo: "p", sha256: "0".repeat(64) }, "/kind", /takes no photograph/],
  ["the signature", { kind: "note-added", text: "One more thing" }, "", /signed off/],
  ["the signature", { kind: "undone", event: "job-1-e90" }, "", /signed off/],
];

describe("what may not follow is refused at its field, with what to do", () => {
  it.each(WRONG)("%s: %j", (place, event, path, says) => {
    const told = refusal(place, event);
    expect(told).toMatchObject({ path });
    if (told !== "taken") expect(refusalWords(speaker(), told, walks.get(place)!.job)).toMatch(says);
  });

  it("an id that is there already is refused, so that nothing is stored twice", () => {
    expect(refusal("the gauge", { ...zero, id: "job-1-e1" })).toMatchObject({ path: "/id" });
  });

  it("what is right at each place is taken", () => {
    expect(refusal("a check by eye", look)).toBe("taken");
    expect(refusal("a figure to measure", figure)).toBe("taken");
    expect(refusal("the gauge", { ...zero, kelvin: 280 })).toBe("taken");
    expect(refusal("the wait", { kind: "wait-started", minutes: 10 })).toBe("taken");
    expect(refusal("the bolts", { kind: "bolt-pulled", pass: 1, bolt: 1 })).toBe("taken");
  });
});

describe("a closure that is said to pass", () => {
  const shut = () => new Walk(wetJob()).until((step) => step.id === "prove:gauge");

  it("is said once", () => {
    const walk = shut().add({ kind: "closure-passes", link: "V-19" });
    expect(() => walk.add({ kind: "closure-passes", link: "V-19" })).toThrow("already known to pass");
  });

  it("is not said any more once the line is coming back", () => {
    const walk = new Walk(wetJob()).until((step) => step.kind === "open");
    walk.doStep(walk.job.current!);
    expect(() => walk.add({ kind: "closure-passes", link: walk.job.shut[0] })).toThrow("being restored");
  });
});

describe("an entry that was made without signal, and comes in after somebody else's", () => {
  const HOUR = 3_600_000;
  /** The walk to a step, with a note of the mate's just now, and the device's entry dated back. */
  const late = (step: string, hours: number, event: Record<string, unknown>) => {
    const walk = new Walk(wetJob()).until((each) => each.id === step);
    walk.now += 20 * HOUR;
    walk.add({ kind: "note-added", text: "Gone for tea", by: "Isla Venn" });
    return walk.add({ step, at: new Date(walk.now - hours * HOUR).toISOString(), ...event });
  };

  it("is taken within a shift: the lock is on, whenever it is said", () => {
    expect(late("shut:V-15", 3, { kind: "step-done", entry: "78" }).job.shut).toContain("V-15");
    expect(() => late("shut:V-15", 15, { kind: "step-done", entry: "78" })).toThrow("/at");
  });

  it("does not open the way for a wait that is dated back", () => {
    const walk = new Walk(wetJob()).until((step) => step.id === "prove:hold");
    walk.now += 2 * HOUR;
    const back = (hours: number) => ({ at: new Date(walk.now - hours * HOUR).toISOString() });
    walk.add({ kind: "note-added", text: "Gone for tea", by: "Isla Venn" });
    walk.add({ kind: "note-added", text: "Written an hour ago", ...back(1) });
    const wait = { kind: "wait-started", step: "prove:hold", minutes: 10 };
    expect(() => walk.add({ ...wait, ...back(1) })).toThrow("dated before");
    expect(walk.add(wait).job.states.get("prove:hold")?.kind).toBe("running");
  });

  it.each([
    ["prove:hold", { kind: "wait-started", minutes: 10 }],
    ["prove:gauge", zero],
  ])("is not taken where time is counted from it: %s", (step, event) => {
    expect(() => late(step, 1, event)).toThrow("dated before");
  });
});

it("with nothing done there is nothing to undo", () => {
  expect(() => new Walk(wetJob()).add({ kind: "undone", event: "none" })).toThrow("nothing to undo");
});
