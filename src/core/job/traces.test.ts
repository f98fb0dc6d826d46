import { describe, expect, it } from "vitest";
import { benchLinks } from "./bench-links";
import { dryJob, Walk, wetJob } from "./job.fixtures";
import { judgeTrace } from "./traces";

const BAR = 1e5;
const MINUTE = 60_000;
const line = (end_s: number, at: (s: number) => number, step_s = 5): number[][] =>
  Array.from({ length: end_s / step_s + 1 }, (_, index) => [index * step_s, at(index * step_s)]);
/** A gauge that trembles by as much as it can show. */
const trembles = (s: number) => 0.01 * BAR * Math.sin(s * 1.7);

describe("what a trace says", () => {
  const standing = new Walk(wetJob()).until(({ kind }) => kind === "hold").job;
  const judged = (points: number[][]) =>
    judgeTrace(
      { dimension: "gauge pressure", from: 0, every_s: 5, points },
      standing.current!,
      standing.inputs,
    );

  it.each([
    ["noise alone holds", (s: number) => trembles(s), "holds"],
    ["a steady rise is let in", (s: number) => trembles(s) + 0.4 * BAR * (s / 1800), "let-in"],
    [
      "a rise that levels off is residue",
      (s: number) => trembles(s) + 0.4 * BAR * (1 - Math.exp(-s / 240)),
      "residue",
    ],
  ] as const)("%s", (_, at, kind) => {
    expect(judged(line(1800, at))).toMatchObject({ kind: "standing", says: { kind } });
  });

  it("by hand: 0.077 bar from −10 to 10 °C is warming alone", () => {
    const points = line(3600, (s) => 0.077 * BAR * (s / 3600), 60).map(([s, si]) => [
      s!,
      si!,
      263.15 + (20 * s!) / 3600,
    ]);
    expect(judged(points)).toMatchObject({ says: { kind: "only-warming" } });
  });

  it("nothing can be said of one reading", () => {
    expect(judged([[0, 5]])).toBeUndefined();
  });

  it("one that lasts over a gap is judged by what was heard", () => {
    const made = line(1800, (s) => 0.4 * BAR * (s / 1800)).filter(([s]) => s! < 500 || s! > 1200);
    expect(judged(made)).toMatchObject({ says: { kind: "let-in" } });
  });

  const bolts = new Walk(dryJob()).until(({ kind }) => kind === "tighten").job;
  it.each([
    [60, "within"],
    [57, "short"],
    [63, "beyond"],
    [90, "over-its-limit"],
  ] as const)("a pull to %i of 60 N·m is %s", (peak, says) => {
    const points = [
      [0, 2],
      [1, peak / 2],
      [2, peak],
      [2.2, 0],
    ];
    expect(
      judgeTrace({ dimension: "torque", from: 0, every_s: 0.2, points }, bolts.current!, bolts.inputs, {
        wanted_Nm: 60,
        limit_Nm: 80,
      }),
    ).toEqual({ kind: "pull", peak_Nm: peak, says });
  });
});

it("the standing test of the bench book opens with the beginning, the middle and the end of a kept trace", () => {
  const walk = new Walk(wetJob()).until(({ kind }) => kind === "hold");
  const hold = walk.job.current!;
  walk.add({ kind: "wait-started", step: hold.id, minutes: hold.minutes });
  const from = new Date(walk.now).toISOString();
  walk.now += hold.minutes * MINUTE;
  walk.add({
    kind: "trace-kept",
    step: hold.id,
    with: {
      kind: "logger",
      name: "Logger",
      serial: "PL-1",
      by: "socket",
      at: new Date(walk.now).toISOString(),
      read: "0.06 bar g",
    },
    dimension: "gauge pressure",
    from,
    every_s: 5,
    points: line(hold.minutes * 60, (s) => 0.06 * BAR * (s / (hold.minutes * 60))),
  });
  walk.add({ kind: "step-done", step: hold.id });
  const [standing] = benchLinks(walk.job, walk.job.current!).filter(
    ({ calculator }) => calculator === "stand-test",
  );
  expect(standing?.start).toMatchObject({ time: `${hold.minutes} min` });
  const bar = (name: string) => Number.parseFloat(standing!.start[name]!);
  expect(bar("middle")).toBeCloseTo(0.03, 2);
  expect(bar("last") - bar("first")).toBeCloseTo(0.06, 2);

  // It is not zero: the proof begins anew, and what was recorded of the wait before is not of the next.
  const { id: step } = walk.job.current!;
  const reading = { kind: "reading-taken", step, what: "zero", dimension: "gauge pressure" };
  walk.add({ ...reading, si: 0.3 * BAR, typed: "0.3 bar g" });
  const [anew] = benchLinks(walk.job, walk.job.current!).filter(
    ({ calculator }) => calculator === "stand-test",
  );
  expect(anew?.start.middle).toBeUndefined();
  expect(anew?.start.last).toBe("0.3 bar g");
});
