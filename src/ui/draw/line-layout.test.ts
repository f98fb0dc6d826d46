import { describe, expect, it } from "vitest";
import type { Line } from "@/core/formats";
import { demoDocument } from "@/core/job/job.fixtures";
import { streetGrid } from "@/core/line";
import { layOutLine } from "./line-layout";

const quay = demoDocument<Line>("lines/north-quay.json");

describe("where a line stands on the drawing", () => {
  it("gives every place and corner room inside its box", () => {
    const { at, box, courses } = layOutLine(quay);
    for (const [x, y] of [
      ...at.values(),
      ...courses.flatMap((course) => [...course.first, ...course.second]),
    ]) {
      expect(x).toBeGreaterThan(box.x);
      expect(x).toBeLessThan(box.x + box.width);
      expect(y).toBeGreaterThan(box.y);
      expect(y).toBeLessThan(box.y + box.height);
    }
  });

  it("parts a link in the middle of its longest leg", () => {
    const line: Line = {
      ...quay,
      nodes: [
        { id: "A", kind: "source", elevation_m: 0, at: [0, 0] },
        { id: "B", kind: "consumer", elevation_m: 0, at: [10, 100] },
      ],
      links: [{ kind: "check", id: "C", from: "A", to: "B", via: [[10, 0]] }],
    };
    expect(layOutLine(line).courses[0]).toMatchObject({ middle: [10, 50], angle: 90 });
  });

  it("shows all of a small line, and of a large one only the cells near the window", () => {
    const small = layOutLine(quay);
    const all = small.near({ x: 0, y: 0, width: 10, height: 10 });
    expect(all.flatMap((cell) => cell.links)).toHaveLength(quay.links.length);
    const town = streetGrid(5_000);
    const large = layOutLine(town);
    const shown = large.near({ x: 2000, y: 2000, width: 800, height: 600 });
    const count = shown.flatMap((cell) => cell.links).length;
    expect(count).toBeGreaterThan(50);
    expect(count).toBeLessThan(town.links.length / 10);
    const whole = large.far(large.box).flatMap((cell) => cell.links);
    expect(new Set(whole).size).toBe(town.links.length);
  });
});
