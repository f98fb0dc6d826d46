import { describe, expect, it } from "vitest";
import type { JobEvent, TakenWith } from "../formats";
import { accept } from "./accept";
import { Walk, wetJob } from "./job.fixtures";
import type { Step } from "./step";

const MINUTE = 60_000;
const is = (kind: Step["kind"]) => (step: Step) => step.kind === kind;
const at = (walk: Walk, minutes = 0): string => new Date(walk.now + minutes * MINUTE).toISOString();
const gauge = (walk: Walk, more: Partial<TakenWith> = {}): TakenWith => ({
  kind: "gauge",
  name: "Test gauge",
  serial: "QG-1",
  by: "socket",
  at: at(walk),
  read: "0.01 bar g",
  ...more,
});

type ReadingTaken = Extract<JobEvent, { kind: "reading-taken" }>;
const reading = (walk: Walk, more: Partial<ReadingTaken> = {}): JobEvent => ({
  v: 1,
  id: "r",
  at: at(walk),
  by: "Tam Arkle",
  kind: "reading-taken",
  step: walk.job.current!.id,
  what: "zero",
  dimension: "gauge pressure",
  si: 1000,
  typed: "0.01 bar g",
  ...more,
});
const tried = (walk: Walk, event: JobEvent) => {
  const made = accept(walk.job, event, { now: walk.now });
  return made.ok ? made.value : made.error;
};

describe("a figure that an instrument handed over", () => {
  const walk = new Walk(wetJob()).until(is("gauge"));

  it("stands in the log with the instrument, and proves as a typed one does", () => {
    const after = tried(walk, reading(walk, { with: gauge(walk) }));
    expect(after).toMatchObject({
      progress: { readings: [{ with: { serial: "QG-1", read: "0.01 bar g" } }] },
    });
  });

  it.each([
    ["another figure than it showed", { si: 900 }, {}, { path: "/si", kind: "it-showed-otherwise" }],
    [
      "what it showed too long ago",
      {},
      { at: -6 },
      { path: "/with/at", kind: "read-too-long-ago", minutes: 6 },
    ],
    ["what it showed after its entry", {}, { at: 1 }, { path: "/with/at", kind: "read-after-its-entry" }],
    ["no figure at all", {}, { read: "bar g" }, { path: "/si", kind: "it-showed-otherwise" }],
  ] as const)(
    "is not taken: %s",
    (_, entry, { at: minutes, ...taken }: { at?: number; read?: string }, refusal) => {
      const shown = gauge(walk, { ...taken, ...(minutes !== undefined && { at: at(walk, minutes) }) });
      expect(tried(walk, reading(walk, { ...entry, with: shown }))).toMatchObject(refusal);
    },
  );

  it("a temperature beside it is the one its own instrument showed", () => {
    const warm = gauge(walk, { kind: "thermometer", read: "15 °C" });
    const of = (kelvin: number) => tried(walk, reading(walk, { kelvin, kelvin_with: warm }));
    expect(of(288.15)).toMatchObject({ progress: { readings: [{ kelvin: 288.15 }] } });
    expect(of(291)).toMatchObject({ path: "/kelvin", kind: "it-showed-otherwise" });
  });

  it("a simulated instrument proves nothing on a sheet for real equipment", () => {
    const { sheet } = wetJob();
    const there = new Walk(wetJob({ sheet: { ...sheet, demonstration: false } })).until(is("gauge"));
    const shown = gauge(there, { by: "simulated" });
    expect(tried(there, reading(there, { with: shown }))).toMatchObject({
      path: "/with/by",
      kind: "simulated-proves-nothing",
    });
    expect(tried(walk, reading(walk, { with: gauge(walk, { by: "simulated" }) }))).toHaveProperty("progress");
  });
});

describe("a trace", () => {
  const walk = new Walk(wetJob()).until(is("hold"));
  walk.add({ kind: "wait-started", step: walk.job.current!.id, minutes: walk.job.current!.minutes });
  const from = at(walk);
  walk.now += 12 * MINUTE;
  const trace = (
    points: number[][],
    more: Partial<Extract<JobEvent, { kind: "trace-kept" }>> = {},
  ): JobEvent => ({
    v: 1,
    id: "t",
    at: at(walk),
    by: "Tam Arkle",
    kind: "trace-kept",
    step: walk.job.current!.id,
    with: gauge(walk, { at: at(walk, -9) }),
    dimension: "gauge pressure",
    from,
    every_s: 1,
    points,
    ...more,
  });

  it("is kept at the card it belongs to, also where its instrument was lost on the way, and changes no plan", () => {
    const after = tried(
      walk,
      trace([
        [0, 0],
        [60, 500],
        [180, 400],
      ]),
    );
    expect(after).toMatchObject({
      progress: {
        traces: [
          {
            points: [
              [0, 0],
              [60, 500],
              [180, 400],
            ],
          },
        ],
      },
    });
    expect(after).toHaveProperty("plan", walk.job.plan);
  });

  it.each([
    [
      "points that go back in time",
      [
        [0, 0],
        [60, 1],
        [30, 1],
      ],
    ],
    [
      "a first point that is none",
      [
        [5, 0],
        [60, 1],
      ],
    ],
    [
      "points that are still to come",
      [
        [0, 0],
        [1000, 1],
      ],
    ],
  ])("is not taken with %s", (_, points) => {
    expect(tried(walk, trace(points))).toMatchObject({ path: "/points", kind: "points-out-of-order" });
  });

  it("is not taken where nothing is watched", () => {
    const there = new Walk(wetJob()).until(is("shut"));
    const event = trace(
      [
        [0, 0],
        [1, 1],
      ],
      { step: there.job.current!.id, at: at(there), from: at(there, -1) },
    );
    expect(tried(there, event)).toMatchObject({ kind: "nothing-to-trace" });
  });
});
