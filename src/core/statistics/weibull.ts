/**
 * Chance that a part of a given age fails before a horizon, having lived so far: 1 − exp(−((a + h)/η)^β + (a/η)^β).
 * @param shape β: about 1 by chance, 2 to 3 by wear · @param life η: age by which 63 % have failed, same unit as age
 * @see Weibull, J. Appl. Mech. 18 (1951) 293; any reliability text
 */
export function failureChance(shape: number, life: number, age: number, horizon: number): number {
  return 1 - Math.exp((age / life) ** shape - ((age + horizon) / life) ** shape);
}

/** Mean life of a new part, η·Γ(1 + 1/β). */
export const meanLife = (shape: number, life: number): number => life * gamma(1 + 1 / shape);

/** Lanczos, g = 7, nine terms; 15 digits for x from 1 to 3. */
function gamma(x: number): number {
  const terms = [
    0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
    12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
  ];
  const at = x - 1;
  const sum = terms.reduce((total, term, index) => (index === 0 ? term : total + term / (at + index)), 0);
  const t = at + 7.5;
  return Math.sqrt(2 * Math.PI) * t ** (at + 0.5) * Math.exp(-t) * sum;
}
