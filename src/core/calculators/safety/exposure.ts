import { GASES, gasDensity, WATER_HEAT } from "../../physics";
import { pascalsAbsolute } from "../../quantity";
import { err, ok } from "../../result";
import { calculator } from "../calculator";
import type { Shown, Verdict } from "../declaration";
import {
  ATMOSPHERE,
  CONTENT,
  choice,
  KELVIN,
  MASS,
  MINUTES,
  measured,
  named,
  PERCENT,
  PLAIN,
  ROOM,
  result,
  WARMING,
} from "../fields";

const PPM: Shown = { dimension: "number", units: { metric: "ppm", us: "ppm" } };
const ppm = (parts: number) => parts * 1e-6;
/** NIOSH Pocket Guide: 8 h, 15 min, immediately dangerous. Lower flammable limit of ammonia in air 15 %. */
const LIMITS = {
  ammonia: { day: ppm(25), short: ppm(35), danger: ppm(300), flames: 0.15, filter: ppm(250) },
  co2: { day: ppm(5000), short: ppm(30_000), danger: ppm(40_000), flames: undefined, filter: 0 },
} as const;
/** 100 lb of ammonia: reportable quantity of 40 CFR 302.4. CO2 has none. */
const REPORTABLE = 100 * 0.45359237;
/** One pound of ammonia to a gallon of water is what a dump tank is sized by (ASHRAE 15), m³/kg. */
const ABSORBS = (231 * 0.0254 ** 3) / 0.45359237;
/** Heat of solution of ammonia gas in much water: 34.2 kJ/mol (CODATA: −45.94 to −80.29 kJ/mol), J/kg. */
const SOLUTION = 34_350 / 0.0170305;

/** Calculation 43: what a reading of ammonia or CO2 means, how long to air, and whether a release is reported. */
export const exposure = calculator({
  id: "exposure",
  chapter: "Safety margins",
  title: "Exposure",
  says: "What an ammonia or CO2 reading means against public limits, what gear it rules out, and how long to air the room.",
  words: [
    "exposure",
    "ppm",
    "ammonia",
    "co2",
    "detector alarm",
    "respirator",
    "ventilate",
    "air changes",
    "release",
    "reportable",
    "idlh",
  ],
  inputs: {
    gas: choice("Gas", "What leaks.", { ammonia: "ammonia", co2: "CO2" }),
    reading: measured("Detector reads", PPM, {
      help: "At breathing height; 1 % is 10 000 ppm.",
      least: 0,
      most: 1,
    }),
    gear: choice("Gear in hand", "What is meant to be worn.", {
      none: "none",
      half: "half mask with the right filter",
      full: "full-face mask with the right filter",
      air: "breathing air (SCBA)",
    }),
    room: measured("Room", ROOM, { help: "Air in it.", least: 0.5, most: 1e6, usual: 240 }),
    changes: measured("Air changes in an hour", PLAIN, {
      help: "Fan's flow over the room; mixing is never perfect.",
      least: 0.05,
      most: 120,
      usual: 12,
    }),
    mixing: measured("Mixing", PERCENT, {
      help: "A fan in a corner reaches half of the room.",
      least: 0.1,
      most: 1,
      usual: 0.5,
    }),
    released: measured("Released so far", MASS, {
      help: "Guess by level or charge; none: 0.",
      least: 0,
      most: 1e5,
      usual: 0,
    }),
    water: measured("Water to take it up", CONTENT, {
      help: "In the dump tank or drum; ammonia only.",
      least: 0,
      most: 1000,
      usual: 0.2,
    }),
  },
  outputs: {
    means: named("The reading is"),
    gear: named("Gear"),
    time: result("Airs to the day's limit in", MINUTES),
    would: result("Released, it would make in this room", PPM, "optional"),
    report: named("Report"),
    needed: result("Water to take it up", CONTENT, "optional"),
    warms: result("That water warms by", WARMING, "optional"),
  },
  compute: (given, say) => {
    const gas = given.gas;
    const limit = LIMITS[gas];
    const reading = given.reading;
    const gear = given.gear;
    const released = given.released;
    const changes = (given.changes * given.mixing) / 3600;
    const time = reading > limit.day ? Math.log(reading / limit.day) / changes : 0;
    const density = gasDensity(GASES[gas], pascalsAbsolute(ATMOSPHERE), KELVIN + 15);
    const would = Math.min(1, released / density / given.room);
    if (released > 0 && given.water > 0 && gas === "ammonia" && released / (given.water * 1000) > 1)
      return err({
        input: "water",
        message: "So little water does not take that up: it boils and spits. Give more water, or none.",
      });
    const filtered = gear !== "none" && reading <= limit.filter;
    const worn = gear === "air" || reading <= limit.day || filtered;
    const flames = limit.flames !== undefined && reading >= 0.25 * limit.flames;
    const means =
      reading >= limit.danger
        ? "immediately dangerous"
        : reading > limit.short
          ? "over the 15-minute limit"
          : reading > limit.day
            ? "over the day's limit"
            : "under the day's limit";
    const verdict: Verdict =
      !worn || reading >= limit.danger || flames ? "stop" : reading > limit.day ? "watch" : "pass";
    const reported = gas === "ammonia" && released >= REPORTABLE;
    return ok({
      outputs: {
        means,
        gear: worn
          ? gear === "none"
            ? "none needed at this reading"
            : "may be worn at this reading, if fitted and in date"
          : gas === "co2"
            ? "ruled out: no filter takes CO2, breathing air only"
            : "ruled out at this reading",
        time,
        would: released > 0 ? would : undefined,
        report:
          released === 0
            ? "nothing released yet"
            : gas === "co2"
              ? "no quantity set: by your site's procedure"
              : reported
                ? "at once to the authorities: over 100 lb (45.4 kg)"
                : `under 100 lb (45.4 kg); ${say.figure((100 * released) / REPORTABLE)} % of it`,
        needed: gas === "ammonia" && released > 0 ? released * ABSORBS : undefined,
        warms:
          gas === "ammonia" && released > 0 && given.water > 0
            ? (released * SOLUTION) / (given.water * 1000 * WATER_HEAT)
            : undefined,
      },
      verdict,
      reasons: [
        flames
          ? "A quarter of the flammable limit: everybody out, power off from outside, only those trained and in full gear go near."
          : !worn
            ? "Out, upwind, and call: this gear does not protect at this reading."
            : reading >= limit.danger
              ? "Immediately dangerous: only those trained for it, in breathing air, with a second one outside."
              : reading > limit.day
                ? `Air it ${say(time, MINUTES)} and read again before anyone works there.`
                : "Work may go on while it reads no more than this. Keep the detector on you.",
      ],
      cautions: [
        gas === "ammonia"
          ? "Ammonia burns eyes and lungs at once: eyewash first, 15 minutes. Water fog from upwind; never a jet on the liquid."
          : "CO2 sinks into pits and smothers without a smell: a reading at the door says nothing of the pit.",
        "Limits and gear are what your law and site say; these are the public ones named below.",
      ],
    });
  },
  sources: [
    "Limits: NIOSH Pocket Guide to Chemical Hazards (ammonia 25/35/300 ppm, CO2 5000/30 000/40 000 ppm). Reportable quantity: 40 CFR 302.4. Water: ASHRAE 15, a gallon for a pound. Heat of solution: CODATA. Airing: c = c₀·e^(−n·t).",
  ],
  examples: [
    {
      source: "By hand: 300 to 25 ppm at 12 · 0.5 changes an hour: ln 12/6 h = 24.8 min.",
      inputs: { reading: "300 ppm", gear: "air" },
      outputs: { time: "24.85 ± 0.01 min", means: "immediately dangerous" },
      verdict: "stop",
    },
    {
      source:
        "40 CFR 302.4: 100 lb. Water by ASHRAE 15: 100 US gal; 45.36 kg in 1 m³ warm it by 45.36 · 2017/4187 = 21.9 K.",
      inputs: { reading: "20 ppm", released: "100 lb", water: "1 m3" },
      outputs: { needed: "100 ± 0.01 US gal", warms: "21.85 ± 0.1 ΔK" },
    },
    {
      source: "NIOSH: CO2 at 20 000 ppm is over the day's limit; no filter takes it.",
      inputs: { gas: "co2", reading: "20000 ppm", gear: "full" },
      outputs: { gear: "ruled out: no filter takes CO2, breathing air only" },
      verdict: "stop",
    },
    {
      source: "20 ppm of ammonia is under 25.",
      inputs: { reading: "20 ppm" },
      outputs: { means: "under the day's limit", time: "0 ± 0 min" },
      verdict: "pass",
    },
  ],
});
