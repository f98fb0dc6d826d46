import { GAS_CONSTANT, type Properties, type Term } from "./gibbs";

/** The logarithmic term, and exponents of δ and τ with their coefficients. IAPWS R7-97(2012), table 30. */
const LOGARITHM = 1.0658070028513;
const TERMS: readonly Term[] = [
  [0, 0, -15.732845290239],
  [0, 1, 20.944396974307],
  [0, 2, -7.6867707878716],
  [0, 7, 2.6185947787954],
  [0, 10, -2.808078114862],
  [0, 12, 1.2053369696517],
  [0, 23, -0.84566812812502e-2],
  [1, 2, -1.2654315477714],
  [1, 6, -1.1524407806681],
  [1, 15, 0.88521043984318],
  [1, 17, -0.64207765181607],
  [2, 0, 0.38493460186671],
  [2, 2, -0.85214708824206],
  [2, 6, 4.8972281541877],
  [2, 7, -3.0502617256965],
  [2, 22, 0.39420536879154e-1],
  [2, 26, 0.12558408424308],
  [3, 0, -0.2799932969871],
  [3, 2, 1.389979956946],
  [3, 4, -2.018991502357],
  [3, 16, -0.82147637173963e-2],
  [3, 26, -0.47596035734923],
  [4, 0, 0.439840744735e-1],
  [4, 2, -0.44476435428739],
  [4, 4, 0.90572070719733],
  [4, 26, 0.70522450087967],
  [5, 1, 0.10770512626332],
  [5, 3, -0.32913623258954],
  [5, 26, -0.50871062041158],
  [6, 0, -0.22175400873096e-1],
  [6, 2, 0.94260751665092e-1],
  [6, 26, 0.16436278447961],
  [7, 2, -0.13503372241348e-1],
  [8, 26, -0.14834345352472e-1],
  [9, 2, 0.57922953628084e-3],
  [9, 26, 0.32308904703711e-2],
  [10, 0, 0.80964802996215e-4],
  [10, 1, -0.16557679795037e-3],
  [11, 26, -0.44923899061815e-4],
];

const CRITICAL = { density: 322, kelvin: 647.096 } as const;

/** The dimensionless Helmholtz energy and its derivatives by δ and τ. */
function helmholtz(delta: number, tau: number) {
  let f = LOGARITHM * Math.log(delta);
  let [fd, fdd] = [LOGARITHM / delta, -LOGARITHM / delta ** 2];
  let [ft, ftt, fdt] = [0, 0, 0];
  for (const [i, j, n] of TERMS) {
    const [x, y] = [delta ** i, tau ** j];
    const dx = i === 0 ? 0 : i * delta ** (i - 1);
    const dy = j === 0 ? 0 : j * tau ** (j - 1);
    f += n * x * y;
    fd += n * dx * y;
    fdd += i < 2 ? 0 : n * i * (i - 1) * delta ** (i - 2) * y;
    ft += n * x * dy;
    ftt += j < 2 ? 0 : n * x * j * (j - 1) * tau ** (j - 2);
    fdt += n * dx * dy;
  }
  return { f, fd, fdd, ft, ftt, fdt };
}

/** Pressure, Pa, of water and steam near the critical point, from density, kg/m³, and temperature, K. */
export function pressure3(density: number, temperature: number): number {
  const delta = density / CRITICAL.density;
  return density * GAS_CONSTANT * temperature * delta * helmholtz(delta, CRITICAL.kelvin / temperature).fd;
}

/**
 * Water and steam near the critical point, above 623.15 K, from their density. Whoever calls has looked that it lies there.
 *
 * @see IAPWS R7-97(2012), region 3, table 31 for the relations
 */
export function region3(density: number, temperature: number): Properties {
  const [delta, tau] = [density / CRITICAL.density, CRITICAL.kelvin / temperature];
  const { f, fd, fdd, ft, ftt, fdt } = helmholtz(delta, tau);
  const rt = GAS_CONSTANT * temperature;
  const slope = 2 * delta * fd + delta ** 2 * fdd;
  const cross = delta * fd - delta * tau * fdt;
  return {
    volume: 1 / density,
    enthalpy: rt * (tau * ft + delta * fd),
    energy: rt * tau * ft,
    entropy: GAS_CONSTANT * (tau * ft - f),
    heatCapacity: GAS_CONSTANT * (-(tau ** 2) * ftt + cross ** 2 / slope),
    soundSpeed: Math.sqrt(rt * (slope - cross ** 2 / (tau ** 2 * ftt))),
  };
}
