import { region1, region2, saturationPressure } from "../../physics";
import { ok } from "../../result";
import { calculator } from "../calculator";
import {
  choice,
  HEAT,
  KELVIN,
  MASS_FLOW,
  measured,
  PERCENT,
  PLAIN,
  result,
  SIZE,
  SMALL_DIFFERENCE,
  SURFACE,
  temperatureField,
} from "../fields";

const BTU_H = 1055.05585262 / 3600;
const FT2 = 0.3048 ** 2;
/** 240 Btu/h from a square foot of steam radiation, 150 from hot water: the definition of EDR; W/m². */
const BASIS = {
  steam: { flux: (240 * BTU_H) / FT2, over: (215 - 70) / 1.8 },
  water: { flux: (150 * BTU_H) / FT2, over: (170 - 70) / 1.8 },
} as const;
/** Radiators give with this power of the temperature over the room (EN 442 finds 1.2 to 1.4). */
const EXPONENT = 1.3;
/** Discharge coefficient of a thin plate. */
const PLATE = 0.65;
/** Vapour systems run at the air's pressure or a little above; steam colder than this is not there. */
const VAPOUR_K = KELVIN + 99;

/** Calculation 18: what a radiator gives, and how far it is throttled. */
export const radiator = calculator({
  id: "radiator",
  chapter: "Steam and heating",
  title: "Radiator share",
  says: "What a radiator gives at these temperatures, the share its room wants, the orifice for that, and what the others gain.",
  words: [
    "radiator",
    "edr",
    "too hot",
    "balance",
    "orifice plate",
    "restrictor",
    "vapour heating",
    "inlet valve",
    "room heat loss",
  ],
  inputs: {
    medium: choice("Heated by", "Steam or hot water.", { steam: "steam or vapour", water: "hot water" }),
    surface: measured("Heating surface (EDR)", SURFACE, {
      help: "From tables by columns, height and sections.",
      least: 0.05,
      most: 100,
      usual: 3.5,
    }),
    mean: temperatureField("Radiator at", {
      help: "Mean of flow and return; steam: its boiling temperature.",
      least: KELVIN + 25,
      most: KELVIN + 180,
      usual: KELVIN + 101,
    }),
    room: temperatureField("Room at", {
      help: "Wanted.",
      least: KELVIN,
      most: KELVIN + 35,
      usual: KELVIN + 20,
    }),
    loss: measured("Room's heat loss", HEAT, {
      help: "On the coldest day.",
      least: 0,
      most: 500_000,
      usual: 1900,
    }),
    supply: measured("Difference across the inlet", SMALL_DIFFERENCE, {
      help: "Vapour systems: 5 to 20 mbar.",
      least: 50,
      most: 50_000,
      usual: 1000,
    }),
    dial: measured("Dial goes to", PLAIN, {
      help: "The highest number of the restrictor's dial: its openings grow evenly with the number.",
      least: 1,
      most: 100,
      usual: 5,
    }),
    others: measured("Other radiators, EDR together", SURFACE, {
      help: "On the same boiler.",
      least: 0,
      most: 5000,
      usual: 60,
    }),
  },
  outputs: {
    share: result("Share the room wants", PERCENT),
    gives: result("Gives, wide open", HEAT),
    steam: result("Steam for that", MASS_FLOW, "optional"),
    orifice: result("Orifice for that", SIZE, "optional"),
    setting: result("Dial set to", PLAIN),
    gain: result("The others gain", PERCENT),
  },
  compute: (given) => {
    const steamy = given.medium === "steam";
    const basis = BASIS[steamy ? "steam" : "water"];
    const [mean, room] = [given.mean, given.room];
    const factor = (Math.max(0, mean - room) / basis.over) ** EXPONENT;
    const gives = basis.flux * given.surface * factor;
    const share = Math.min(given.loss / Math.max(gives, 1e-3), 1e4);
    const taken = Math.min(1, share);
    const boils = Math.max(mean, VAPOUR_K);
    const pressure = saturationPressure(boils)!;
    const latent = region2(pressure, boils).enthalpy - region1(pressure, boils).enthalpy;
    const flow = (gives * taken) / latent;
    // Far from choked: a plate passes C·A·√(2·Δp·ρ).
    const area = flow / (PLATE * Math.sqrt((2 * given.supply) / region2(pressure, boils).volume));
    const others = given.others;
    const short = share > 1;
    return ok({
      outputs: {
        gives,
        share,
        setting: Math.min(given.dial, Math.max(1, share * given.dial)),
        steam: steamy ? flow : undefined,
        orifice: steamy ? Math.sqrt((4 * area) / Math.PI) : undefined,
        gain: others >= 0.05 ? ((1 - taken) * given.surface) / others : 0,
      },
      verdict: short ? "fail" : share < 0.7 ? "watch" : "pass",
      reasons: [
        short
          ? "Wide open it does not carry the room: look for air, a shut vent or a cold trap before anything else."
          : share < 0.7
            ? "Too large for its room: throttle the inlet, or the room overheats and the far ones starve."
            : "It fits its room.",
      ],
      cautions: [
        "Throttle the inlet only, never the return of a steam radiator: it floods and hammers.",
        ...(steamy ? ["Steam radiators scald: 100 °C iron. Let it cool before the union is cracked."] : []),
      ],
    });
  },
  sources: [
    "EDR: 240 Btu/h·ft² at 215 °F in 70 °F (steam), 150 at 170 °F (water). Exponent 1.3: EN 442. Steam: IAPWS-IF97.",
  ],
  examples: [
    {
      source: "Definition: 10 ft² EDR of steam at 215 °F in 70 °F gives 2400 Btu/h.",
      inputs: { surface: "10 ft2", mean: "215 °F", room: "70 °F", loss: "1200 Btu/h" },
      outputs: { gives: "2400 ± 0.1 Btu/h", share: "50 ± 0.01 %" },
      verdict: "watch",
    },
    {
      source: "By hand: hot water at 120 °F in 70 °F: 150 · (50/100)^1.3 = 60.92 Btu/h·ft².",
      inputs: { medium: "water", surface: "10 ft2", mean: "120 °F", room: "70 °F", loss: "600 Btu/h" },
      outputs: { gives: "609.2 ± 0.2 Btu/h", share: "98.5 ± 0.1 %" },
      verdict: "pass",
    },
  ],
});
