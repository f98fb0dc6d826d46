import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { nearestORings, O_RINGS, ringGasketLoad } from ".";

const INCH = 0.0254;

describe("O-rings", () => {
  it("are the 369 of SAE AS568, each number once", () => {
    expect(O_RINGS).toHaveLength(369);
    expect(new Set(O_RINGS.map((each) => each.dash)).size).toBe(369);
    const count = (from: string, to: string) =>
      O_RINGS.filter((each) => each.dash >= from && each.dash <= to).length;
    expect([
      count("001", "050"),
      count("102", "178"),
      count("201", "284"),
      count("309", "395"),
      count("425", "475"),
      count("901", "932"),
    ]).toEqual([50, 77, 84, 87, 51, 20]);
  });

  // Last of each series, and ones where the step changes: SAE AS568.
  it.each([
    ["010", 0.239, 0.07],
    ["028", 1.364, 0.07],
    ["050", 5.239, 0.07],
    ["110", 0.362, 0.103],
    ["150", 2.862, 0.103],
    ["178", 9.737, 0.103],
    ["222", 1.484, 0.139],
    ["258", 5.984, 0.139],
    ["274", 9.984, 0.139],
    ["284", 17.955, 0.139],
    ["325", 1.475, 0.21],
    ["377", 9.975, 0.21],
    ["395", 25.94, 0.21],
    ["437", 5.975, 0.275],
    ["445", 7.975, 0.275],
    ["475", 25.94, 0.275],
    ["912", 0.924, 0.116],
  ])("%s is %d × %d in", (dash, inside, section) => {
    const ring = O_RINGS.find((each) => each.dash === dash)!;
    expect(ring.inside / INCH).toBeCloseTo(inside, 6);
    expect(ring.section / INCH).toBeCloseTo(section, 6);
  });

  it("grow within their series", () => {
    for (const [index, ring] of O_RINGS.entries()) {
      const next = O_RINGS[index + 1];
      if (next !== undefined && next.section === ring.section && Number(next.dash) === Number(ring.dash) + 1)
        expect(next.inside, next.dash).toBeGreaterThan(ring.inside);
    }
  });

  it("a ring measured within two hundredths is found, up to where the series itself steps finer", () => {
    const lone = O_RINGS.filter(
      (each) => Number(each.dash) < 900 && each.section > 1.7e-3 && each.inside > 3e-3,
    );
    fc.assert(
      fc.property(
        fc.constantFrom(...lone),
        fc.double({ min: -2e-5, max: 2e-5, noNaN: true }),
        (ring, off) => {
          const found = nearestORings(ring.inside + off, ring.section)[0]!;
          expect(Math.abs(found.inside - ring.inside)).toBeLessThan(1e-4);
          expect(Math.abs(found.section - ring.section)).toBeLessThan(1e-4);
        },
      ),
    );
  });
});

describe("ring gaskets", () => {
  it("loads grow with pressure and a narrow ring counts whole (ASME VIII-1 App. 2: b = b0 to 1/4 in)", () => {
    const narrow = ringGasketLoad("soft rubber", 0.1, 0.12, 1e6);
    expect(narrow.width).toBeCloseTo(0.005, 9);
    expect(narrow.diameter).toBeCloseTo(0.11, 9);
    expect(narrow.seating).toBe(0);
    expect(narrow.thrust).toBeCloseTo((Math.PI / 4) * 0.11 ** 2 * 1e6, 6);
    expect(ringGasketLoad("soft rubber", 0.1, 0.12, 2e6).operating).toBeCloseTo(2 * narrow.operating, 6);
  });
});
