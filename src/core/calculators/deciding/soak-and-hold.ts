import { formatDuration } from "../../quantity";
import { err, ok } from "../../result";
import { calculator } from "../calculator";
import {
  byName,
  choice,
  DEGREES,
  day,
  KELVIN,
  MINUTES,
  measured,
  named,
  result,
  temperatureField,
} from "../fields";
import { writeDate } from "../read-inputs";

const MINUTE_S = 60;
/** Usual length, s, and what to look at when the bell rings. */
const WAITS = {
  soak: {
    name: "soak in penetrant or descaler",
    seconds: 30 * MINUTE_S,
    look: "Look whether it still fizzes or creeps. Try it by hand before a bar.",
  },
  cure: {
    name: "cure of a sealant or locker",
    seconds: 24 * 3600,
    look: "Touch the squeezed-out bead: dry all through? Then load it.",
  },
  stand: {
    name: "stand at zero or under test",
    seconds: 60 * MINUTE_S,
    look: "Read gauge and temperature again, and compare.",
  },
  bleed: {
    name: "bleed or drain",
    seconds: 15 * MINUTE_S,
    look: "Nothing more at the vent and the gauge at zero? Leave the vent open.",
  },
  cool: {
    name: "cool down",
    seconds: 0,
    look: "Measure the metal, not the air. Cool enough to touch for ten seconds?",
  },
} as const;
const LONGEST_S = 30 * 86_400;

/** Calculation 40: any wait as a bell: when it ends, and what to look at then. */
export const soakAndHold = calculator({
  id: "soak-and-hold",
  chapter: "Deciding and timing",
  title: "Soak and hold",
  says: "Any wait as a bell: when it ends and what to look at then. Cooling is worked out from two temperatures.",
  words: ["wait", "soak", "cool down", "bell", "timer", "hold", "cure", "bleed", "how long to wait"],
  inputs: {
    what: choice("Wait", "What is waited for.", byName(WAITS)),
    start: day("Begun", "Day and time.", { withTime: true, usual: "now" }),
    lasts: measured("Lasts", MINUTES, {
      help: "Empty: the usual time.",
      least: 1,
      most: LONGEST_S,
      optional: true,
      when: { input: "what", is: ["soak", "cure", "stand", "bleed"] },
    }),
    first: temperatureField("Temperature at the start", {
      help: "Of the metal.",
      least: KELVIN - 60,
      most: KELVIN + 600,
      usual: KELVIN + 140,
      when: { input: "what", is: ["cool"] },
    }),
    second: temperatureField("Temperature some time later", {
      help: "At the same spot.",
      least: KELVIN - 60,
      most: KELVIN + 600,
      usual: KELVIN + 110,
      when: { input: "what", is: ["cool"] },
    }),
    between: measured("Time between the two", MINUTES, {
      help: "Ten minutes or more.",
      least: 10,
      most: LONGEST_S,
      usual: 10 * MINUTE_S,
      when: { input: "what", is: ["cool"] },
    }),
    around: temperatureField("Air around it", {
      help: "Of the room.",
      least: KELVIN - 60,
      most: KELVIN + 80,
      usual: KELVIN + 20,
      when: { input: "what", is: ["cool"] },
    }),
    wanted: temperatureField("Wanted", {
      help: "45 °C can be touched.",
      least: KELVIN - 60,
      most: KELVIN + 300,
      usual: KELVIN + 45,
      when: { input: "what", is: ["cool"] },
    }),
  },
  outputs: { ends: named("Bell rings at"), look: named("Look at then"), lasts: result("Lasts", MINUTES) },
  compute: (given, say) => {
    const what = given.what;
    let lasts: number = given.lasts ?? WAITS[what].seconds;
    if (what === "cool") {
      const { first, second, around, wanted } = given;
      const [a, b, c] = [first - around, second - around, wanted - around];
      if (Math.abs(a) < 1)
        return err({
          input: "first",
          message: "It is as warm as the air already: there is nothing to wait for.",
        });
      if (b / a <= 0 || b / a >= 1)
        return err({
          input: "second",
          message: "The second temperature must lie between the first and the air around: is it cooling?",
        });
      if (c / a <= 0)
        return err({
          input: "wanted",
          message: "It never gets there: the air around is on the other side of that.",
        });
      lasts = c / a >= 1 ? 1 : (given.between * Math.log(a / c)) / Math.log(a / b);
    }
    if (!(lasts <= LONGEST_S))
      return err({
        input: what === "cool" ? "wanted" : "lasts",
        message: "That is over a month: plan another visit instead.",
      });
    return ok({
      outputs: {
        lasts,
        ends: writeDate(given.start + lasts, true).replace("T", " "),
        look: WAITS[what].look,
      },
      reasons: [`${formatDuration(lasts)}. ${WAITS[what].look}`],
      bell: { kind: "at", wall: given.start + lasts, look: WAITS[what].look },
      cautions: [
        what === "cool"
          ? `A thick body cools slower inside: it warms again outside when ${say(given.wanted, DEGREES)} is first read.`
          : "Leave word and a tag: somebody else may come by while it waits.",
      ],
    });
  },
  sources: [
    "Cooling by Newton's law, ΔT = ΔT₀·e^(−t/τ), τ from two readings. Usual waits: demonstration data; the sheet goes before.",
  ],
  examples: [
    {
      source:
        "By hand: from 140 to 110 in air of 20 in 10 min: τ = 10/ln(120/90) = 34.76 min; to 45: 34.76 · ln(120/25) = 54.5 min.",
      inputs: { what: "cool", start: "2026-03-02T08:00" },
      outputs: { lasts: "54.53 ± 0.02 min", ends: "2026-03-02 08:54" },
    },
    {
      source: "By the clock: 24 h from 16:20.",
      inputs: { what: "cure", start: "2026-03-02T16:20" },
      outputs: { ends: "2026-03-03 16:20" },
    },
  ],
});
