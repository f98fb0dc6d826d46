import { circleArea, GASES, gasDensity, gasFlow } from "../../physics";
import { formatDuration, pascalsAbsolute } from "../../quantity";
import { ok } from "../../result";
import { calculator } from "../calculator";
import {
  AIR_ON_SITE,
  byName,
  CONTENT,
  choice,
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
/** Of the air's pressure: below it water boils at 15 °C anyway. */
const MOST_VACUUM = 0.98;
/** No buried pipe is round: half of what a round one bears. */
const SAFE = 2;

/** Modulus of elasticity, Pa, for a load that comes at once. */
const PIPES = {
  steel: { name: "steel", stiffness: 210e9 },
  iron: { name: "ductile iron", stiffness: 170e9 },
  pvc: { name: "PVC-U", stiffness: 3e9 },
  pe: { name: "polyethylene", stiffness: 0.8e9 },
} as const;
/** Poisson's ratio of metals; plastics have a little more, and bear a little more by it. */
const POISSON = 0.3;

/** Pressure from outside that buckles a long round tube: 2E/(1 − ν²)·(t/d)³, d the mean diameter. Pa */
const crushedAt = (stiffness: number, wall: number, bore: number): number =>
  ((2 * stiffness) / (1 - POISSON ** 2)) * (wall / (bore + wall)) ** 3;

/** Calculation 11: how fast a main may be filled. */
export const fillAndVent = calculator({
  id: "fill-and-vent",
  chapter: "Water and fire",
  title: "Fill, vent and empty",
  says: "How fast a pipe may be filled so that its air valve lets the air out, how long it takes, and when to stop; and the vacuum as it empties, against what its wall bears.",
  words: [
    "fill",
    "air valve",
    "vent",
    "slow fill",
    "how long to fill",
    "air",
    "recharge",
    "refill",
    "empty",
    "vacuum",
    "collapse",
    "crushed pipe",
  ],
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
    leaving: measured("Water leaves at", FLOW, {
      help: "When it is emptied or bursts; leave it out where only filling matters.",
      least: 1e-6,
      most: 5,
      optional: true,
    }),
    wall: measured("Wall of the pipe", SIZE, {
      help: "Thickness, less what rust has taken.",
      least: 0.0002,
      most: 0.1,
      usual: 0.004,
    }),
    pipe: choice("Pipe of", "What keeps it round.", byName(PIPES)),
    surroundings: AIR_ON_SITE,
  },
  outputs: {
    rate: result("Fill at", FLOW),
    time: result("Takes", MINUTES),
    volume: result("To fill", CONTENT),
    air: result("Air the vents pass", FLOW),
    bySpeed: result("Limit by speed of water", FLOW),
    speed: result("Water then runs at", SPEED),
    vacuum: result("Vacuum as it empties", SMALL_DIFFERENCE, "optional"),
    crushed: result("A round pipe is crushed at", SMALL_DIFFERENCE),
  },
  compute: (given, say) => {
    const area = circleArea(given.bore);
    const air = given.surroundings;
    const before = pascalsAbsolute(air + given.blow);
    const orifice = circleArea(given.orifice) * given.valves;
    const kilograms = gasFlow(GASES.air, before, air, AIR_K, orifice, given.coefficient);
    // The air in the pipe stands at the venting pressure: so much of it makes room for water.
    const free = kilograms / gasDensity(GASES.air, before, AIR_K);
    /** Where as much air comes in as water leaves: outside air, at what the orifices pass into this vacuum. */
    const vacuumAt = (leaving: number): number => {
      let [low, high] = [0, air * MOST_VACUUM];
      for (let half = 0; half < 50; half++) {
        const vacuum = (low + high) / 2;
        const inside = pascalsAbsolute(air - vacuum);
        const comes = gasFlow(GASES.air, air, inside, AIR_K, orifice, given.coefficient);
        if (comes / gasDensity(GASES.air, inside, AIR_K) < leaving) low = vacuum;
        else high = vacuum;
      }
      return high;
    };
    const bySpeed = area * FILL_SPEED;
    const rate = Math.min(free, bySpeed, given.supply);
    const volume = area * given.length;
    const time = volume / rate;
    const crushed = crushedAt(PIPES[given.pipe].stiffness, given.wall, given.bore);
    const vacuum = given.leaving === undefined ? undefined : vacuumAt(given.leaving);
    const flattens = vacuum !== undefined && vacuum > crushed / SAFE;
    return ok({
      outputs: { volume, air: free, bySpeed, rate, speed: rate / area, time, vacuum, crushed },
      verdict: flattens ? "stop" : free < 0.5 * bySpeed ? "watch" : "pass",
      reasons: [
        ...(flattens
          ? [
              `Emptied so fast it stands at ${say(vacuum, SMALL_DIFFERENCE)} of vacuum; out of round it is crushed at half of ${say(crushed, SMALL_DIFFERENCE)}. Let it out more slowly, or open more vents.`,
            ]
          : []),
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
  sources: [
    "Air through an orifice: isentropic flow (ISO 9300 text); filling at about 0.3 m/s: AWWA M51.",
    "Buckling of a long tube under outside pressure, 2E/(1 − ν²)·(t/d)³: Roark's Formulas for Stress and Strain. Moduli: EN 10220, EN 545, EN ISO 1452-2, EN 12201-1.",
  ],
  examples: [
    {
      source:
        "By hand: 420 m of 150 mm hold 7.42 m³; at 0.3 m/s 5.30 L/s = 318 L/min it takes 1400 s; the 25 mm vent passes about 30 L/s at 70 mbar, so speed rules.",
      inputs: {},
      outputs: { volume: "7422 ± 1 L", rate: "318.1 ± 0.2 L/min", time: "23.33 ± 0.02 min" },
      verdict: "pass",
    },
    {
      source: "By hand: 2 · 3e9/0.91 · (3/153)³ = 49.7 kPa; polyethylene 0.8/3 of that.",
      inputs: { wall: "3 mm", pipe: "pvc" },
      outputs: { crushed: "497 ± 1 mbar" },
    },
    {
      source:
        "By hand, incompressible: 10 L/s through 0.6 · 4.909e-4 m² is 34 m/s of air: ½ · 1.2 · 34² = 7 mbar; a thin pipe bears it.",
      inputs: { leaving: "600 L/min" },
      outputs: { vacuum: "7.05 ± 0.2 mbar" },
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
