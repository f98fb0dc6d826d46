import type { InstrumentKind } from "../../formats";
import type { Dimension } from "../../quantity";

/** One measure a simulated instrument reads: its range, the smallest figure it shows, how slow it is and how it trembles, in its unit. */
export interface Reads {
  readonly what: Dimension;
  readonly unit: string;
  readonly low: number;
  readonly high: number;
  readonly step: number;
  /** s until it shows two thirds of a change. */
  readonly lag_s: number;
  readonly noise: number;
}

interface Kind {
  readonly name: string;
  readonly every_s: number;
  readonly reads: readonly Reads[];
}

const PRESSURE: Reads = {
  what: "gauge pressure",
  unit: "bar g",
  low: -1,
  high: 16,
  step: 0.01,
  lag_s: 1.5,
  noise: 0.004,
};

/** What each kind of simulated instrument is: invented figures, of no real instrument. */
export const KINDS: Readonly<Record<InstrumentKind, Kind>> = {
  gauge: { name: "Test gauge", every_s: 1, reads: [PRESSURE] },
  logger: {
    name: "Pressure logger",
    every_s: 2,
    reads: [{ ...PRESSURE, high: 25, step: 0.002, lag_s: 0.5, noise: 0.002 }],
  },
  pitot: {
    name: "Pitot gauge",
    every_s: 1,
    reads: [{ ...PRESSURE, low: 0, high: 10, lag_s: 0.8, noise: 0.02 }],
  },
  multimeter: {
    name: "Multimeter",
    every_s: 1,
    reads: [
      { what: "resistance", unit: "Ω", low: 0, high: 2e6, step: 0.1, lag_s: 0.4, noise: 0.05 },
      { what: "voltage", unit: "V", low: 0, high: 600, step: 0.1, lag_s: 0.3, noise: 0.05 },
      { what: "current", unit: "mA", low: 0, high: 2000, step: 1, lag_s: 0.3, noise: 0.6 },
    ],
  },
  thermometer: {
    name: "Thermometer",
    every_s: 1,
    reads: [{ what: "temperature", unit: "°C", low: -60, high: 300, step: 0.1, lag_s: 6, noise: 0.05 }],
  },
  "torque-wrench": {
    name: "Torque wrench",
    every_s: 0.2,
    reads: [{ what: "torque", unit: "N·m", low: 0, high: 400, step: 0.1, lag_s: 0, noise: 0 }],
  },
  "dial-meter": {
    name: "Dial meter",
    every_s: 1,
    reads: [
      { what: "volume", unit: "m3", low: 0, high: 99_999, step: 0.0001, lag_s: 0, noise: 0 },
      { what: "volume flow", unit: "m3/h", low: 0, high: 16, step: 0.001, lag_s: 2, noise: 0 },
    ],
  },
  "leak-detector": {
    name: "Leak detector",
    every_s: 1,
    reads: [{ what: "number", unit: "ppm", low: 0, high: 1000, step: 1, lag_s: 3, noise: 0.4 }],
  },
  "gas-monitor": {
    name: "Gas monitor",
    every_s: 1,
    reads: [
      { what: "number", unit: "% LEL", low: 0, high: 100, step: 1, lag_s: 4, noise: 0.2 },
      { what: "number", unit: "ppm", low: 0, high: 500, step: 1, lag_s: 4, noise: 0.4 },
    ],
  },
  scale: {
    name: "Scale",
    every_s: 1,
    reads: [{ what: "mass", unit: "kg", low: 0, high: 30, step: 0.005, lag_s: 0.6, noise: 0.002 }],
  },
};
