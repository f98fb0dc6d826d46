import { circleArea, napierFlux, steamFlux } from "../../physics";
import { absolute } from "../../quantity";
import { err, ok } from "../../result";
import { calculator } from "../calculator";
import {
  AIR_ON_SITE,
  choice,
  gaugeField,
  MASS_FLOW,
  MONEY,
  measured,
  PERCENT,
  PLAIN,
  result,
  SIZE,
} from "../fields";

const MONTH_S = (365.25 / 12) * 86_400;
const TONNE = 1000;
/** Safety factor of the capacity by duty. */
const FACTOR = { heater: 3, main: 2 } as const;
/** Below this ratio of pressures steam is choked. */
const CHOKED = 0.58;

/** Calculation 17: what a steam trap blows when it sticks open. */
export const trapLoss = calculator({
  id: "trap-loss",
  chapter: "Steam and heating",
  title: "Steam trap loss",
  says: "Live steam lost through a trap that is stuck open, what it costs a month, and whether the trap is large enough.",
  words: [
    "trap",
    "steam trap",
    "blowing through",
    "stuck open",
    "bucket",
    "steam loss",
    "orifice",
    "condensate",
  ],
  inputs: {
    pressure: gaugeField("Steam before the trap", {
      help: "On the gauge nearest to it.",
      least: 0,
      most: 1.6e7,
      usual: 6e5,
    }),
    back: gaugeField("Back pressure", {
      help: "In the condensate line; open: 0.",
      least: -5e4,
      most: 1.6e7,
      usual: 0,
    }),
    orifice: measured("Orifice", SIZE, {
      help: "Bore of the seat, from the sheet or measured with a drill shank.",
      least: 0.0005,
      most: 0.05,
      usual: 0.0032,
    }),
    coefficient: measured("Discharge coefficient", PLAIN, {
      help: "0.7 for a plain seat.",
      least: 0.3,
      most: 1,
      usual: 0.7,
    }),
    share: measured("Of that is live steam", PERCENT, {
      help: "Condensate takes part of the hole: 25 to 50 % of the dry figure is usual.",
      least: 0.01,
      most: 1,
      usual: 0.5,
    }),
    price: measured("Steam costs, a tonne", MONEY, {
      help: "In your money.",
      least: 0,
      most: 1000,
      usual: 40,
    }),
    load: measured("Condensate load", MASS_FLOW, {
      help: "What the heater makes; empty: only the loss is worked out.",
      least: 0,
      most: 10,
      optional: true,
    }),
    capacity: measured("Trap's capacity", MASS_FLOW, {
      help: "At this difference of pressure, from its sheet.",
      least: 1e-5,
      most: 100,
      optional: true,
    }),
    duty: choice("Duty", "What it drains decides the safety factor.", {
      heater: "heater under control, factor 3",
      main: "main or steady load, factor 2",
    }),
    surroundings: AIR_ON_SITE,
  },
  outputs: {
    loss: result("Live steam lost", MASS_FLOW),
    cost: result("Cost in a month", MONEY),
    napier: result("Dry steam, Napier", MASS_FLOW),
    isentropic: result("Dry steam, isentropic (IF97)", MASS_FLOW),
    needed: result("Capacity wanted, with its factor", MASS_FLOW, "optional"),
    spare: result("Capacity over load", PLAIN, "optional"),
  },
  compute: (given, say) => {
    const air = given.surroundings;
    const [before, behind] = [absolute(given.pressure, air), absolute(given.back, air)];
    if (behind >= before)
      return err({ input: "back", message: "The back pressure must be below the steam pressure." });
    const area = circleArea(given.orifice) * given.coefficient;
    const napier = napierFlux(before) * area;
    const isentropic = steamFlux(before, behind) * area;
    const loss = isentropic * given.share;
    const { load, capacity } = given;
    const needed = load === undefined ? undefined : load * FACTOR[given.duty];
    const small = needed === undefined || capacity === undefined ? undefined : capacity < needed;
    return ok({
      outputs: {
        napier,
        isentropic,
        loss,
        cost: ((loss * MONTH_S) / TONNE) * given.price,
        needed,
        spare: load === undefined || load === 0 || capacity === undefined ? undefined : capacity / load,
      },
      ...(small !== undefined && { verdict: small ? ("fail" as const) : ("pass" as const) }),
      reasons: [
        ...(small === undefined
          ? []
          : [
              small
                ? "Too small: with its safety factor the load floods the heater, and cold condensate hammers."
                : "Large enough for its load with the usual factor.",
            ]),
        `Stuck open it blows ${say(loss, MASS_FLOW)}.`,
      ],
      cautions: [
        ...(behind / before > CHOKED
          ? ["The back pressure is high: Napier's rule does not hold, the isentropic figure does."]
          : []),
        "Flash steam at an open outlet is not a loss: look for a steady clear jet. Stand aside: it scalds, and dry steam cannot be seen.",
      ],
    });
  },
  sources: [
    "Napier: W = 51.4·A·p (lb/h, in², psia), any boiler text. Isentropic: IAPWS-IF97, equilibrium expansion. Safety factors 2 to 3: usual steam practice.",
  ],
  examples: [
    {
      source:
        "Napier by hand: 1/8 in hole at 100 psi g (114.7 psia): 0.012272 · 114.7 · 3600/70 = 72.39 lb/h, coefficient 1.",
      inputs: { pressure: "100 psi g", orifice: "1/8 in", coefficient: "1" },
      outputs: { napier: "72.39 ± 0.05 lb/h", isentropic: "72.4 ± 2.2 lb/h" },
    },
    {
      source:
        "The same with 0.7 and half of it steam, 40 a tonne: 72.39 · 0.4536 · 0.35 = 11.49 kg/h, 8.39 t a month: 336 (the isentropic figure is within 3 %).",
      inputs: { pressure: "100 psi g", orifice: "1/8 in", load: "100 kg/h", capacity: "350 kg/h" },
      outputs: { loss: "11.49 ± 0.35 kg/h", cost: "336 ± 10 ¤", needed: "300 ± 0.01 kg/h" },
      verdict: "pass",
    },
  ],
});
