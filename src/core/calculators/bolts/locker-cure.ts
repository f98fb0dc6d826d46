import { formatDuration } from "../../quantity";
import { ok } from "../../result";
import { calculator } from "../calculator";
import { choice, HOURS, KELVIN, MINUTES, measured, named, result, SIZE, temperatureField } from "../fields";

/**
 * Demonstration figures of an anaerobic threadlocker at 22 °C on steel with a 0.05 mm gap; the tube's own leaflet goes
 * before them. Fixture: it may be handled; full: it may be loaded.
 */
const AT_22_C = { fixture_s: 20 * 60, full_s: 24 * 3600 } as const;
/** Usual of organic cures: twice as long for each 10 K colder (van 't Hoff's rule, good to a factor of 1.5). */
const PER_10_K = 2;
/** Below this anaerobic lockers hardly set. */
const LEAST_K = KELVIN + 5;
const MATERIAL = { steel: 1, brass: 0.5, stainless: 2.5, "plated or plastic": 4 } as const;

/** Calculation 8: which threadlocker, and when it holds. */
export const lockerCure = calculator({
  id: "locker-cure",
  chapter: "Bolts and threads",
  title: "Threadlocker cure",
  says: "Strength class for the fastener, and how long until it may be handled and loaded at this temperature and gap.",
  words: ["threadlocker", "locker", "glue", "cure", "how long to set", "handle", "removable"],
  inputs: {
    diameter: measured("Thread diameter", SIZE, {
      help: "Of the fastener.",
      least: 0.002,
      most: 0.08,
      usual: 0.012,
    }),
    service: choice("It will be", "Whether it comes out again.", {
      often: "taken out again with hand tools",
      seldom: "taken out seldom, with effort",
      never: "never taken out",
    }),
    material: choice("Material", "Anaerobic lockers need active metal.", {
      steel: "plain steel",
      brass: "brass or copper",
      stainless: "stainless steel",
      "plated or plastic": "plated or passive",
    }),
    temperature: temperatureField("Temperature of the parts", {
      help: "While it sets; warm the parts if they are cold.",
      least: KELVIN - 20,
      most: KELVIN + 60,
      usual: KELVIN + 10,
    }),
    gap: measured("Gap", SIZE, {
      help: "Play between the threads: 0.05 mm for a usual fit.",
      least: 0.00001,
      most: 0.0005,
      usual: 0.00005,
    }),
    activator: choice("Activator", "A primer sprayed on first.", { no: "none", yes: "used" }),
  },
  outputs: {
    strength: named("Strength class"),
    fixture: result("May be handled after", MINUTES),
    full: result("May be loaded after", HOURS),
  },
  compute: (given) => {
    const kelvin = given.temperature;
    const service = given.service;
    const thick = given.diameter > 0.02;
    const strength =
      service === "often" ? (thick ? "medium" : "low to medium") : service === "seldom" ? "medium" : "high";
    const gap = given.gap / 5e-5;
    const slower =
      PER_10_K ** ((KELVIN + 22 - kelvin) / 10) *
      Math.max(1, gap) *
      (given.activator === "yes" ? 0.3 : MATERIAL[given.material]);
    const cold = kelvin < LEAST_K && given.activator === "no";
    const wide = gap > 5;
    const full = AT_22_C.full_s * slower;
    return ok({
      outputs: { strength, fixture: AT_22_C.fixture_s * slower, full },
      verdict: cold || wide ? "fail" : "pass",
      reasons: [
        cold
          ? "Too cold: it will hardly set. Warm the parts above 5 °C or use an activator."
          : wide
            ? "The gap is too wide for a threadlocker: it stays wet inside."
            : `Leave it ${formatDuration(full)} before pressure or torque comes on it. Set a bell.`,
      ],
      ...(!cold &&
        !wide && {
          bell: { kind: "in" as const, seconds: full, look: "The threadlocker has cured: it may be loaded." },
        }),
      cautions: [
        "Demonstration figures: the leaflet of the tube in hand goes before them.",
        "A locker wets like oil: torque for oiled thread, or the bolt is overstretched.",
        "Not on oxygen lines, not on plastics that craze, none where the sheet says dry.",
      ],
    });
  },
  sources: [
    "Twice as long for each 10 K colder: van 't Hoff's rule of thumb, any chemistry text. Times at 22 °C: demonstration data.",
  ],
  examples: [
    {
      source: "By hand: at 12 °C twice the 24 h at 22 °C.",
      inputs: { temperature: "12 °C" },
      outputs: { full: "48 ± 0.001 h", fixture: "40 ± 0.001 min" },
      verdict: "pass",
    },
    {
      source: "By hand: brass at 22 °C halves it: 12 h.",
      inputs: { temperature: "22 °C", material: "brass" },
      outputs: { full: "12 ± 0.001 h" },
    },
    {
      source: "Below 5 °C it does not set.",
      inputs: { temperature: "0 °C" },
      outputs: { strength: "low to medium" },
      verdict: "fail",
    },
  ],
});
