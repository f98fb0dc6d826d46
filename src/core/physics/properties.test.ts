import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { pascalsAbsolute as abs } from "../quantity";
import {
  awgDiameter,
  burstEnergy,
  copperFactor,
  criticalRatio,
  GASES,
  gasDensity,
  gasFlow,
  napierFlux,
  PIPE_SIZES,
  pipeSize,
  platinumResistance,
  platinumTemperature,
  scaldSeconds,
  steamFlux,
  thermistorResistance,
  thermistorTemperature,
  WIRES,
  waterBulkModulus,
  waterDensity,
  waterVapourPressure,
} from ".";

const C = 273.15;

describe("water", () => {
  // Kell, J. Chem. Eng. Data 20 (1975) 97, table II.
  it.each([
    [0, 999.8396],
    [4, 999.972],
    [20, 998.2041],
    [25, 997.0449],
    [50, 988.035],
    [100, 958.3637],
  ])("at %d °C weighs %d kg/m³", (celsius, density) => {
    expect(Math.abs(waterDensity(C + celsius) - density)).toBeLessThan(0.005);
  });

  it("is heaviest near 4 °C", () => {
    for (const celsius of [0, 2, 6, 10]) expect(waterDensity(C + celsius)).toBeLessThan(waterDensity(C + 4));
  });

  it("carries sound at about 1480 m/s at 20 °C, and boils at 1 atm at 100 °C", () => {
    expect(Math.sqrt(waterBulkModulus(C + 20) / waterDensity(C + 20))).toBeCloseTo(1478, -1);
    expect(Math.abs(waterVapourPressure(373.124) - 101_325)).toBeLessThan(30);
  });
});

describe("gas", () => {
  it("air weighs 1.225 kg/m³ at 15 °C and 1 atm (ISO 2533)", () => {
    expect(gasDensity(GASES.air, abs(101_325), 288.15)).toBeCloseTo(1.225, 3);
  });

  it("chokes at 0.528 for air", () => {
    expect(criticalRatio(1.4)).toBeCloseTo(0.5283, 4);
  });

  it("choked air follows 0.0404·p/√T (ISO 9300, ideal)", () => {
    expect(gasFlow(GASES.air, abs(7e5), abs(1e5), 288.15, 1e-4, 1)).toBeCloseTo(
      (0.04042 * 7e5 * 1e-4) / Math.sqrt(288.15),
      3,
    );
  });

  it("never falls when the pressure behind falls, and stays the same once choked", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        (a, b) => {
          const [low, high] = [Math.min(a, b), Math.max(a, b)];
          const flow = (ratio: number) => gasFlow(GASES.ammonia, abs(5e5), abs(ratio * 5e5), 270, 1e-5, 0.6);
          expect(flow(low)).toBeGreaterThanOrEqual(flow(high) - 1e-12);
        },
      ),
    );
    expect(gasFlow(GASES.air, abs(5e5), abs(1e5), 290, 1e-4, 1)).toBe(
      gasFlow(GASES.air, abs(5e5), abs(0), 290, 1e-4, 1),
    );
    expect(gasFlow(GASES.air, abs(1e5), abs(1e5), 290, 1e-4, 1)).toBe(0);
  });

  it("for a small difference is Bernoulli's √(2Δp/ρ)", () => {
    const density = gasDensity(GASES.air, abs(101_325), 288.15);
    const flow = gasFlow(GASES.air, abs(101_325), abs(101_225), 288.15, 1e-4, 1);
    expect(flow / (1e-4 * Math.sqrt(2 * 100 * density))).toBeCloseTo(1, 2);
  });

  it("a burst gives what summing p·dV along the adiabat gives", () => {
    const [p, p0, v, g] = [8e5, 1e5, 0.02, 1.4];
    let [sum, volume] = [0, v];
    const end = v * (p / p0) ** (1 / g);
    const step = (end - v) / 100_000;
    for (let at = 0; at < 100_000; at++) {
      sum += p * (v / (volume + step / 2)) ** g * step;
      volume += step;
    }
    expect(burstEnergy(g, abs(p), abs(p0), v)).toBeCloseTo(sum, 0);
    expect(burstEnergy(g, abs(1e5), abs(1e5), v)).toBe(0);
  });
});

describe("steam through a hole", () => {
  it("is within 4 % of Napier's rule from 2 to 20 bar", () => {
    for (const pascal of [2e5, 5e5, 1e6, 2e6])
      expect(Math.abs(steamFlux(abs(pascal), abs(1e4)) / napierFlux(abs(pascal)) - 1)).toBeLessThan(0.04);
  });

  it("falls when the pressure behind comes near the one before", () => {
    expect(steamFlux(abs(7e5), abs(6.5e5))).toBeLessThan(steamFlux(abs(7e5), abs(5e5)));
    expect(steamFlux(abs(7e5), abs(1e5)) / steamFlux(abs(7e5), abs(2e5))).toBeCloseTo(1, 9);
  });
});

describe("pipes and wire", () => {
  it("ASME B36.10M: NPS 4 schedule 40 is 114.3 × 6.02 mm, 102.3 mm inside", () => {
    const pipe = pipeSize("DN100", "40")!;
    expect(pipe.outside * 1000).toBeCloseTo(114.3, 2);
    expect(pipe.wall * 1000).toBeCloseTo(6.02, 2);
    expect(pipe.bore * 1000).toBeCloseTo(102.26, 2);
  });

  it("knows a schedule only where the standard has it, and a heavier one is narrower", () => {
    expect(pipeSize("DN6", "160")).toBeUndefined();
    expect(pipeSize("DN7", "40")).toBeUndefined();
    for (const { id } of PIPE_SIZES) expect(pipeSize(id, "80")!.bore).toBeLessThan(pipeSize(id, "40")!.bore);
  });

  it("ASTM B258: AWG 18 is 1.024 mm, 10 is 2.588 mm; 36 and 0000 are the two that define it", () => {
    expect(awgDiameter(18) * 1000).toBeCloseTo(1.024, 3);
    expect(awgDiameter(10) * 1000).toBeCloseTo(2.588, 3);
    expect(awgDiameter(-3) * 1000).toBeCloseTo(11.684, 3);
    expect(WIRES["AWG 18"]! * 1e6).toBeCloseTo(0.823, 3);
  });

  it("copper gains 39.3 % from 20 to 120 °C", () => {
    expect(copperFactor(C + 120)).toBeCloseTo(1.393, 9);
  });
});

describe("sensors", () => {
  // IEC 60751, table of Pt100.
  it.each([
    [-100, 60.26],
    [-50, 80.31],
    [0, 100],
    [50, 119.4],
    [100, 138.51],
    [200, 175.86],
  ])("a Pt100 at %d °C has %d Ω", (celsius, ohms) => {
    expect(Math.abs(platinumResistance(100, celsius) - ohms)).toBeLessThan(0.006);
  });

  it("reads back what it gives", () => {
    fc.assert(
      fc.property(fc.double({ min: -199, max: 849, noNaN: true }), (celsius) => {
        expect(platinumTemperature(1000, platinumResistance(1000, celsius))).toBeCloseTo(celsius, 6);
      }),
    );
    fc.assert(
      fc.property(fc.double({ min: 230, max: 400, noNaN: true }), (kelvin) => {
        expect(thermistorTemperature(1e4, 3435, thermistorResistance(1e4, 3435, kelvin))).toBeCloseTo(
          kelvin,
          6,
        );
      }),
    );
    expect(platinumTemperature(100, 5)).toBeUndefined();
  });
});

describe("scalds", () => {
  it("come sooner the hotter it is, and are not spoken of below 44 °C", () => {
    expect(scaldSeconds(43)).toBeUndefined();
    expect(scaldSeconds(44)).toBe(21_600);
    expect(scaldSeconds(90)).toBe(1);
    let last = Number.POSITIVE_INFINITY;
    for (let celsius = 44; celsius <= 70; celsius += 0.25) {
      const seconds = scaldSeconds(celsius)!;
      expect(seconds).toBeLessThanOrEqual(last);
      last = seconds;
    }
  });
});
