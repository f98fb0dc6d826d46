import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { LABEL_SHEETS, labelPlace } from "./label-sheet";

describe.each(LABEL_SHEETS.map((sheet) => [sheet.id, sheet] as const))("labels on %s", (_, sheet) => {
  it("lie on the paper, and no two on each other", () => {
    const many = sheet.columns * sheet.rows * 2;
    const places = Array.from({ length: many }, (_, index) => labelPlace(sheet, index));
    const { width_mm, height_mm } = sheet.label;
    for (const { x_mm, y_mm } of places) {
      expect(x_mm).toBeGreaterThanOrEqual(-1e-9);
      expect(y_mm).toBeGreaterThanOrEqual(-1e-9);
      expect(x_mm + width_mm).toBeLessThanOrEqual(sheet.width_mm + 1e-9);
      expect(y_mm + height_mm).toBeLessThanOrEqual(sheet.height_mm + 1e-9);
    }
    for (const [index, a] of places.entries())
      for (const b of places.slice(index + 1))
        expect(
          a.page !== b.page ||
            Math.abs(a.x_mm - b.x_mm) >= width_mm - 1e-9 ||
            Math.abs(a.y_mm - b.y_mm) >= height_mm - 1e-9,
        ).toBe(true);
  });

  it("lie in the middle: as far from left as from right", () => {
    const last = labelPlace(sheet, sheet.columns - 1);
    expect(sheet.width_mm - (last.x_mm + sheet.label.width_mm)).toBeCloseTo(sheet.first.x_mm);
  });
});

it("fill a page before the next is begun", () => {
  fc.assert(
    fc.property(fc.constantFrom(...LABEL_SHEETS), fc.nat(500), (sheet, index) => {
      const here = labelPlace(sheet, index);
      const next = labelPlace(sheet, index + 1);
      expect(next.page - here.page).toBe((index + 1) % (sheet.columns * sheet.rows) === 0 ? 1 : 0);
    }),
  );
});
