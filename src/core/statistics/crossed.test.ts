import { describe, expect, it } from "vitest";
import { seeded } from "../seeded";
import { type Crossed, crossedEffects, type Spread } from "./crossed";

const spread: Spread = { all: 0.2, rows: 0.25, columns: 0.15, each: 0.3, worth: 1e9 };

describe("effects of rows and columns", () => {
  it("are nothing where nothing was seen, and the next is as wide as all that is believed", () => {
    const { next, row, column } = crossedEffects([], spread);
    expect([row("a"), column("b")]).toEqual([0, 0]);
    const { middle, deviation } = next("a", undefined);
    expect(middle).toBe(0);
    expect(deviation).toBeCloseTo(Math.hypot(0.2, 0.25, 0.15, 0.3), 12);
  });

  it("of one observation are those of two normals: each takes its share of the variance", () => {
    const effects = crossedEffects([{ row: "a", column: "b", value: 1 }], spread);
    const all = 0.2 ** 2 + 0.25 ** 2 + 0.15 ** 2 + 0.3 ** 2;
    expect(effects.row("a")).toBeCloseTo((0.2 ** 2 + 0.25 ** 2) / all, 6);
    expect(effects.column("b")).toBeCloseTo(0.15 ** 2 / all, 6);
    const known = 0.2 ** 2 + 0.25 ** 2 + 0.15 ** 2;
    expect(effects.next("a", "b").deviation).toBeCloseTo(Math.sqrt(known - known ** 2 / all + 0.3 ** 2), 6);
  });

  it("find what many observations were made of, and how far one lies from the next", () => {
    const random = seeded(3);
    const normal = () => Array.from({ length: 12 }, random).reduce((a, b) => a + b, -6);
    const rows = { hydrant: 0.3, trap: -0.2 };
    const columns = { north: 0.15, south: -0.15 };
    const seen = Object.entries(rows).flatMap(([row, r]) =>
      Object.entries(columns).flatMap(([column, c]) =>
        Array.from({ length: 200 }, (): Crossed => ({ row, column, value: r + c + 0.1 * normal() })),
      ),
    );
    const { next } = crossedEffects(seen, { ...spread, worth: 10 });
    for (const [row, r] of Object.entries(rows))
      for (const [column, c] of Object.entries(columns)) {
        expect(next(row, column).middle).toBeCloseTo(r + c, 1);
        expect(next(row, column).deviation).toBeCloseTo(0.1, 1);
      }
  });
});
