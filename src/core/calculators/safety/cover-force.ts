import { burstEnergy, circleArea, GASES } from "../../physics";
import { absolute } from "../../quantity";
import { err, ok } from "../../result";
import { calculator } from "../calculator";
import {
  AIR_ON_SITE,
  byName,
  CONTENT,
  choice,
  ENERGY,
  FORCE,
  gaugeField,
  MASS,
  measured,
  PERCENT,
  PLAIN,
  RUN,
  result,
  SIZE,
} from "../fields";

const GRAVITY = 9.80665;
/** TNT gives 4.6 MJ/kg; scaled distances for blast: 20 m for each root-cube kilogram hurts nobody's ears behind a corner. */
const TNT = 4.6e6;
const SCALED = 20;
/** A cover carried by fewer than all its bolts bends: this share more lands on each that is left beside the slack one. */
const UNEVEN = 1.5;

/** Calculation 41: what pushes behind a cover, and what flies if it goes. */
export const coverForce = calculator({
  id: "cover-force",
  chapter: "Safety margins",
  title: "Force behind a cover",
  says: "What pressure pushes behind a cap, cover or plug, the energy of trapped gas, and what the other bolts carry when one is slack.",
  words: [
    "cover",
    "cap",
    "plug",
    "force",
    "trapped pressure",
    "stored energy",
    "blow off",
    "one bolt slack",
    "stand clear",
    "bonnet",
  ],
  inputs: {
    pressure: gaugeField("Pressure behind it", {
      help: "What might still be there, not what you hope.",
      least: 0,
      most: 4e7,
      usual: 2e5,
    }),
    diameter: measured("Diameter it pushes on", SIZE, {
      help: "To the middle of the gasket or O-ring.",
      least: 0.002,
      most: 3,
      usual: 0.15,
    }),
    bolts: measured("Bolts", PLAIN, {
      help: "How many hold it; a screwed cap: 1.",
      least: 1,
      most: 64,
      usual: 8,
    }),
    slack: measured("Bolts slack or out", PLAIN, { help: "Of these.", least: 0, most: 63, usual: 1 }),
    capacity: measured("One bolt carries at most", FORCE, {
      help: "From bolt-up: area times proof.",
      least: 10,
      most: 1e7,
      usual: 91_000,
    }),
    gas: measured("Gas trapped", CONTENT, {
      help: "Air or gas in the section; full of liquid: 0.",
      least: 0,
      most: 1e4,
      usual: 0.02,
    }),
    kind: choice("Which gas", "It decides how it expands.", byName(GASES)),
    surroundings: AIR_ON_SITE,
  },
  outputs: {
    force: result("Push on the cover", FORCE),
    weight: result("As the weight of", MASS),
    each: result("On each bolt, all tight", FORCE),
    slackEach: result("On the bolts beside a slack one", FORCE),
    used: result("Of what a bolt carries", PERCENT),
    energy: result("Energy of the gas", ENERGY),
    lift: result("Lifts 100 kg by", RUN),
    stand: result("Stand off, at least", RUN),
  },
  compute: (given, say) => {
    const [bolts, slack] = [given.bolts, given.slack];
    if (!Number.isInteger(bolts)) return err({ input: "bolts", message: "Give a whole number of bolts." });
    if (!Number.isInteger(slack) || slack >= bolts)
      return err({ input: "slack", message: "At least one bolt must be left tight." });
    const air = given.surroundings;
    const pressure = given.pressure;
    const force = pressure * circleArea(given.diameter);
    const { heatRatio } = GASES[given.kind];
    const energy = burstEnergy(heatRatio, absolute(pressure, air), air, given.gas);
    const slackEach = (force / (bolts - slack)) * (slack > 0 && bolts > 1 ? UNEVEN : 1);
    const used = slackEach / given.capacity;
    return ok({
      outputs: {
        force,
        weight: force / GRAVITY,
        each: force / bolts,
        slackEach,
        used,
        energy,
        lift: energy / (100 * GRAVITY),
        stand: SCALED * Math.cbrt(energy / TNT),
      },
      verdict: pressure === 0 ? "pass" : used > 0.5 || energy > 1000 ? "stop" : "watch",
      reasons: [
        pressure === 0
          ? "No pressure, no push: prove it, do not believe it."
          : `${say(force / GRAVITY, MASS)} pushes on it${energy > 1 ? `, and ${say(energy, ENERGY)} of gas throws it` : ""}. Let it down to zero first.`,
      ],
      cautions: [
        "The stand-off is a caution for the ear and the eye, not a licence: nobody in line with a cap, plug or cover, ever.",
        "Crack the far side first, bolts left in: what is left comes out away from you.",
      ],
    });
  },
  sources: [
    "F = p·A. Isentropic expansion of a trapped gas to the air: ASME PCC-2 article 501 uses the same energy and 20 m/kg^(1/3) of TNT for the distance. Standard gravity: ISO 80000-3.",
  ],
  examples: [
    {
      source: "By hand: 2 bar on 150 mm: 2e5 · 0.017671 = 3.534 kN, 360.4 kg; 0.442 kN on each of eight.",
      inputs: {},
      outputs: { force: "3.534 ± 0.001 kN", weight: "360.4 ± 0.1 kg", each: "0.4418 ± 0.0002 kN" },
      verdict: "stop",
    },
    {
      source:
        "By hand: 20 L of air at 3.01325 bar abs: 3.01325e5 · 0.02/0.4 · (1 − (1.01325/3.01325)^(0.4/1.4)) = 4.035 kJ.",
      inputs: {},
      outputs: { energy: "4.035 ± 0.01 kJ" },
    },
    {
      source: "ASME PCC-2, 501: distance 20 m/kg^(1/3): 4.6 MJ is 1 kg of TNT. At 4.6 kJ a tenth of 20 m.",
      inputs: { pressure: "2 bar g", gas: "22.8 L" },
      outputs: { stand: "2 ± 0.01 m" },
    },
  ],
});
