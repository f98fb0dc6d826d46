import { err, ok } from "../../result";
import { calculator } from "../calculator";
import { choice, DEGREES, KELVIN, MINUTES, measured, result, temperatureField } from "../fields";

/** Bare metal that burns nobody in this time. ISO 13732-1: 1 min 51 °C, 10 min 48 °C, 8 h and longer 43 °C. */
const TOUCHED = { minute: KELVIN + 51, ten: KELVIN + 48, held: KELVIN + 43 } as const;

/** How long a hot body takes until it may be touched, by two readings of its own. */
export const coolDown = calculator({
  id: "cool-down",
  chapter: "Steam and heating",
  title: "Cool-down",
  says: "How long until a hot body may be touched, from two readings some minutes apart.",
  words: ["cool down", "too hot to touch", "wait until cold", "burn", "how long to cool", "hot body"],
  inputs: {
    first: temperatureField("First reading", {
      help: "On the wiped metal, steam off.",
      least: KELVIN - 20,
      most: KELVIN + 450,
      usual: KELVIN + 95,
    }),
    second: temperatureField("Second reading", {
      help: "At the same spot.",
      least: KELVIN - 20,
      most: KELVIN + 450,
      usual: KELVIN + 85,
    }),
    time: measured("Time between", MINUTES, {
      help: "Ten minutes tell more than two.",
      least: 60,
      most: 86_400,
      usual: 600,
    }),
    air: temperatureField("Air round it", {
      help: "Where it stands.",
      least: KELVIN - 40,
      most: KELVIN + 60,
      usual: KELVIN + 20,
    }),
    touched: choice("Touched for", "By a bare hand; a glove is for what slips.", {
      minute: "a minute at most",
      ten: "ten minutes",
      held: "as long as the work takes",
    }),
  },
  outputs: {
    wait: result("Wait, from the second reading", MINUTES),
    constant: result("Falls to a third of its excess in", MINUTES),
    limit: result("May be touched below", DEGREES),
  },
  compute: (given, say) => {
    const { first, second, air } = given;
    const limit = TOUCHED[given.touched];
    if (second >= first)
      return err({
        input: "second",
        message: "It does not fall: something still heats it. Is the steam off, and does its stop hold?",
      });
    if (second <= air)
      return err({
        input: "second",
        message: "Colder than the air round it: read again on the wiped metal.",
      });
    if (limit <= air)
      return err({
        input: "air",
        message: "The air itself is hotter than what may be touched: gloves, and a fan.",
      });
    const constant = given.time / Math.log((first - air) / (second - air));
    const wait = Math.max(0, constant * Math.log((second - air) / (limit - air)));
    return ok({
      outputs: { wait, constant, limit },
      verdict: wait === 0 ? "pass" : "watch",
      reasons: [
        wait === 0
          ? `It may be touched: it is below ${say(limit, DEGREES)}.`
          : `Below ${say(limit, DEGREES)} in ${say(wait, MINUTES)} from the second reading. Measure it then: the clock is no thermometer.`,
      ],
      cautions: [
        "Never cooled with water: iron cracks, and what is in it flashes.",
        "Cool outside is not cold inside: zero is proven all the same.",
      ],
    });
  },
  sources: [
    "Newton's law of cooling: the excess over the air falls by the same share in the same time.",
    "What may be touched: ISO 13732-1, burn thresholds of bare metal.",
  ],
  examples: [
    {
      source:
        "By hand: excess 75 to 65 K in 10 min: 10/ln(75/65) = 69.9 min; 65 to 31 K (51 °C): 69.9 · ln(65/31) = 51.7 min.",
      inputs: {},
      outputs: { wait: "51.74 ± 0.1 min", constant: "69.88 ± 0.1 min" },
      verdict: "watch",
    },
    {
      source: "45 °C is below the 48 °C that ten minutes bear.",
      inputs: { first: "60 °C", second: "45 °C", touched: "ten" },
      outputs: { wait: "0 ± 0.001 min" },
      verdict: "pass",
    },
  ],
});
