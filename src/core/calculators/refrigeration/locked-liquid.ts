import { type Liquid, liquidAt, liquidRange, lockedLiquidRise } from "../../physics";
import { err, ok } from "../../result";
import { calculator } from "../calculator";
import {
  byName,
  choice,
  DEGREES,
  DIFFERENCE,
  KELVIN,
  MINUTES,
  measured,
  result,
  SIZE,
  WARMING,
} from "../fields";

const LIQUID_NAMES: Record<Liquid, string> = {
  water: "water",
  ammonia: "ammonia, liquid",
  co2: "CO2, liquid",
  oil: "mineral oil",
};
/** Elastic modulus (Pa) and linear expansion (1/K) of pipe, text-book figures. */
const PIPES = {
  steel: { name: "steel", modulus: 200e9, expansion: 12e-6 },
  copper: { name: "copper", modulus: 117e9, expansion: 17e-6 },
  pvc: { name: "PVC", modulus: 3e9, expansion: 70e-6 },
} as const;

/** Calculation 25: how fast the pressure of a liquid-full section rises when it warms between two shut valves. */
export const lockedLiquid = calculator({
  id: "locked-liquid",
  chapter: "Refrigeration",
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
  inputs: {
    liquid: choice("Liquid", "What the section is full of.", LIQUID_NAMES, { usual: "ammonia" }),
    temperature: measured("Temperature now", DEGREES, {
      help: "Of the liquid when the second valve was shut.",
      least: KELVIN - 60,
      most: KELVIN + 100,
      usual: KELVIN - 10,
    }),
    pipe: choice("Pipe", "A pipe that gives takes some of the rise.", byName(PIPES), { usual: "steel" }),
    diameter: measured("Outside diameter", SIZE, {
      help: "Of the pipe.",
      least: 0.004,
      most: 2,
      usual: 0.0337,
    }),
    wall: measured("Wall", SIZE, {
      help: "Thickness of the pipe wall.",
      least: 0.0003,
      most: 0.1,
      usual: 0.0032,
    }),
    room: measured("Rating less pressure now", DIFFERENCE, {
      help: "How much the pressure may rise: the rating of the weakest part less what the gauge shows.",
      least: 1e4,
      most: 1e8,
      usual: 25e5,
    }),
    warming: measured("Warming in an hour", WARMING, {
      help: "How fast it warms: bare pipe in a warm room takes 5 to 20 K in an hour.",
      least: 0.01,
      most: 200,
      usual: 10,
    }),
  },
  outputs: {
    rise: result("Rise for each kelvin", DIFFERENCE),
    kelvin: result("Warming to the rating", WARMING),
    time: result("Time to the rating", MINUTES),
  },
  compute: (given) => {
    const liquid = given.liquid;
    const celsius = given.temperature - KELVIN;
    const { least, most } = liquidRange(liquid);
    if (celsius < least || celsius > most)
      return err({
        input: "temperature",
        message: `${LIQUID_NAMES[liquid]} is tabled from ${least} to ${most} °C here.`,
      });
    const diameter = given.diameter;
    const wall = given.wall;
    if (wall > diameter / 2)
      return err({
        input: "wall",
        message: "The wall is thicker than half the pipe. Check the two figures.",
      });
    const { modulus, expansion } = PIPES[given.pipe];
    const rise = lockedLiquidRise(liquidAt(liquid, celsius), {
      modulus,
      expansion,
      diameterToWall: diameter / wall,
    });
    // A pipe that swells more than its liquid never gets there; a hundred days stand for never.
    const never = 8_640_000;
    const kelvin = rise > 0 ? given.room / rise : Number.MAX_SAFE_INTEGER;
    const warming = given.warming;
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
        liquid: "water",
        temperature: "20 °C",
        diameter: "114.3 mm",
        wall: "5.715 mm",
      },
      outputs: {
        rise: "3.083 ± 0.002 bar",
        time: "48.7 ± 0.1 min",
      },
      verdict: "stop",
    },
    {
      source:
        "By hand, ammonia at 0 °C in the same pipe: (2.15e-3 − 3.6e-5)/(1.15e-9 + 9.5e-11) = 16.98 bar/K.",
      inputs: {
        liquid: "ammonia",
        temperature: "0 °C",
        diameter: "114.3 mm",
        wall: "5.715 mm",
      },
      outputs: { rise: "16.98 ± 0.01 bar" },
      verdict: "stop",
    },
    {
      source: "Water near its greatest density in steel: the pipe swells more, nothing rises.",
      inputs: { liquid: "water", temperature: "5 °C" },
      outputs: { rise: "0 ± 1e-9 bar" },
      verdict: "pass",
    },
  ],
});
