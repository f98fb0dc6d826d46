import { GRAVITY, WATER_RANGE_K, waterDensity } from "../../physics";
import { ok } from "../../result";
import { calculator } from "../calculator";
import {
  byName,
  choice,
  DENSITY,
  DIFFERENCE,
  KELVIN,
  measured,
  RUN,
  result,
  temperatureField,
} from "../fields";

/** kg/m³ at 15 °C; usual figures. */
const FLUIDS = {
  water: { name: "water", density: undefined },
  glycol: { name: "water with a third of glycol", density: 1040 },
  oil: { name: "mineral oil", density: 880 },
  ammonia: { name: "liquid ammonia, −10 °C", density: 652 },
  brine: { name: "saturated salt brine", density: 1200 },
  other: { name: "other: by its density", density: undefined },
} as const;

/** Calculation 14: height of a column as pressure, and back. */
export const head = calculator({
  id: "head",
  chapter: "Water and fire",
  title: "Head and pressure",
  says: "What a height of liquid presses, and how high a pressure lifts it.",
  words: ["head", "elevation", "height", "how high", "static pressure", "metres of water", "feet of head"],
  inputs: {
    known: choice("Known", "What was measured.", { height: "height", pressure: "pressure" }),
    height: measured("Height", RUN, {
      help: "From level to level.",
      least: -1000,
      most: 5000,
      usual: 10,
      when: { input: "known", is: ["height"] },
    }),
    pressure: measured("Pressure", DIFFERENCE, {
      help: "Difference between the two places.",
      least: -1e7,
      most: 5e7,
      usual: 1e5,
      when: { input: "known", is: ["pressure"] },
    }),
    fluid: choice("Liquid", "What stands in the pipe.", byName(FLUIDS)),
    temperature: temperatureField("Its temperature", {
      help: "Hot water is lighter.",
      least: WATER_RANGE_K.least,
      most: WATER_RANGE_K.most,
      usual: KELVIN + 15,
      when: { input: "fluid", is: ["water"] },
    }),
    density: measured("Its density", DENSITY, {
      help: "From its data sheet.",
      least: 300,
      most: 14_000,
      usual: 1000,
      when: { input: "fluid", is: ["other"] },
    }),
  },
  outputs: {
    pressure: result("Pressure", DIFFERENCE),
    height: result("Height", RUN),
    density: result("Density taken", DENSITY),
  },
  compute: (given) => {
    const fluid = given.fluid;
    const density =
      fluid === "water" ? waterDensity(given.temperature) : (FLUIDS[fluid].density ?? given.density);
    const byHeight = given.known === "height";
    const height = byHeight ? given.height : given.pressure / (density * GRAVITY);
    return ok({
      outputs: { height, pressure: density * GRAVITY * height, density },
      reasons: ["Still liquid: flow takes more."],
      cautions: [
        "A shut valve below a column carries all of it: drain from above, or prove zero at the lowest point.",
      ],
    });
  },
  sources: ["p = ρ·g·h with g = 9.80665 m/s² (ISO 80000-3); water: Kell, J. Chem. Eng. Data 20 (1975) 97."],
  examples: [
    {
      source: "Kell (1975): water at 4 °C is 999.97 kg/m³; 10 m press 98 063 Pa.",
      inputs: { temperature: "4 °C" },
      outputs: { density: "999.97 ± 0.01 kg/m3", pressure: "0.98064 ± 0.0001 bar" },
    },
    {
      source: "The rule of 2.31 ft to the psi (water at 60 °F, 62.37 lb/ft³: 144/62.37).",
      inputs: { known: "pressure", pressure: "1 psi", temperature: "60 °F" },
      outputs: { height: "2.309 ± 0.002 ft" },
    },
    {
      source: "Kell (1975): 971.80 kg/m³ at 80 °C.",
      inputs: { temperature: "80 °C" },
      outputs: { density: "971.8 ± 0.05 kg/m3" },
    },
  ],
});
