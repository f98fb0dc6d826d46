import { waterBulkModulus, waterDensity } from "../../physics";
import { err, ok } from "../../result";
import { calculator } from "../calculator";
import {
  byName,
  choice,
  DIFFERENCE,
  GAUGE,
  gaugeField,
  KELVIN,
  measured,
  RUN,
  result,
  SECONDS,
  SIZE,
  SPEED,
  temperatureField,
} from "../fields";

/** Elastic modulus, Pa; any materials handbook. */
const PIPE = {
  steel: { name: "steel", modulus: 200e9 },
  iron: { name: "ductile iron", modulus: 165e9 },
  copper: { name: "copper", modulus: 120e9 },
  pvc: { name: "PVC", modulus: 3e9 },
  pe: { name: "PE (short-term)", modulus: 0.9e9 },
} as const;

/** Nobody shuts a valve longer than this, s; it stands for "not at all". */
const LONGEST_S = 36_000;

/** Calculation 12: water hammer when a valve is shut. */
export const hammer = calculator({
  id: "hammer",
  chapter: "Water and fire",
  title: "Water hammer",
  says: "How hard a shutting valve hits, and the slowest closing that keeps it under the rating.",
  words: ["hammer", "bang", "surge", "close slowly", "shock", "how slow to shut", "joukowsky"],
  inputs: {
    speed: measured("Speed that is stopped", SPEED, {
      help: "Flow divided by area; 1 to 3 m/s is usual.",
      least: 0.001,
      most: 30,
      usual: 1.5,
    }),
    length: measured("Length of pipe behind it", RUN, {
      help: "Back to a tank, a large main or an air vessel.",
      least: 0.1,
      most: 50_000,
      usual: 420,
    }),
    diameter: measured("Outside diameter", SIZE, {
      help: "Of the pipe.",
      least: 0.004,
      most: 3,
      usual: 0.1683,
    }),
    wall: measured("Wall", SIZE, { help: "Thickness.", least: 0.0003, most: 0.2, usual: 0.0071 }),
    pipe: choice("Pipe", "A soft pipe slows the wave.", byName(PIPE)),
    temperature: temperatureField("Water", {
      help: "Its temperature.",
      least: KELVIN + 1,
      most: KELVIN + 95,
      usual: KELVIN + 15,
    }),
    closing: measured("Shut in", SECONDS, {
      help: "From full flow to none; the last quarter of the travel does most of it.",
      least: 0.01,
      most: 36_000,
      usual: 2,
    }),
    running: gaugeField("Pressure before", { help: "At the valve.", least: 0, most: 1e7, usual: 4.5e5 }),
    rating: gaugeField("Rating of the weakest part", {
      help: "On its plate.",
      least: 1e4,
      most: 5e7,
      usual: 16e5,
    }),
  },
  outputs: {
    peak: result("Peak on the gauge", GAUGE),
    slowest: result("Shut no faster than in", SECONDS),
    rise: result("Blow, shut as said", DIFFERENCE),
    wave: result("Speed of the wave", SPEED),
    critical: result("Wave is back after", SECONDS),
    whole: result("Blow if shut at once", DIFFERENCE),
  },
  compute: (given, say) => {
    const kelvin = given.temperature;
    const [density, bulk] = [waterDensity(kelvin), waterBulkModulus(kelvin)];
    const { modulus } = PIPE[given.pipe];
    const [diameter, wall] = [given.diameter, given.wall];
    if (2 * wall >= diameter)
      return err({ input: "wall", message: "The wall is thicker than the pipe. Measure it again." });
    const wave = Math.sqrt(bulk / density / (1 + (bulk * (diameter - 2 * wall)) / (modulus * wall)));
    const critical = (2 * given.length) / wave;
    const whole = density * wave * given.speed;
    const closing = given.closing;
    const rise = whole * Math.min(1, critical / closing);
    const room = given.rating - given.running;
    const peak = given.running + rise;
    const slowest = whole <= room ? 0 : Math.min(LONGEST_S, (critical * whole) / Math.max(room, 1));
    const over = peak > given.rating;
    return ok({
      outputs: { wave, critical, whole, rise, peak, slowest },
      verdict: over ? "stop" : peak > 0.8 * given.rating ? "watch" : "pass",
      reasons: [
        over
          ? room <= 0
            ? "The pressure before is already at the rating."
            : `Too fast: ${say(peak, GAUGE)} against a rating of ${say(given.rating, GAUGE)}. Take at least ${say(slowest, SECONDS)}, most of it over the last quarter.`
          : "It stays under the rating.",
      ],
      cautions: [
        "A gate or ball valve does nearly all its work in the last quarter of its travel: count the time for that part.",
        "Behind the valve the pressure falls as much as it rises before it: a column can part and slam back.",
      ],
    });
  },
  sources: [
    "Joukowsky Δp = ρ·a·Δv; wave speed a = √(K/ρ / (1 + K·D/(E·e))); slow closing Δp·(2L/a)/t (Michaud): any text on surge, AWWA M11.",
    "Water: Kell (1975). Elastic moduli: materials handbooks.",
  ],
  examples: [
    {
      source:
        "By hand, rigid-ish steel at 20 °C: K 2.179 GPa, ρ 998.2; D/e = 154.1/7.1 = 21.70: a = 1477.5/√(1 + 0.2365) = 1328.7 m/s; ρ·a·1 m/s = 13.26 bar.",
      inputs: { speed: "1 m/s", temperature: "20 °C", closing: "0.1 s" },
      outputs: { wave: "1328.7 ± 2 m/s", whole: "13.26 ± 0.03 bar", rise: "13.26 ± 0.03 bar" },
      verdict: "stop",
    },
    {
      source: "By hand: 2 · 420/1328.7 = 0.632 s; shut in 10 s the blow is a sixteenth.",
      inputs: { speed: "1 m/s", temperature: "20 °C", closing: "10 s" },
      outputs: { critical: "0.632 ± 0.001 s", rise: "0.838 ± 0.003 bar" },
      verdict: "pass",
    },
  ],
});
