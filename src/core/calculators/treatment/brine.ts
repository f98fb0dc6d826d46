import { circleArea } from "../../physics";
import { ok } from "../../result";
import { calculator } from "../calculator";
import {
  BED_SPEED,
  CONTENT,
  FLOW,
  gaugeField,
  KELVIN,
  MASS,
  MINUTES,
  measured,
  named,
  PLAIN,
  result,
  SIZE,
  temperatureField,
} from "../fields";

const US_GALLON = 231 * 0.0254 ** 3;
/** A US gallon of water dissolves 3 lb of salt; kg/m³ of water. */
const DISSOLVES = (3 * 0.45359237) / US_GALLON;
/** Salt in a m³ of saturated brine, kg: 26.4 % of 1200 kg/m³. */
const BRINE = 317;
const GPM = US_GALLON / 60;
/** Backwash that lifts a softener's bed by half, gpm/ft² by °F: usual of strong-acid resin, 4 at 40 °F and one more for each 20 °F. */
const backwashSpeed = (kelvin: number): number =>
  ((4 + ((kelvin - KELVIN) * 1.8 + 32 - 40) / 20) * GPM) / 0.3048 ** 2;
/** Flow controls are made in these sizes, US gpm. */
const CONTROLS = [0.7, 1, 1.2, 1.5, 2, 2.4, 3, 3.5, 4, 5, 6, 7, 8, 9, 10, 12, 15, 20, 25];

/** Calculation 28: the times of a softener's cycle. */
export const brine = calculator({
  id: "brine",
  chapter: "Water treatment",
  title: "Brine and cycle times",
  says: "Minutes of refill, brine draw, slow rinse and the others, and the flow control for the backwash.",
  words: [
    "brine",
    "refill",
    "injector",
    "backwash",
    "flow control",
    "rinse",
    "cycle",
    "timer",
    "regeneration minutes",
  ],
  inputs: {
    salt: measured("Salt each time", MASS, {
      help: "From the softener's sums.",
      least: 0.05,
      most: 500,
      usual: 3.6,
    }),
    refill: measured("Refill rate", FLOW, {
      help: "Of the refill flow control.",
      least: 1e-6,
      most: 0.01,
      usual: 1.9e-3 / 60,
    }),
    draw: measured("Injector draws", FLOW, {
      help: "Of brine at the pressure below, from its curve.",
      least: 1e-7,
      most: 0.01,
      usual: 1e-3 / 60,
    }),
    motive: measured("Injector's own water", FLOW, {
      help: "At the pressure below, from its curve.",
      least: 1e-7,
      most: 0.02,
      usual: 1.6e-3 / 60,
    }),
    curve: gaugeField("Curve holds at", {
      help: "Pressure the two figures are for.",
      least: 5e4,
      most: 1e6,
      usual: 3e5,
    }),
    pressure: gaugeField("Pressure here", { help: "Flowing.", least: 5e4, most: 1e6, usual: 3e5 }),
    resin: measured("Resin", CONTENT, { help: "In the tank.", least: 1e-3, most: 5, usual: 0.03 }),
    beds: measured("Slow rinse, bed volumes", PLAIN, {
      help: "Two are usual.",
      least: 0.5,
      most: 6,
      usual: 2,
    }),
    tank: measured("Tank's inside diameter", SIZE, {
      help: "Of the resin tank.",
      least: 0.1,
      most: 2,
      usual: 0.25,
    }),
    water: temperatureField("Water", {
      help: "Cold water lifts the bed more.",
      least: KELVIN + 2,
      most: KELVIN + 45,
      usual: KELVIN + 10,
    }),
    backwash: measured("Backwash lasts", MINUTES, {
      help: "Until the drain runs clear: 8 to 15 min.",
      least: 60,
      most: 3600,
      usual: 600,
    }),
    fast: measured("Fast rinse lasts", MINUTES, {
      help: "Packs the bed and takes the last salt: 4 to 10 min.",
      least: 60,
      most: 3600,
      usual: 360,
    }),
  },
  outputs: {
    refillTime: result("Refill", MINUTES),
    brine: result("Brine", CONTENT),
    drawTime: result("Brine draw", MINUTES),
    slowTime: result("Slow rinse", MINUTES),
    drawDial: result("Draw and slow rinse, on the dial", MINUTES),
    speed: result("Backwash speed", BED_SPEED),
    flow: result("Backwash flow", FLOW),
    control: named("Flow control"),
    whole: result("Whole cycle", MINUTES),
    water: result("Water it takes", CONTENT),
  },
  tables: {
    phases: {
      title: "The cycle",
      columns: {
        phase: named("Phase"),
        starts: result("Starts", MINUTES),
        minutes: result("Lasts", MINUTES),
        flow: result("Flow", FLOW),
      },
    },
  },
  compute: (given, say) => {
    const drive = Math.sqrt(given.pressure / given.curve);
    const [drawRate, motive] = [given.draw * drive, given.motive * drive];
    const salt = given.salt;
    const fill = salt / DISSOLVES;
    const refillTime = fill / given.refill;
    const volume = salt / BRINE;
    const drawTime = volume / drawRate;
    const slowTime = (given.resin * given.beds) / motive;
    const speed = backwashSpeed(given.water);
    const flow = speed * circleArea(given.tank);
    const control = CONTROLS.filter((each) => each <= (flow / GPM) * 1.05).at(-1);
    const fastFlow = flow * 0.8;
    let starts = 0;
    const phases = (
      [
        ["backwash", given.backwash, flow],
        ["brine draw", drawTime, drawRate + motive],
        ["slow rinse", slowTime, motive],
        ["fast rinse", given.fast, fastFlow],
        ["refill", refillTime, given.refill],
      ] as const
    ).map(([phase, minutes, rate]) => {
      const row = { phase, starts, minutes, flow: rate };
      starts += minutes;
      return row;
    });
    const long = drawTime > 40 * 60;
    return ok({
      outputs: {
        refillTime,
        brine: volume,
        drawTime,
        slowTime,
        drawDial: drawTime + slowTime,
        speed,
        flow,
        control:
          control === undefined ? "smaller than any made" : `${control} US gpm (${say(control * GPM, FLOW)})`,
        whole: starts,
        water: given.backwash * flow + (drawTime + slowTime) * motive + given.fast * fastFlow + fill,
      },
      tables: { phases },
      verdict: long ? "watch" : "pass",
      reasons: [
        long
          ? "Drawing the brine takes over 40 min: look for a blocked injector screen, an air leak in its line, or a drain too high."
          : `Set ${say(refillTime, MINUTES)} of refill for this salt.`,
      ],
      cautions: [
        "Too much refill overflows the brine tank: its float is the only other guard, try it.",
        "Too fast a backwash washes the resin down the drain: a flow control that is too large empties the tank in one night.",
      ],
    });
  },
  sources: [
    "Refill: 3 lb of salt dissolve in a US gallon. Saturated brine 26.4 %, 1.2 kg/L: any salt table. Backwash for half expansion by temperature: usual of strong-acid resin. Injector flow with the root of pressure.",
  ],
  examples: [
    {
      source: "By hand: 6 lb at 0.5 US gpm: 6/(3 · 0.5) = 4 min.",
      inputs: { salt: "6 lb", refill: "0.5 US gpm" },
      outputs: { refillTime: "4 ± 0.001 min" },
    },
    {
      source:
        "By hand: 60 °F, 10 in tank: 5 gpm/ft² · 0.5454 ft² = 2.727 gpm; the 2.4 control. 60 L of slow rinse at 1.6 L/min: 37.5 min.",
      inputs: { water: "60 °F", tank: "10 in" },
      outputs: { flow: "2.727 ± 0.002 US gpm", slowTime: "37.5 ± 0.01 min", speed: "5 ± 0.001 gpm/ft2" },
      verdict: "pass",
    },
  ],
});
