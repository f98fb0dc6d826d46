/**
 * Seconds of hot water on an adult's skin until it is burnt through, by °C: Moritz and Henriques, Am. J. Pathol. 23 (1947)
 * 695, read from their curve. Children and the old burn in a third of it or less. A caution, never a limit to work to.
 */
const BURNS: readonly (readonly [celsius: number, seconds: number])[] = [
  [44, 21_600],
  [45, 10_800],
  [47, 2700],
  [49, 540],
  [51, 180],
  [53, 60],
  [55, 25],
  [60, 5],
  [65, 2],
  [70, 1],
];

/** Seconds to a scald; nothing below 44 °C, where the curve ends; at and above 70 °C one second or less. */
export function scaldSeconds(celsius: number): number | undefined {
  const [coldest] = BURNS[0]!;
  if (celsius < coldest) return undefined;
  const above = BURNS.findIndex(([at]) => at >= celsius);
  if (above === -1) return BURNS.at(-1)![1];
  if (above === 0) return BURNS[0]![1];
  const [[t1, s1], [t2, s2]] = [BURNS[above - 1]!, BURNS[above]!];
  return s1 * (s2 / s1) ** ((celsius - t1) / (t2 - t1));
}
