import * as fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { TakenWith } from "../formats";
import { gapsOf, thinned } from "../job";
import { asKept, type Recording, recordOn } from ".";

const taken: TakenWith = {
  kind: "logger",
  name: "Pressure logger",
  serial: "PL-1",
  by: "socket",
  at: "2026-06-01T09:00:00Z",
  read: "0.1 bar g",
};
const about = { dimension: "gauge pressure", every_s: 2, taken, since: 1000, kelvin: undefined } as const;
const readingAt = (at: number, si: number | undefined) => ({ n: at, at, si, value: 0, unit: "bar g" });
const recorded = (all: readonly (readonly [number, number | undefined])[]): Recording | undefined =>
  all.reduce<Recording | undefined>((made, [at, si]) => recordOn(made, readingAt(at, si), about), undefined);

describe("a recording", () => {
  it("begins with its first reading, and takes each once, by its own time", () => {
    const made = recorded([
      [0, 5],
      [1000, 10],
      [3000, 12],
      [3000, 12],
      [5000, undefined],
      [7000, 13],
    ]);
    expect(made?.trace).toMatchObject({
      from: 1000,
      points: [
        [0, 10],
        [2, 12],
        [6, 13],
      ],
    });
  });

  it("keeps the temperature of the section with each point", () => {
    const made = recordOn(undefined, readingAt(1000, 10), { ...about, kelvin: 270 });
    expect(made?.trace.points).toEqual([[0, 10, 270]]);
  });

  it("of a wrench is the pull in hand, from where it was slack", () => {
    const torque = { ...about, dimension: "torque" as const };
    const shows = [0, 12, 30, 44, 0, 0, 8, 20];
    const made = shows.reduce<Recording | undefined>(
      (before, si, index) => recordOn(before, readingAt(1000 + index * 200, si), torque),
      undefined,
    );
    expect(made?.trace.points.map(([, si]) => si)).toEqual([8, 20]);
  });

  it("what nobody heard is a gap; of a trace that was thinned, too", () => {
    const points = Array.from({ length: 900 }, (_, at) => [at * 2 + (at > 400 ? 300 : 0), 1] as const);
    const trace = { dimension: "gauge pressure" as const, from: 0, every_s: 2, points };
    expect(gapsOf(trace)).toEqual([{ from_s: 800, to_s: 1102 }]);
    expect(
      gapsOf(asKept({ trace, with: taken }).points.length > 0 ? asKept({ trace, with: taken }) : trace),
    ).toHaveLength(1);
  });

  it("thinned it keeps its first, its last, its highest and its lowest, in order", () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -100, max: 100, noNaN: true }), { minLength: 2, maxLength: 400 }),
        (values) => {
          const points = values.map((si, at) => [at, si] as const);
          const kept = thinned(points, 40);
          const of = (all: readonly (readonly [number, number])[], pick: (...all: number[]) => number) =>
            pick(...all.map(([, si]) => si));
          return (
            kept.length <= 40 &&
            kept[0] === points[0] &&
            kept.at(-1) === points.at(-1) &&
            of(kept, Math.max) === of(points, Math.max) &&
            of(kept, Math.min) === of(points, Math.min) &&
            kept.every(([s], at) => at === 0 || s > kept[at - 1]![0])
          );
        },
      ),
    );
  });
});
