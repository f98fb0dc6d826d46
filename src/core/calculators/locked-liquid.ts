import { LIQUIDS, type Liquid, liquidAt, liquidRange, lockedLiquidRise } from "../physics";
import { err, ok } from "../result";
import type { Calculator } from "./declaration";

const KELVIN = 273.15;
const LIQUID_NAMES: Record<Liquid, string> = {
  water: "water",
  ammonia: "ammonia, liquid",
  co2: "CO2, liquid",
  oil: "mineral oil",
};
/** Elastic modulus (Pa) and linear expansion (1/K) of pipe, text-book figures. */
const PIPES = {
  steel: { label: "steel", modulus: 200e9, expansion: 12e-6 },
  copper: { label: "copper", modulus: 117e9, expansion: 17e-6 },
  pvc: { label: "PVC", modulus: 3e9, expansion: 70e-6 },
} as const;

/** Calculation 25: how fast the pressure of a liquid-full section rises when it warms between two shut valves. */
export const lockedLiquid: Calculator = {
  id: "locked-liquid",
  title: "Locked liquid",
  says: "Pressure rise for each kelvin in a section full of liquid between two shut valves, and how soon it reaches its rating.",
  words: [
    "trapped liquid",
    "burst",
    "two shut valves",
    "warming up",
    "thermal expansion",
    "hydrostatic lock",
  ],
  inputs: [
    {
      kind: "choice",
      name: "liquid",
      label: "Liquid",
      help: "What the section is full of.",
      options: LIQUIDS.map((id) => ({ id, label: LIQUID_NAMES[id] })),
      usual: "ammonia",
    },
    {
      kind: "measured",
      name: "temperature",
      label: "Temperature now",
      help: "Of the liquid when the second valve was shut.",
      dimension: "temperature",
      units: { metric: "°C", us: "°F" },
      least: KELVIN - 60,
      most: KELVIN + 100,
      usual: KELVIN - 10,
    },
    {
      kind: "choice",
      name: "pipe",
      label: "Pipe",
      help: "A pipe that gives takes some of the rise.",
      options: Object.entries(PIPES).map(([id, { label }]) => ({ id, label })),
      usual: "steel",
    },
    {
      kind: "measured",
      name: "diameter",
      label: "Outside diameter",
      help: "Of the pipe.",
      dimension: "length",
      units: { metric: "mm", us: "in" },
      least: 0.004,
      most: 2,
      usual: 0.0337,
    },
    {
      kind: "measured",
      name: "wall",
      label: "Wall",
      help: "Thickness of the pipe wall.",
      dimension: "length",
      units: { metric: "mm", us: "in" },
      least: 0.0003,
      most: 0.1,
      usual: 0.0032,
    },
    {
      kind: "measured",
      name: "room",
      label: "Rating less pressure now",
      help: "How much the pressure may rise: the rating of the weakest part less what the gauge shows.",
      dimension: "pressure difference",
      units: { metric: "bar", us: "psi" },
      least: 1e4,
      most: 1e8,
      usual: 25e5,
    },
    {
      kind: "measured",
      name: "warming",
      label: "Warming in an hour",
      help: "How fast it warms: bare pipe in a warm room takes 5 to 20 K in an hour.",
      dimension: "temperature difference",
      units: { metric: "ΔK", us: "Δ°F" },
      least: 0.01,
      most: 200,
      usual: 10,
    },
  ],
  outputs: [
    {
      name: "rise",
      label: "Rise for each kelvin",
      dimension: "pressure difference",
      units: { metric: "bar", us: "psi" },
    },
    {
      name: "kelvin",
      label: "Warming to the rating",
      dimension: "temperature difference",
      units: { metric: "ΔK", us: "Δ°F" },
    },
    { name: "time", label: "Time to the rating", dimension: "time", units: { metric: "min", us: "min" } },
  ],
  compute: (given) => {
    const liquid = given.choice("liquid") as Liquid;
    const celsius = given.si("temperature") - KELVIN;
    const { least, most } = liquidRange(liquid);
    if (celsius < least || celsius > most)
      return err({
        input: "temperature",
        message: `${LIQUID_NAMES[liquid]} is tabled from ${least} to ${most} °C here.`,
      });
    const diameter = given.si("diameter");
    const wall = given.si("wall");
    if (wall > diameter / 2)
      return err({
        input: "wall",
        message: "The wall is thicker than half the pipe. Check the two figures.",
      });
    const { modulus, expansion } = PIPES[given.choice("pipe") as keyof typeof PIPES];
    const rise = lockedLiquidRise(liquidAt(liquid, celsius), {
      modulus,
      expansion,
      diameterToWall: diameter / wall,
    });
    // A pipe that swells more than its liquid never gets there; a hundred days stand for never.
    const never = 8_640_000;
    const kelvin = rise > 0 ? given.si("room") / rise : Number.MAX_SAFE_INTEGER;
    const warming = given.si("warming");
    const time = Math.min(never, (kelvin / warming) * 3600);
    const soon = time < 3600;
    return ok({
      outputs: { rise, kelvin: Math.min(kelvin, (never / 3600) * warming), time },
      verdict: soon ? "stop" : time < 86_400 ? "fail" : rise > 0 ? "watch" : "pass",
      reasons: [
        rise === 0
          ? "The pipe swells more than the liquid: no rise at this temperature."
          : soon
            ? "It reaches its rating within the hour: never shut both valves on liquid here."
            : "It reaches its rating in time: leave it a way to give.",
      ],
      cautions: [
        "Pump or drain the section before the second valve is shut, or leave one valve to a vessel open.",
        "A check valve shuts a section, too.",
      ],
    });
  },
  sources: [
    "dp/dT = (β − 3α)/(κ + (1.25 − ν)·D/(E·t)): thin-walled vessel with closed ends, Roark's Formulas.",
    "Water: Kell, J. Chem. Eng. Data 20 (1975) 97, within 1 %.",
    "Ammonia and CO2: rounded from the reference equations of Tillner-Roth et al. (1993) and Span and Wagner (1996), within 20 %.",
  ],
  examples: [
    {
      source:
        "By hand, water at 20 °C in steel 114.3 × 5.715 mm (D/t = 20): (2.068e-4 − 3.6e-5)/(4.589e-10 + 0.95·20/200e9) = 3.083 bar/K.",
      inputs: {
        liquid: { value: "water" },
        temperature: { value: 20, unit: "°C" },
        diameter: { value: 114.3, unit: "mm" },
        wall: { value: 5.715, unit: "mm" },
      },
      outputs: {
        rise: { value: 3.083, unit: "bar", within: 0.002 },
        time: { value: 48.7, unit: "min", within: 0.1 },
      },
      verdict: "stop",
    },
    {
      source:
        "By hand, ammonia at 0 °C in the same pipe: (2.15e-3 − 3.6e-5)/(1.15e-9 + 9.5e-11) = 16.98 bar/K.",
      inputs: {
        liquid: { value: "ammonia" },
        temperature: { value: 0, unit: "°C" },
        diameter: { value: 114.3, unit: "mm" },
        wall: { value: 5.715, unit: "mm" },
      },
      outputs: { rise: { value: 16.98, unit: "bar", within: 0.01 } },
      verdict: "stop",
    },
    {
      source: "Water near its greatest density in steel: the pipe swells more, nothing rises.",
      inputs: { liquid: { value: "water" }, temperature: { value: 5, unit: "°C" } },
      outputs: { rise: { value: 0, unit: "bar", within: 1e-9 } },
      verdict: "pass",
    },
  ],
};
