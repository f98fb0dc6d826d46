import { describe, expect, it } from "vitest";
import { fitNames } from "./fit-names";

const mark = (name: string, x: number, y: number, valves = 1) => ({ mark: { name, valves }, x, y });
const sides = (...marks: ReturnType<typeof mark>[]) => fitNames(marks).map(({ side }) => side);

describe("names on a map", () => {
  it("stand to the right of their plate where there is room", () => {
    expect(sides(mark("Lido", 0, 0), mark("Quay", 0, 200))).toEqual(["right", "right"]);
  });

  it("go to another side where a plate is in the way", () => {
    expect(sides(mark("Lido", 0, 0), mark("Quay", 60, 0))).toEqual(["left", "right"]);
  });

  it("go to the other side rather than over the edge, where there is one", () => {
    const marks = [mark("Old school", 440, 100), mark("Lido", 20, 100)];
    expect(fitNames(marks, 460).map(({ side }) => side)).toEqual(["left", "right"]);
    expect(fitNames(marks).map(({ side }) => side)).toEqual(["right", "right"]);
  });

  it("keep clear of a plate that says more than a figure", () => {
    const long = { ...mark("SQ-H10", 0, 0), mark: { name: "SQ-H10", valves: 3, label: "1 · 2 · 3" } };
    // To its right the next plate is as near as a short one would leave room for.
    expect(sides(long, mark("Quay", 110, 0))).not.toContain(undefined);
    expect(sides(mark("SQ-H10", 0, 0), mark("Quay", 100, 0))[0]).toBe("right");
    expect(sides(long, mark("Quay", 100, 0))[0]).toBe("left");
  });

  it("leave a name out rather than cover another; the place with most valves keeps its own", () => {
    const crowd = Array.from({ length: 9 }, (_, at) =>
      mark("A very long name", (at % 3) * 42, Math.floor(at / 3) * 34, at),
    );
    const found = sides(...crowd);
    expect(found.filter((side) => side === undefined).length).toBeGreaterThan(0);
    expect(found.at(-1)).toBeDefined();
  });
});
