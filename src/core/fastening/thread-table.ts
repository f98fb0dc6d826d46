const INCH = 0.0254;

/** A thread by its standard: outside (major) diameter and pitch, m. Taper threads: at the large end. */
export interface Thread {
  readonly name: string;
  readonly series: string;
  readonly diameter: number;
  readonly pitch: number;
  readonly taper: boolean;
  /** Between the flanks, degrees. */
  readonly angle: 55 | 60;
}

/** Nominal diameters of inch threads; numbered sizes are 0.060 in and 0.013 in more for each number (ASME B1.1). */
const inchSize = (size: string): number =>
  size.startsWith("#")
    ? 0.06 + 0.013 * Number(size.slice(1))
    : size.split(" ").reduce((sum, part) => {
        const [over, under = "1"] = part.split("/");
        return sum + Number(over) / Number(under);
      }, 0);

const inchSeries = (series: string, sizes: string): Thread[] =>
  sizes.split(", ").map((each) => {
    const [, size, perInch] = /^(.*)-([\d.]+)$/.exec(each)!;
    return {
      name: `${size}-${perInch} ${series}`,
      series,
      diameter: inchSize(size!) * INCH,
      pitch: INCH / Number(perInch),
      taper: false,
      angle: 60,
    };
  });

const metricSeries = (series: string, sizes: string): Thread[] =>
  sizes.split(", ").map((each) => {
    const [diameter, pitch] = each.split("x").map(Number);
    return {
      name: series === "ISO coarse" ? `M${diameter}` : `M${diameter} × ${pitch}`,
      series,
      diameter: diameter! * 1e-3,
      pitch: pitch! * 1e-3,
      taper: false,
      angle: 60,
    };
  });

/** Threads by size: outside diameter in the unit, and threads to the inch. */
const listed = (
  of: Pick<Thread, "series" | "taper" | "angle">,
  unit: number,
  named: (size: string, perInch: number) => string,
  rows: Readonly<Record<string, readonly [number, number]>>,
): Thread[] =>
  Object.entries(rows)
    .map(([size, [diameter, perInch]]) => ({
      ...of,
      name: named(size, perInch),
      diameter: diameter * unit,
      pitch: INCH / perInch,
    }))
    // An object sorts its whole numbers to the front.
    .sort((a, b) => a.diameter - b.diameter);

const BRITISH_PIPE = {
  "1/8": [9.728, 28],
  "1/4": [13.157, 19],
  "3/8": [16.662, 19],
  "1/2": [20.955, 14],
  "3/4": [26.441, 14],
  "1": [33.249, 11],
  "1 1/4": [41.91, 11],
  "1 1/2": [47.803, 11],
  "2": [59.614, 11],
  "2 1/2": [75.184, 11],
  "3": [87.884, 11],
  "4": [113.03, 11],
} as const;

/** Sizes of the eight-thread series above 1 in, where UNC goes on coarser (ASME B1.1). */
const EIGHT =
  "1 1/8, 1 1/4, 1 3/8, 1 1/2, 1 5/8, 1 3/4, 1 7/8, 2, 2 1/8, 2 1/4, 2 1/2, 2 3/4, 3, 3 1/4, 3 1/2, 3 3/4, 4"
    .split(", ")
    .map((size) => `${size}-8`)
    .join(", ");

/**
 * UNC, UNF, UNEF, 8UN: ASME B1.1. Metric: ISO 261. Pipe: ISO 228-1 (G), ISO 7-1 (R), ASME B1.20.1 (NPT). Hose: fire hose
 * NFPA 1963 (NH), garden hose and hose on pipe thread ASME B1.20.7 (NH, NPSH); outside diameters at their greatest.
 */
export const THREAD_TABLE: readonly Thread[] = [
  ...inchSeries(
    "UNC",
    "#1-64, #2-56, #3-48, #4-40, #5-40, #6-32, #8-32, #10-24, #12-24, 1/4-20, 5/16-18, 3/8-16, 7/16-14, 1/2-13, 9/16-12, 5/8-11, 3/4-10, 7/8-9, 1-8, 1 1/8-7, 1 1/4-7, 1 3/8-6, 1 1/2-6, 1 3/4-5, 2-4.5, 2 1/4-4.5, 2 1/2-4, 2 3/4-4, 3-4, 3 1/4-4, 3 1/2-4, 3 3/4-4, 4-4",
  ),
  ...inchSeries(
    "UNF",
    "#0-80, #1-72, #2-64, #3-56, #4-48, #5-44, #6-40, #8-36, #10-32, #12-28, 1/4-28, 5/16-24, 3/8-24, 7/16-20, 1/2-20, 9/16-18, 5/8-18, 3/4-16, 7/8-14, 1-12, 1 1/8-12, 1 1/4-12, 1 3/8-12, 1 1/2-12",
  ),
  ...inchSeries(
    "UNEF",
    "#12-32, 1/4-32, 5/16-32, 3/8-32, 7/16-28, 1/2-28, 9/16-24, 5/8-24, 11/16-24, 3/4-20, 13/16-20, 7/8-20, 15/16-20, 1-20, 1 1/16-18, 1 1/8-18, 1 3/16-18, 1 1/4-18, 1 5/16-18, 1 3/8-18, 1 7/16-18, 1 1/2-18, 1 9/16-18, 1 5/8-18, 1 11/16-18",
  ),
  ...inchSeries("8UN", EIGHT),
  ...metricSeries(
    "ISO coarse",
    "1.6x0.35, 2x0.4, 2.5x0.45, 3x0.5, 4x0.7, 5x0.8, 6x1, 7x1, 8x1.25, 10x1.5, 12x1.75, 14x2, 16x2, 18x2.5, 20x2.5, 22x2.5, 24x3, 27x3, 30x3.5, 33x3.5, 36x4, 39x4, 42x4.5, 45x4.5, 48x5, 52x5, 56x5.5, 60x5.5, 64x6",
  ),
  ...metricSeries(
    "ISO fine",
    "1.6x0.2, 2x0.25, 2.5x0.35, 3x0.35, 4x0.5, 5x0.5, 6x0.75, 8x0.75, 8x1, 10x0.75, 10x1, 10x1.25, 12x1, 12x1.25, 12x1.5, 14x1, 14x1.25, 14x1.5, 16x1, 16x1.5, 18x1, 18x1.5, 18x2, 20x1, 20x1.5, 20x2, 22x1, 22x1.5, 22x2, 24x1, 24x1.5, 24x2, 25x1.5, 26x1.5, 27x1, 27x1.5, 27x2, 28x1.5, 30x1, 30x1.5, 30x2, 30x3, 32x1.5, 33x1.5, 33x2, 33x3, 35x1.5, 36x1.5, 36x2, 36x3, 38x1.5, 39x1.5, 39x2, 39x3, 40x1.5, 42x1.5, 42x2, 42x3, 42x4, 45x1.5, 45x2, 45x3, 45x4, 48x1.5, 48x2, 48x3, 48x4, 50x1.5, 52x1.5, 52x2, 52x3, 52x4, 56x1.5, 56x2, 56x3, 56x4, 60x1.5, 60x2, 60x3, 60x4, 64x1.5, 64x2, 64x3, 64x4",
  ),
  ...listed({ series: "BSP parallel", taper: false, angle: 55 }, 1e-3, (size) => `G ${size}`, BRITISH_PIPE),
  ...listed({ series: "BSP taper", taper: true, angle: 55 }, 1e-3, (size) => `R ${size}`, BRITISH_PIPE),
  ...listed({ series: "NPT", taper: true, angle: 60 }, INCH, (size, perInch) => `${size}-${perInch} NPT`, {
    "1/16": [0.3125, 27],
    "1/8": [0.405, 27],
    "1/4": [0.54, 18],
    "3/8": [0.675, 18],
    "1/2": [0.84, 14],
    "3/4": [1.05, 14],
    "1": [1.315, 11.5],
    "1 1/4": [1.66, 11.5],
    "1 1/2": [1.9, 11.5],
    "2": [2.375, 11.5],
    "2 1/2": [2.875, 8],
    "3": [3.5, 8],
    "4": [4.5, 8],
  }),
  ...listed(
    { series: "fire hose", taper: false, angle: 60 },
    INCH,
    (size, perInch) => `${size}-${perInch} NH, fire hose`,
    {
      "1": [1.375, 8],
      "1 1/2": [1.99, 9],
      "2 1/2": [3.0686, 7.5],
      "3": [3.6239, 6],
      "3 1/2": [4.2439, 6],
      "4": [5.0109, 4],
      "4 1/2": [5.7609, 4],
      "5": [6.26, 4],
      "6": [7.025, 4],
    },
  ),
  ...listed(
    { series: "garden hose", taper: false, angle: 60 },
    INCH,
    (size, perInch) => `${size}-${perInch} NH, garden hose`,
    { "3/4": [1.0625, 11.5] },
  ),
  ...listed(
    { series: "hose on pipe", taper: false, angle: 60 },
    INCH,
    (size, perInch) => `${size}-${perInch} NPSH`,
    {
      "1/2": [0.8248, 14],
      "3/4": [1.0353, 14],
      "1": [1.2951, 11.5],
      "1 1/4": [1.6399, 11.5],
      "1 1/2": [1.8788, 11.5],
      "2": [2.3528, 11.5],
    },
  ),
];
