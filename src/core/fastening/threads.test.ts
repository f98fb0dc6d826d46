import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  fitsWell,
  grip,
  heightAfterRetap,
  matchThreads,
  meet,
  OPENINGS,
  rivalsOf,
  THREAD_TABLE,
  threadNamed,
} from ".";

const named = (name: string) => THREAD_TABLE.find((each) => each.name === name)!;

describe("threads", () => {
  it.each([
    ["1/4-20 UNC", 6.35, 1.27],
    ["#10-32 UNF", 4.826, 0.79375],
    ["1 1/8-7 UNC", 28.575, 3.6286],
    ["M10", 10, 1.5],
    ["M12 × 1.25", 12, 1.25],
    ["G 1/2", 20.955, 1.8143],
    ["1/2-14 NPT", 21.336, 1.8143],
    ["1 1/8-8 8UN", 28.575, 3.175],
    ["M24 × 1", 24, 1],
    ["2 1/2-7.5 NH, fire hose", 77.9424, 3.3867],
    ["3/4-11.5 NH, garden hose", 26.9875, 2.2087],
  ])("%s is %d mm with %d mm", (name, diameter, pitch) => {
    expect(named(name).diameter * 1000).toBeCloseTo(diameter, 3);
    expect(named(name).pitch * 1000).toBeCloseTo(pitch, 3);
  });

  it("each measured a little under its name, as a used one is, comes out first or beside one with the same dimensions", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...THREAD_TABLE.filter((each) => !each.taper)),
        fc.double({ min: 0.02, max: 0.12, noNaN: true }),
        (thread, worn) => {
          const [first] = matchThreads({
            diameter: thread.diameter - worn * thread.pitch,
            pitch: thread.pitch,
          });
          expect(Math.abs(first!.thread.pitch / thread.pitch - 1)).toBeLessThan(0.03);
          expect(Math.abs(first!.thread.diameter - thread.diameter)).toBeLessThan(
            0.15 * thread.pitch + 0.03 * thread.diameter,
          );
        },
      ),
    );
  });

  it("no name stands twice", () => {
    expect(new Set(THREAD_TABLE.map(({ name }) => name)).size).toBe(THREAD_TABLE.length);
  });

  it("nothing is near what is a fifth off in pitch", () => {
    const off = matchThreads({ diameter: 0.0127, pitch: (0.0254 / 13) * 1.21 });
    expect(off.every(({ thread }) => Math.abs(((0.0254 / 13) * 1.21) / thread.pitch - 1) < 0.05)).toBe(true);
    expect(matchThreads({ diameter: 0.01, pitch: 1.9e-3 })).toEqual([]);
  });

  it("G 1/2 and 1/2 NPT cannot be told apart by diameter and pitch, but by taper and angle", () => {
    const pitch = 0.0254 / 14;
    const open = matchThreads({ diameter: 0.83 * 0.0254, pitch });
    expect([open[0]!.thread, ...rivalsOf(open)].map(({ name }) => name)).toEqual(
      expect.arrayContaining(["1/2-14 NPT", "G 1/2"]),
    );
    const told = matchThreads({ diameter: 0.83 * 0.0254, pitch, taper: true, angle: 60 });
    expect(told[0]!.thread.name).toBe("1/2-14 NPT");
    expect(fitsWell(told[0]!)).toBe(true);
    expect(rivalsOf(told)).toEqual([]);
  });

  it("without a pitch all of one diameter stand in the list", () => {
    const names = matchThreads({ diameter: 0.0119 }).map(({ thread }) => thread.name);
    expect(names).toEqual(expect.arrayContaining(["M12", "M12 × 1.25", "M12 × 1.5"]));
  });

  it("every screw runs into its own nut; one with another pitch never all the way", () => {
    let bound = 0;
    fc.assert(
      fc.property(fc.constantFrom(...THREAD_TABLE), fc.constantFrom(...THREAD_TABLE), (screw, nut) => {
        const own = meet(screw, screw);
        expect(own.kind).toBe("runs");
        expect("bite" in own && own.bite).toBeCloseTo(1, 9);
        const meeting = meet(screw, nut);
        if (meeting.kind === "binds") bound++;
        if (meeting.kind === "runs") expect(nut.pitch).toBeCloseTo(screw.pitch, 9);
        if (meeting.kind === "binds") expect(meeting.turns).toBeGreaterThan(0);
      }),
      { numRuns: 3000 },
    );
    expect(bound).toBeGreaterThan(10);
  });

  it("a sheet's words are found in the tables, and odd ones are not guessed", () => {
    expect(threadNamed("M10")?.pitch).toBeCloseTo(1.5e-3, 9);
    expect(threadNamed("M5 × 16")?.name).toBe("M5");
    expect(threadNamed("G 1 1/4")?.series).toBe("BSP parallel");
    expect(threadNamed("M6, self-cutting")).toBeUndefined();
    expect(threadNamed("odd old thread")).toBeUndefined();
  });

  it("a re-tap to the next pitch of one diameter leaves nothing new; a larger one leaves up to all", () => {
    expect(heightAfterRetap(named("M10"), named("M10 × 1.25"))).toBe(0);
    expect(heightAfterRetap(named("M10"), named("M12"))).toBe(1);
  });
});

describe("spanners", () => {
  it("exact, near, loose, rounding, too small", () => {
    expect(grip(0.019, 0.019).kind).toBe("fits");
    expect(grip(0.0188, 0.01905).kind).toBe("fits");
    expect(grip(0.0183, 0.019).kind).toBe("loose");
    expect(grip(0.0175, 0.019).kind).toBe("rounds it off");
    expect(grip(0.0191, 0.019).kind).toBe("too small");
  });

  it("are listed by size", () => {
    const sizes = OPENINGS.map((each) => each.size);
    expect(sizes).toEqual([...sizes].sort((a, b) => a - b));
    expect(OPENINGS.find((each) => each.name === "1 1/16 in")!.size).toBeCloseTo(0.0269875, 9);
  });
});
