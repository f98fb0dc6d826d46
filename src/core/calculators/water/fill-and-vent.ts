import { circleArea, GASES, gasDensity, gasFlow } from "../../physics";
import { formatDuration, pascalsAbsolute } from "../../quantity";
import { ok } from "../../result";
import { calculator } from "../calculator";
import {
  AIR_ON_SITE,
  CONTENT,
  FLOW,
  KELVIN,
  MINUTES,
  measured,
  PLAIN,
  RUN,
  result,
  SIZE,
  SMALL_DIFFERENCE,
  SPEED,
} from "../fields";

/** Filling faster than this slams the last air out: AWWA M51 asks for about 0.3 m/s (1 ft/s). */
const FILL_SPEED = 0.3;
const AIR_K = KELVIN + 15;

/** Calculation 11: how fast a main may be filled. */
export const fillAndVent = calculator({
  id: "fill-and-vent",
  chapter: "Water and fire",
  title: "Fill and vent",
  says: "How fast a pipe may be filled so that its air valve lets the air out, how long it takes, and when to stop.",
  words: ["fill", "air valve", "vent", "slow fill", "how long to fill", "air", "recharge", "refill"],
  inputs: {
    bore: measured("Bore of the pipe", SIZE, {
      help: "Inside diameter.",
      least: 0.005,
      most: 3,
      usual: 0.15,
    }),
    length: measured("Length to fill", RUN, {
      help: "All that is empty.",
      least: 0.1,
      most: 50_000,
      usual: 420,
    }),
    orifice: measured("Air valve's orifice", SIZE, {
      help: "Bore of its large orifice; a hose gate: its bore.",
      least: 0.0005,
      most: 0.3,
      usual: 0.025,
    }),
    valves: measured("Such orifices open", PLAIN, {
      help: "How many vent this length.",
      least: 1,
      most: 20,
      usual: 1,
    }),
    blow: measured("Air pressure while venting", SMALL_DIFFERENCE, {
      help: "Kept low so that the float is not blown shut: 20 to 140 mbar.",
      least: 100,
      most: 3.5e4,
      usual: 7000,
    }),
    coefficient: measured("Discharge coefficient", PLAIN, {
      help: "0.6 for a plain orifice; the maker's curve goes before.",
      least: 0.2,
      most: 1,
      usual: 0.6,
    }),
    supply: measured("Supply can give", FLOW, {
      help: "Most that comes through the filling valve.",
      least: 1e-6,
      most: 5,
      usual: 0.02,
    }),
    surroundings: AIR_ON_SITE,
  },
  outputs: {
    rate: result("Fill at", FLOW),
    time: result("Takes", MINUTES),
    volume: result("To fill", CONTENT),
    air: result("Air the vents pass", FLOW),
    bySpeed: result("Limit by speed of water", FLOW),
    speed: result("Water then runs at", SPEED),
  },
  compute: (given) => {
    const area = circleArea(given.bore);
    const air = given.surroundings;
    const before = pascalsAbsolute(air + given.blow);
    const orifice = circleArea(given.orifice) * given.valves;
    const kilograms = gasFlow(GASES.air, before, air, AIR_K, orifice, given.coefficient);
    // The air in the pipe stands at the venting pressure: so much of it makes room for water.
    const free = kilograms / gasDensity(GASES.air, before, AIR_K);
    const bySpeed = area * FILL_SPEED;
    const rate = Math.min(free, bySpeed, given.supply);
    const volume = area * given.length;
    const time = volume / rate;
    return ok({
      outputs: { volume, air: free, bySpeed, rate, speed: rate / area, time },
      verdict: free < 0.5 * bySpeed ? "watch" : "pass",
      reasons: [
        rate === free
          ? `The vents set the pace: open more of them, or take ${formatDuration(time)}.`
          : rate === bySpeed
            ? `0.3 m/s of water sets the pace: ${formatDuration(time)}.`
            : `The supply sets the pace: ${formatDuration(time)}.`,
      ],
      cautions: [
        "When water comes solid and the vent shuts, stop, let it stand, and only then raise the pressure: a float that slams shut hammers the main.",
        "Stay beside the vent the whole time; air squeezed in a plugged vent bursts pipe and caps.",
      ],
    });
  },
  sources: ["Air through an orifice: isentropic flow (ISO 9300 text); filling at about 0.3 m/s: AWWA M51."],
  examples: [
    {
      source:
        "By hand: 420 m of 150 mm hold 7.42 m³; at 0.3 m/s 5.30 L/s = 318 L/min it takes 1400 s; the 25 mm vent passes about 30 L/s at 70 mbar, so speed rules.",
      inputs: {},
      outputs: { volume: "7422 ± 1 L", rate: "318.1 ± 0.2 L/min", time: "23.33 ± 0.02 min" },
      verdict: "pass",
    },
    {
      source:
        "By hand, √(2Δp/ρ) = √(2·1000/1.237) = 40.2 m/s through C·A = 0.6·7.854e-5: 1.895 L/s at 10 mbar (within 1 % of isentropic).",
      inputs: { orifice: "10 mm", blow: "10 mbar" },
      outputs: { air: "113.7 ± 1.2 L/min" },
      verdict: "watch",
    },
  ],
});
