const INCH = 0.0254;

/** A thread by its standard: outside (major) diameter and pitch, m. Taper threads: at the large end. */
export interface Thread {
  readonly name: string;
  readonly series: string;
  readonly diameter: number;
  readonly pitch: number;
  readonly taper: boolean;
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
    };
  });

/** Pipe threads: outside diameter in mm (ISO 7-1, ISO 228-1) or in (ASME B1.20.1), and threads to the inch. */
const pipeSeries = (
  series: string,
  letter: string,
  unit: number,
  taper: boolean,
  rows: Readonly<Record<string, readonly [number, number]>>,
): Thread[] =>
  Object.entries(rows).map(([size, [diameter, perInch]]) => ({
    name: `${letter}${size}${letter === "" ? `-${perInch} NPT` : ""}`,
    series,
    diameter: diameter * unit,
    pitch: INCH / perInch,
    taper,
  }));

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

/** UNC, UNF, UNEF: ASME B1.1. Metric: ISO 261. Pipe: ISO 228-1 (G), ISO 7-1 (R), ASME B1.20.1 (NPT). */
export const THREAD_TABLE: readonly Thread[] = [
  ...inchSeries(
    "UNC",
    "#1-64, #2-56, #3-48, #4-40, #5-40, #6-32, #8-32, #10-24, #12-24, 1/4-20, 5/16-18, 3/8-16, 7/16-14, 1/2-13, 9/16-12, 5/8-11, 3/4-10, 7/8-9, 1-8, 1 1/8-7, 1 1/4-7, 1 3/8-6, 1 1/2-6, 1 3/4-5, 2-4.5",
  ),
  ...inchSeries(
    "UNF",
    "#0-80, #1-72, #2-64, #3-56, #4-48, #5-44, #6-40, #8-36, #10-32, #12-28, 1/4-28, 5/16-24, 3/8-24, 7/16-20, 1/2-20, 9/16-18, 5/8-18, 3/4-16, 7/8-14, 1-12, 1 1/8-12, 1 1/4-12, 1 3/8-12, 1 1/2-12",
  ),
  ...inchSeries(
    "UNEF",
    "#12-32, 1/4-32, 5/16-32, 3/8-32, 7/16-28, 1/2-28, 9/16-24, 5/8-24, 11/16-24, 3/4-20, 13/16-20, 7/8-20, 15/16-20, 1-20, 1 1/16-18, 1 1/8-18, 1 3/16-18, 1 1/4-18, 1 5/16-18, 1 3/8-18, 1 7/16-18, 1 1/2-18, 1 9/16-18, 1 5/8-18, 1 11/16-18",
  ),
  ...metricSeries(
    "ISO coarse",
    "1.6x0.35, 2x0.4, 2.5x0.45, 3x0.5, 4x0.7, 5x0.8, 6x1, 8x1.25, 10x1.5, 12x1.75, 14x2, 16x2, 18x2.5, 20x2.5, 22x2.5, 24x3, 27x3, 30x3.5, 33x3.5, 36x4, 39x4, 42x4.5, 45x4.5, 48x5",
  ),
  ...metricSeries(
    "ISO fine",
    "8x1, 10x1, 10x1.25, 12x1.25, 12x1.5, 14x1.5, 16x1.5, 18x1.5, 18x2, 20x1.5, 20x2, 22x1.5, 22x2, 24x2, 27x2, 30x2, 33x2, 36x3, 39x3",
  ),
  ...pipeSeries("BSP parallel", "G ", 1e-3, false, BRITISH_PIPE),
  ...pipeSeries("BSP taper", "R ", 1e-3, true, BRITISH_PIPE),
  ...pipeSeries("NPT", "", INCH, true, {
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
];

/** Height of a 60° thread's flank that carries, 5/8 of H, as a share of the pitch (ISO 68-1). */
const FLANK = 0.5413;

export interface ThreadMatch {
  readonly thread: Thread;
  /** How far the measured diameter is under the nominal one, m; over it when negative. */
  readonly under: number;
  /** How far the pitch is off, as a share. */
  readonly pitchOff: number;
  readonly score: number;
}

/** A used outside thread measures a little under its name: its crest is truncated and worn. As a share of the pitch. */
const USUAL_UNDER = 0.08;

/**
 * Threads that a measured outside diameter and pitch may be, likeliest first. The diameter may be under the nominal
 * one by wear, hardly ever over it; the pitch hardly varies at all.
 */
export function matchThreads(diameter: number, pitch: number): ThreadMatch[] {
  return THREAD_TABLE.map((thread) => {
    const under = thread.diameter - diameter;
    const pitchOff = pitch / thread.pitch - 1;
    // A taper thread is measured somewhere along its cone (1 in 16), so it may be under by more.
    const slack = thread.taper ? 0.03 * thread.diameter : 0;
    const off = Math.max(0, Math.abs(under - USUAL_UNDER * thread.pitch - slack / 2) - slack / 2);
    const over = under < -0.02e-3 ? 3 : 1;
    return { thread, under, pitchOff, score: (over * off) / thread.pitch + Math.abs(pitchOff) * 12 };
  }).sort((a, b) => a.score - b.score);
}

/** Share of its full height that a next size's thread would have if the old one's grooves stay in the hole. */
export function heightAfterRetap(old: Thread, next: Thread): number {
  const fresh = (next.diameter - old.diameter) / 2;
  return Math.max(0, Math.min(1, fresh / (FLANK * next.pitch)));
}

/** The thread a sheet names, "M10", "M5 × 16" (a length, not a pitch) or "G 1/2"; nothing when it is none of the tables. */
export function threadNamed(words: string): Thread | undefined {
  const exact = THREAD_TABLE.find((each) => each.name === words.trim());
  if (exact !== undefined) return exact;
  const coarse = /^M\d+(?=\b)/.exec(words.trim())?.[0];
  return coarse === undefined || /odd|cutting/.test(words)
    ? undefined
    : THREAD_TABLE.find((each) => each.name === coarse);
}
