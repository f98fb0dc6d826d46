import { readdirSync } from "node:fs";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Part } from "@/core/formats";
import { librarySheet } from "@/core/job/job.fixtures";
import { type AxisLayout, COLUMN, layAxis, wrap } from "./axis-layout";

const sheets = readdirSync(new URL("../../../library", import.meta.url))
  .filter((name) => name.endsWith(".json"))
  .map((name) => librarySheet(name.replace(".json", "")));
/** Width of a letter of the label's face at its size, px, on the wide side. */
const LETTER = 7.7;

const meets = (a: AxisLayout["rows"][number], b: AxisLayout["rows"][number]) =>
  a.left < b.right && b.left < a.right && a.top < b.foot && b.top < a.foot;

function expectSound(layout: AxisLayout): void {
  for (const [index, row] of layout.rows.entries()) {
    for (const other of layout.rows.slice(index + 1))
      expect(meets(row, other), `${row.name} / ${other.name}`).toBe(false);
    expect(row.name.length * 15 + 15).toBeLessThanOrEqual(row.foot - row.top);
    const wide = Math.max(...row.name.map((line) => line.length)) * LETTER;
    const end = row.anchor === "start" ? row.labelX + wide : row.labelX - wide;
    expect(end).toBeLessThanOrEqual(row.right + 4);
    expect(end).toBeGreaterThanOrEqual(row.left - 4);
    expect(row.foot).toBeLessThanOrEqual(layout.height);
    expect(row.right).toBeLessThanOrEqual(layout.width);
  }
}

describe.each(["narrow", "wide"] as const)("the axis, %s", (form) => {
  it.each(sheets.map((sheet) => [sheet.title, sheet] as const))(
    "%s: rows and labels never meet",
    (_, sheet) => {
      const layout = layAxis(sheet.parts, form);
      expect(layout.rows).toHaveLength(sheet.parts.length);
      expectSound(layout);
    },
  );

  it("holds for any proportions, sides and names", () => {
    const part = fc.record({
      name: fc.stringMatching(/^[A-Za-z][A-Za-z ]{2,38}$/),
      quantity: fc.integer({ min: 1, max: 40 }),
      diameter: fc.integer({ min: 2, max: 400 }),
      height: fc.integer({ min: 1, max: 400 }),
      side: fc.constantFrom(undefined, "left" as const, "right" as const),
    });
    fc.assert(
      fc.property(fc.array(part, { minLength: 1, maxLength: 18 }), (made) => {
        const parts = made.map(
          (each, index): Part => ({
            id: `p${index}`,
            name: each.name.trim(),
            quantity: each.quantity,
            material: "steel",
            shape: {
              kind: "disc",
              diameter_mm: each.diameter,
              height_mm: each.height,
              ...(each.side !== undefined && { side: each.side }),
            },
            ways: [],
          }),
        );
        expectSound(layAxis(parts, form));
      }),
      { numRuns: 60 },
    );
  });
});

it("is to scale: a part twice as wide is drawn twice as wide, in every column", () => {
  const layout = layAxis(sheets[0]!.parts, "wide");
  const widest = Math.max(
    ...sheets[0]!.parts.map((part) => Math.max(part.shape.diameter_mm, part.fastener?.circle_mm ?? 0)),
  );
  expect(layout.scale * widest).toBeCloseTo(124, 6);
  expect(layout.width % COLUMN).toBe(0);
});

it("a count stays with its sign, and a word that is too long is cut", () => {
  expect(wrap("Spool gaskets ×\u00a02")).toEqual(["Spool gaskets", "×\u00a02"]);
  expect(wrap("Thermostaticallycontrolled")).toEqual(["Thermostatical-", "lycontrolled"]);
});

it("labels of a left branch stand away from the axis, so that the line that joins it meets none", () => {
  const head = sheets.find((sheet) => sheet.id === "ottermouth-ironbrook-30")!;
  const { rows } = layAxis(head.parts, "wide");
  const main = rows.find((row) => row.part.stays)!.x;
  for (const row of rows.filter((each) => each.part.shape.side === "left")) {
    expect(row.anchor).toBe("end");
    expect(row.labelX).toBeLessThan(row.x);
    expect(row.x).toBeLessThan(main);
  }
});
