import type { Case } from "../formats";

/** Cases in which something was given about so much chance, and how often it was that. */
export interface CalibrationBand {
  readonly from: number;
  readonly to: number;
  /** How often a cause was given a chance within the band. */
  readonly given: number;
  /** Mean of those chances, 0 to 1; what would be right. */
  readonly said: number;
  /** How often it was that cause, 0 to 1. */
  readonly was: number;
  /** Between these the true share lies in 19 of 20: Wilson's interval. */
  readonly low: number;
  readonly high: number;
}

export interface Calibration {
  readonly bands: readonly CalibrationBand[];
  /** Cases whose cause was found. */
  readonly cases: number;
  /** Of these, how often the likeliest was it. */
  readonly likeliest: number;
  /** Mean square of what was wrong by all causes of a case (Brier); 0 is perfect, 1 and more is worthless. */
  readonly brier: number;
}

const EDGES = [0, 0.05, 0.2, 0.4, 0.6, 0.8, 0.95, 1] as const;
const Z = 1.959964;

/** Whether what is given 60 in 100 is it 60 times of 100. @param cases with the cause that each turned out to be */
export function calibration(
  cases: readonly (Pick<Case, "odds"> & { readonly found: string })[],
): Calibration {
  const said = cases.flatMap(({ odds, found }) =>
    Object.entries(odds).map(([cause, chance]) => ({ chance, was: cause === found ? 1 : 0 })),
  );
  const bands = EDGES.slice(1).flatMap((to, index): CalibrationBand[] => {
    const from = EDGES[index]!;
    const within = said.filter(({ chance }) => chance >= from && (chance < to || to === 1));
    if (within.length === 0) return [];
    const was = mean(within.map((each) => each.was));
    return [
      {
        from,
        to,
        given: within.length,
        said: mean(within.map(({ chance }) => chance)),
        was,
        ...wilson(was, within.length),
      },
    ];
  });
  const best = cases.filter(({ odds, found }) =>
    Object.values(odds).every((chance) => chance <= (odds[found] ?? 0)),
  ).length;
  const brier = cases.map(({ odds, found }) =>
    Object.entries({ ...odds, [found]: odds[found] ?? 0 }).reduce(
      (sum, [cause, chance]) => sum + (chance - (cause === found ? 1 : 0)) ** 2,
      0,
    ),
  );
  return { bands, cases: cases.length, likeliest: best, brier: cases.length === 0 ? 0 : mean(brier) };
}

const mean = (of: readonly number[]): number => of.reduce((sum, each) => sum + each, 0) / of.length;

/** @see E. B. Wilson, J. Am. Stat. Assoc. 22 (1927) 209 */
function wilson(share: number, count: number): { readonly low: number; readonly high: number } {
  const square = Z ** 2;
  const middle = (share + square / (2 * count)) / (1 + square / count);
  const half =
    (Z / (1 + square / count)) * Math.sqrt((share * (1 - share)) / count + square / (4 * count ** 2));
  return { low: Math.max(0, middle - half), high: Math.min(1, middle + half) };
}
