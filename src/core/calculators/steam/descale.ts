import { formatDuration } from "../../quantity";
import { err, ok } from "../../result";
import { calculator } from "../calculator";
import {
  byName,
  CONTENT,
  choice,
  DAYS,
  GRAMS,
  HARDNESS,
  KELVIN,
  MINUTES,
  measured,
  PERCENT,
  result,
  SIZE,
  SURFACE,
  temperatureField,
} from "../fields";

/** g/mol; IUPAC atomic weights. */
const LIME = 100.087;
const BICARBONATE = 84.007;
/** Acids by molar mass and protons given. */
const ACIDS = {
  citric: { name: "citric", mass: 192.124, protons: 3 },
  sulfamic: { name: "sulfamic", mass: 97.09, protons: 1 },
  hydrochloric: { name: "hydrochloric", mass: 36.461, protons: 1 },
} as const;
/** Boiler scale is about two thirds lime by volume: 2710 kg/m³ · 0.66. */
const SCALE_DENSITY = 1800;
/** Demonstration figure: a usual dilution eats half a millimetre an hour at 20 °C, twice as fast for each 10 K more. */
const EATS = { m_per_s: 0.5e-3 / 3600, per10K: 2, at_K: KELVIN + 20 } as const;
/** Demonstration figure: a mixing valve grows a millimetre in a year at 300 mg/L and 60 °C. */
const GROWS = { years: 1, depth: 1e-3, hardness: 0.3 } as const;
const YEAR_S = 365.25 * 86_400;
const EXCESS = 1.5;

/** Calculation 20: descaling: how much acid, how long, what neutralises it, and when again. */
export const descale = calculator({
  id: "descale",
  chapter: "Steam and heating",
  title: "Descale",
  says: "How to mix the descaler, how long to soak, what neutralises it, and when the scale will be back.",
  words: ["descale", "scale", "lime", "limescale", "acid", "soak", "citric", "furred", "neutralise"],
  inputs: {
    acid: choice("Acid", "What is in the descaler: look at its label.", byName(ACIDS)),
    concentrate: measured("Concentrate", PERCENT, {
      help: "Acid by mass, from the label; crystals: 100 %.",
      least: 0.02,
      most: 1,
      usual: 0.5,
    }),
    wanted: measured("Bath at", PERCENT, {
      help: "Usual: 5 to 10 % citric, 5 % sulfamic.",
      least: 0.005,
      most: 0.3,
      usual: 0.05,
    }),
    bath: measured("Bath", CONTENT, {
      help: "Enough to cover the part.",
      least: 1e-4,
      most: 1,
      usual: 5e-3,
    }),
    deposit: measured("Deposit", SIZE, { help: "Thickest place.", least: 1e-5, most: 0.02, usual: 1e-3 }),
    surface: measured("Surface with deposit", SURFACE, {
      help: "Guess: a DN 20 body has about 0.02 m² inside.",
      least: 1e-5,
      most: 10,
      usual: 0.02,
    }),
    temperature: temperatureField("Bath's temperature", {
      help: "Warm eats faster; not above 60 °C.",
      least: KELVIN + 5,
      most: KELVIN + 60,
      usual: KELVIN + 20,
    }),
    hardness: measured("Hardness of the water", HARDNESS, {
      help: "As CaCO3.",
      least: 0,
      most: 2,
      usual: 0.3,
    }),
    chlorine: choice(
      "Chlorine about",
      "Bleach, pool chlorine or tablets in the room, the part or the drain.",
      { no: "none", yes: "yes, or not sure" },
    ),
  },
  outputs: {
    take: result("Concentrate to take", GRAMS),
    waterFirst: result("Into this much water", CONTENT),
    soak: result("Soak for about", MINUTES),
    lime: result("Lime on it", GRAMS),
    acidNeeded: result("Acid that needs", GRAMS),
    soda: result("Bicarbonate to neutralise what is left", GRAMS),
    again: result("Same deposit again in", DAYS),
  },
  compute: (given) => {
    const acid = ACIDS[given.acid];
    const [concentrate, wanted] = [given.concentrate, given.wanted];
    if (wanted >= concentrate)
      return err({ input: "wanted", message: "The bath cannot be stronger than the concentrate." });
    const bath = given.bath;
    // A bath this thin weighs about a kilogram a litre.
    const pure = bath * 1000 * wanted;
    const lime = given.surface * given.deposit * SCALE_DENSITY;
    // CaCO3 takes two protons.
    const acidNeeded = (lime / LIME) * 2 * (acid.mass / acid.protons);
    const speed =
      EATS.m_per_s * EATS.per10K ** ((given.temperature - EATS.at_K) / 10) * Math.min(1, wanted / 0.05);
    const soak = given.deposit / speed;
    const left = Math.max(pure - acidNeeded, 0.1 * pure);
    const weak = pure < acidNeeded * EXCESS;
    const chlorine = given.chlorine === "yes";
    const hardness = given.hardness;
    return ok({
      outputs: {
        take: pure / concentrate,
        waterFirst: bath - pure / concentrate / 1000,
        soak,
        lime,
        acidNeeded,
        soda: (left / acid.mass) * acid.protons * BICARBONATE,
        again: Math.min(
          20 * YEAR_S,
          (GROWS.years * YEAR_S * (given.deposit / GROWS.depth) * GROWS.hardness) / Math.max(hardness, 1e-3),
        ),
      },
      verdict: chlorine ? "stop" : weak ? "watch" : "pass",
      reasons: [
        chlorine
          ? "Never mix acid with chlorine: it gives off chlorine gas, which kills in a closed room. Take the chlorine away and rinse first."
          : weak
            ? "The bath is spent before the lime is gone: make it larger, or change it when it stops fizzing."
            : `Soak ${formatDuration(soak)}, look at half time. Set a bell.`,
      ],
      cautions: [
        "Never mix acids with chlorine or bleach, nor two descalers.",
        "Water first, then acid. Goggles and gloves; it fizzes: leave the vessel open. Not on aluminium or zinc.",
        "Rinse until the rinse no longer fizzes with bicarbonate. Where the bath may go is for local rules.",
      ],
    });
  },
  sources: [
    "CaCO3 + 2 H⁺ → Ca²⁺ + H2O + CO2 with IUPAC molar masses. Speed of soaking and growth of scale: demonstration data; twice for each 10 K: van 't Hoff's rule.",
  ],
  examples: [
    {
      source:
        "By hand: 5 L at 5 % hold 250 g of acid: 500 g of 50 % concentrate into 4.5 L. 0.02 m² · 1 mm · 1800 = 36 g of lime; 36/100.087 · 2 · 192.124/3 = 46.07 g citric.",
      inputs: {},
      outputs: {
        take: "500 ± 0.01 g",
        waterFirst: "4.5 ± 0.001 L",
        lime: "36 ± 0.001 g",
        acidNeeded: "46.07 ± 0.01 g",
        soak: "120 ± 0.01 min",
      },
      verdict: "pass",
    },
    {
      source:
        "By hand: 203.93 g of citric left need 203.93/192.124 · 3 · 84.007 = 267.5 g of bicarbonate; at 30 °C the soak halves.",
      inputs: { temperature: "30 °C" },
      outputs: { soda: "267.5 ± 0.1 g", soak: "60 ± 0.01 min" },
      verdict: "pass",
    },
    {
      source: "Acid on hypochlorite gives chlorine gas: any chemistry text.",
      inputs: { chlorine: "yes" },
      outputs: { take: "500 ± 0.01 g" },
      verdict: "stop",
    },
  ],
});
