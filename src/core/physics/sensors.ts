/** IEC 60751 for −200 to 850 °C: R = R₀·(1 + A·t + B·t² + C·(t − 100)·t³), C only below 0 °C. */
const [A, B, C] = [3.9083e-3, -5.775e-7, -4.183e-12];

/** Resistance of a platinum sensor, Ω. @param atZero 100 or 1000 Ω · @param celsius −200 to 850 */
export function platinumResistance(atZero: number, celsius: number): number {
  const below = celsius < 0 ? C * (celsius - 100) * celsius ** 3 : 0;
  return atZero * (1 + A * celsius + B * celsius ** 2 + below);
}

/** Temperature of a platinum sensor, °C; the line above, read backwards by halving. */
export function platinumTemperature(atZero: number, ohms: number): number | undefined {
  let [low, high] = [-200, 850];
  if (!(ohms >= platinumResistance(atZero, low) && ohms <= platinumResistance(atZero, high)))
    return undefined;
  for (let turn = 0; turn < 60; turn++) {
    const middle = (low + high) / 2;
    if (platinumResistance(atZero, middle) < ohms) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

const ZERO_25_K = 298.15;

/** Resistance of a thermistor, Ω: R = R₂₅·exp(B·(1/T − 1/298.15)); within a kelvin from 0 to 85 °C. */
export const thermistorResistance = (at25: number, beta: number, kelvin: number): number =>
  at25 * Math.exp(beta * (1 / kelvin - 1 / ZERO_25_K));

/** Temperature of a thermistor, K: the same, solved for T. */
export const thermistorTemperature = (at25: number, beta: number, ohms: number): number =>
  1 / (1 / ZERO_25_K + Math.log(ohms / at25) / beta);
