import { fromGibbs, type Properties, type Term } from "./gibbs";

/** Coefficients of region 1 (water): exponents of (7.1 − π) and (τ − 1.222), and n. IAPWS R7-97(2012), table 2. */
const TERMS: readonly Term[] = [
  [0, -2, 0.14632971213167],
  [0, -1, -0.84548187169114],
  [0, 0, -3.756360367204],
  [0, 1, 3.3855169168385],
  [0, 2, -0.95791963387872],
  [0, 3, 0.15772038513228],
  [0, 4, -0.16616417199501e-1],
  [0, 5, 0.81214629983568e-3],
  [1, -9, 0.28319080123804e-3],
  [1, -7, -0.60706301565874e-3],
  [1, -1, -0.18990068218419e-1],
  [1, 0, -0.32529748770505e-1],
  [1, 1, -0.21841717175414e-1],
  [1, 3, -0.5283835796993e-4],
  [2, -3, -0.47184321073267e-3],
  [2, 0, -0.30001780793026e-3],
  [2, 1, 0.47661393906987e-4],
  [2, 3, -0.44141845330846e-5],
  [2, 17, -0.72694996297594e-15],
  [3, -4, -0.31679644845054e-4],
  [3, 0, -0.28270797985312e-5],
  [3, 6, -0.85205128120103e-9],
  [4, -5, -0.22425281908e-5],
  [4, -2, -0.65171222895601e-6],
  [4, 10, -0.14341729937924e-12],
  [5, -8, -0.40516996860117e-6],
  [8, -11, -0.12734301741641e-8],
  [8, -6, -0.17424871230634e-9],
  [21, -29, -0.68762131295531e-18],
  [23, -31, 0.14478307828521e-19],
  [29, -38, 0.26335781662795e-22],
  [30, -39, -0.11947622640071e-22],
  [31, -40, 0.18228094581404e-23],
  [32, -41, -0.93537087292458e-25],
];

const PRESSURE = 16.53e6;
const TEMPERATURE = 1386;

/**
 * Water below its boiling point: 273.15 to 623.15 K, saturation pressure to 100 MPa. Whoever calls has looked that it
 * lies there.
 */
export function region1(pressure: number, temperature: number): Properties {
  const [pi, tau] = [pressure / PRESSURE, TEMPERATURE / temperature];
  const [a, b] = [7.1 - pi, tau - 1.222];
  let [g, gp, gpp, gt, gtt, gpt] = [0, 0, 0, 0, 0, 0];
  for (const [i, j, n] of TERMS) {
    const [x, y] = [a ** i, b ** j];
    const dx = i === 0 ? 0 : i * a ** (i - 1);
    const dy = j === 0 ? 0 : j * b ** (j - 1);
    g += n * x * y;
    gp -= n * dx * y;
    gpp += i < 2 ? 0 : n * i * (i - 1) * a ** (i - 2) * y;
    gt += n * x * dy;
    gtt += n * x * j * (j - 1) * b ** (j - 2);
    gpt -= n * dx * dy;
  }
  return fromGibbs({ g, gp, gpp, gt, gtt, gpt }, pi, tau, pressure, temperature);
}
