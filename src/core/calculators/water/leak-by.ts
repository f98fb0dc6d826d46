import { WATER_HEAT, waterDensity } from "../../physics";
import { formatDuration } from "../../quantity";
import { err, ok } from "../../result";
import { calculator } from "../calculator";
import {
  AIR_ON_SITE,
  CONTENT,
  FLOW,
  gaugeField,
  HEAT,
  HOURS,
  KELVIN,
  MINUTES,
  MONEY,
  measured,
  PERCENT,
  PLAIN,
  result,
  WARMING,
} from "../fields";

const YEAR_S = 365.25 * 86_400;
/** Water in a shut-off pump hotter than this above its start is on the way to boiling and wrecks the seal. */
const CHURN_K = 30;

/** Calculation 13: what leaks while the pump sleeps. */
export const leakBy = calculator({
  id: "leak-by",
  chapter: "Water and fire",
  title: "Leak-by, pump asleep",
  says: "How much leaks away while the pump sleeps, from how fast the vessel's pressure falls; what it costs and how often the pump wakes.",
  words: [
    "leak",
    "passing check valve",
    "pump starts",
    "bladder vessel",
    "pressure falls",
    "hunting",
    "short cycling",
    "booster",
  ],
  inputs: {
    vessel: measured("Vessel", CONTENT, {
      help: "Whole volume of the bladder vessel.",
      least: 0.5e-3,
      most: 50,
      usual: 0.08,
    }),
    precharge: gaugeField("Precharge", {
      help: "Of the air, water side empty.",
      least: 0,
      most: 4e6,
      usual: 3e5,
    }),
    first: gaugeField("Pressure at the start", {
      help: "Just after the pump fell asleep.",
      least: 0,
      most: 4e6,
      usual: 5e5,
    }),
    last: gaugeField("Pressure at the end", {
      help: "No tap open anywhere.",
      least: 0,
      most: 4e6,
      usual: 4.5e5,
    }),
    time: measured("Time between", MINUTES, {
      help: "From the first look to the last.",
      least: 10,
      most: 864_000,
      usual: 600,
    }),
    wake: gaugeField("Pump wakes at", { help: "Its cut-in pressure.", least: 0, most: 4e6, usual: 4e5 }),
    price: measured("Water costs, a m³", MONEY, {
      help: "In your money.",
      least: 0,
      most: 1000,
      usual: 2.5,
    }),
    power: measured("Motor's draw at shut-off", HEAT, {
      help: "If the pump never sleeps; 0 when it does.",
      least: 0,
      most: 1e6,
      usual: 0,
    }),
    trapped: measured("Water in the pump", CONTENT, {
      help: "That is churned when nothing flows.",
      least: 1e-4,
      most: 10,
      usual: 0.012,
    }),
    efficiency: measured("Of the draw into the water", PERCENT, {
      help: "The rest warms the motor.",
      least: 0.2,
      most: 1,
      usual: 0.85,
    }),
    surroundings: AIR_ON_SITE,
  },
  outputs: {
    leak: result("Leak", FLOW),
    wakes: result("Wakes in a day", PLAIN),
    sleep: result("Pump sleeps for", MINUTES),
    lost: result("Water that left", CONTENT),
    perDay: result("In a day", CONTENT),
    cost: result("Cost in a year", MONEY),
    churn: result("Water in the pump warms, in a minute", WARMING),
    boils: result("30 K warmer after", HOURS, "optional"),
  },
  compute: (given, say) => {
    const air = given.surroundings;
    const [p0, p1, p2] = [given.precharge + air, given.first + air, given.last + air];
    const wake = given.wake + air;
    if (p2 > p1)
      return err({
        input: "last",
        message: "The pressure rose: nothing leaks out. Was the pump running, or does something come in?",
      });
    if (p2 < p0)
      return err({
        input: "last",
        message: "Below the precharge the vessel is empty and tells nothing. Take both readings above it.",
      });
    if (wake >= p1 || wake < p0)
      return err({
        input: "wake",
        message: "The pump must wake between precharge and the pressure at the start.",
      });
    const volume = given.vessel;
    const held = (pressure: number) => volume * (1 - p0 / pressure);
    const lost = held(p1) - held(p2);
    const leak = lost / given.time;
    const draw = held(p1) - held(wake);
    const sleep = leak > 0 ? Math.min(Math.max(draw / leak, 1), YEAR_S) : YEAR_S;
    const perMinute =
      (60 * given.power * given.efficiency) / (given.trapped * waterDensity(KELVIN + 15) * WATER_HEAT);
    const often = sleep < 3600;
    return ok({
      outputs: {
        lost,
        leak,
        perDay: leak * 86_400,
        cost: leak * YEAR_S * given.price,
        wakes: 86_400 / sleep,
        sleep,
        churn: perMinute,
        boils: perMinute > 0 ? (60 * CHURN_K) / perMinute : undefined,
      },
      verdict: leak === 0 ? "pass" : often ? "fail" : "watch",
      reasons: [
        leak === 0
          ? "It holds."
          : often
            ? `The pump wakes every ${formatDuration(sleep)}: shut the outlet valve and look again. If it still falls, the check valve passes back; if not, it leaks beyond.`
            : `${say(leak * 86_400, CONTENT)} a day.`,
      ],
      cautions: [
        "Check the precharge with the water side empty once a year: a vessel that has lost its air looks like a leak.",
        ...(perMinute > 0
          ? [
              "A pump that never sleeps against a shut line heats its water: it can flash and burst a casing. Let it flow or stop it.",
            ]
          : []),
      ],
    });
  },
  sources: ["Boyle's law in absolute pressures for the air of the vessel (slow, so at even temperature)."],
  examples: [
    {
      source:
        "By hand: lost 80·4.01325·(1/5.51325 − 1/6.01325) = 4.842 L in 10 min = 0.484 L/min; 10.65 L to the waking pressure: every 22.0 min.",
      inputs: {},
      outputs: { lost: "4.842 ± 0.002 L", leak: "0.4842 ± 0.0003 L/min", wakes: "65.47 ± 0.02" },
      verdict: "fail",
    },
    {
      source: "By hand: 2 kW · 0.85 on 12 L: 1700/(12 · 0.999 · 4187) = 0.0339 K/s = 2.03 K a minute.",
      inputs: { power: "2 kW" },
      outputs: { churn: "2.032 ± 0.01 ΔK" },
    },
  ],
});
