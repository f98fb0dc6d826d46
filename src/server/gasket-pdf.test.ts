import { inflateSync } from "node:zlib";
import { describe, expect, it } from "vitest";
import { gasketPdf } from "./bench/gasket-pdf";

/** The page's drawing operators, unpacked, and its paper in mm. */
async function drawn(outline: Parameters<typeof gasketPdf>[0]) {
  const bytes = Buffer.from(await gasketPdf(outline));
  const text = bytes.toString("latin1");
  const paper = /MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/.exec(text)!;
  const [from] = [text.indexOf("stream\n") + 7];
  const operators = inflateSync(bytes.subarray(from, text.indexOf("endstream", from))).toString("latin1");
  const mm = (points: string) => Math.round((Number(points) * 25.4) / 72);
  return { operators, paper: [mm(paper[1]!), mm(paper[2]!)], pages: text.match(/\/Type \/Page\b/g)?.length };
}

describe("gasket template", () => {
  it("is drawn in millimetres: the rim of a 150 mm gasket begins 75 mm left of its middle", async () => {
    const { operators, paper, pages } = await drawn({
      inner_mm: 62,
      outer_mm: 150,
      hole_mm: 14,
      holes: [{ x_mm: 0, y_mm: 60 }],
    });
    expect([paper, pages]).toEqual([[210, 297], 1]);
    expect(operators).toMatch(/2\.8346\d* 0 0 2\.8346\d* 0 0 cm/);
    // Middle of A4 is 105 mm; a margin of 10 mm above the rim.
    expect(operators).toContain("30 85 m");
    expect(operators).toContain("74 85 m");
    expect(operators).toContain("98 25 m");
  });

  it("takes the smallest paper that holds it, or one of its own size", async () => {
    expect((await drawn({ inner_mm: 100, outer_mm: 191, holes: [] })).paper).toEqual([297, 420]);
    expect((await drawn({ inner_mm: 300, outer_mm: 600, holes: [] })).paper).toEqual([620, 644]);
  });
});
