/** Temperature coefficient of annealed copper at 20 °C, 1/K; IEC 60028. */
export const COPPER_PER_KELVIN = 0.00393;
/** Resistivity of annealed copper at 20 °C, Ω·m; IEC 60028. */
const COPPER_RESISTIVITY = 1.7241e-8;
const ZERO_20_K = 293.15;

/** Copper at a temperature is this many times its resistance at 20 °C; straight line, −40 to 150 °C. */
export const copperFactor = (kelvin: number): number => 1 + COPPER_PER_KELVIN * (kelvin - ZERO_20_K);

/** Diameter of a wire by American Wire Gauge, m: 0.127 mm · 92^((36 − n)/39); ASTM B258. 0 is 1/0. */
export const awgDiameter = (gauge: number): number => 0.127e-3 * 92 ** ((36 - gauge) / 39);

/** Wires by name with their copper section, m². Metric: nominal sections of IEC 60228. */
export const WIRES: Readonly<Record<string, number>> = {
  ...Object.fromEntries(
    [28, 26, 24, 22, 20, 18, 16, 14, 12, 10, 8].map((gauge) => [
      `AWG ${gauge}`,
      (Math.PI / 4) * awgDiameter(gauge) ** 2,
    ]),
  ),
  ...Object.fromEntries(
    [0.14, 0.25, 0.34, 0.5, 0.75, 1, 1.5, 2.5, 4, 6].map((section) => [`${section} mm²`, section * 1e-6]),
  ),
};

/** Resistance of one copper conductor, Ω for each m, at a temperature. Solid and stranded within 3 %. */
export const wireResistance = (section: number, kelvin: number): number =>
  (COPPER_RESISTIVITY / section) * copperFactor(kelvin);
