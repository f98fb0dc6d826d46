import { err, ok } from "../../result";
import { calculator } from "../calculator";
import {
  CONTENT,
  choice,
  DAYS,
  GRAINS,
  HARDNESS,
  MASS,
  measured,
  PERCENT,
  result,
  SALT_DOSE,
} from "../fields";

/** Salt for each litre of resin and hardness it then takes, g/L as CaCO3: usual 6, 10 and 15 lb/ft³ for 20, 24 and 30 kgr/ft³. */
const CURVE: readonly (readonly [salt: number, takes: number])[] = [
  [48, 27.5],
  [96.1, 45.8],
  [160.2, 54.9],
  [240.3, 68.7],
  [320, 73],
];
/** Iron and manganese count as this much hardness, mg/L as CaCO3 for each mg/L: grains a gallon for each ppm. */
const IRON = { "3": 51.35, "4": 68.5, "5": 85.6 } as const;
/** More iron than this fouls the resin: it wants its own filter. */
const MOST_IRON = 2e-3;

/** Hardness a litre of resin takes, kg as CaCO3, after a regeneration with so much salt, kg. */
export function resinCapacity(salt: number): number {
  const grams = salt * 1000;
  const above = CURVE.findIndex(([at]) => at >= grams);
  if (above <= 0) return above === 0 ? (CURVE[0]![1] * grams) / CURVE[0]![0] / 1000 : CURVE.at(-1)![1] / 1000;
  const [[s1, c1], [s2, c2]] = [CURVE[above - 1]!, CURVE[above]!];
  return (c1 + ((c2 - c1) * (grams - s1)) / (s2 - s1)) / 1000;
}

/** Calculation 27: how long a softener runs between regenerations, and the salt it takes. */
export const softener = calculator({
  id: "softener",
  chapter: "Water treatment",
  title: "Softener",
  says: "Litres and days between regenerations, salt in a year, and how well the salt is used.",
  words: [
    "softener",
    "regeneration",
    "hardness",
    "salt",
    "resin",
    "how long will it last",
    "iron",
    "capacity",
    "grains",
  ],
  inputs: {
    hardness: measured("Hardness", HARDNESS, {
      help: "As CaCO3, measured before the softener.",
      least: 0.001,
      most: 3,
      usual: 0.3,
    }),
    iron: measured(
      "Iron and manganese",
      { dimension: "concentration", units: { metric: "mg/L", us: "mg/L" } },
      { help: "Clear-water iron; rusty water wants a filter first.", least: 0, most: 0.05, usual: 0 },
    ),
    school: choice(
      "Iron counts as",
      "For each mg/L: schools differ; the sheet of the softener goes before.",
      [
        ["3", "3 gr/gal (51 mg/L)"],
        ["4", "4 gr/gal (68 mg/L)"],
        ["5", "5 gr/gal (86 mg/L)"],
      ],
      { usual: "4" },
    ),
    wanted: measured("Hardness wanted after", HARDNESS, {
      help: "With a mixing screw; 0 when all is softened.",
      least: 0,
      most: 1,
      usual: 0,
    }),
    resin: measured("Resin", CONTENT, { help: "In the tank.", least: 1e-3, most: 5, usual: 0.03 }),
    salt: measured("Salt for the resin", SALT_DOSE, {
      help: "100 to 160 g/L uses salt well, 240 gets the most out of the resin.",
      least: 30,
      most: 320,
      usual: 120,
    }),
    use: measured("Water used in a day", CONTENT, {
      help: "From the meter.",
      least: 1e-3,
      most: 500,
      usual: 0.6,
    }),
    reserve: measured("Kept in reserve", PERCENT, {
      help: "One day's use for a meter that waits for night; 0 for twin tanks.",
      least: 0,
      most: 0.8,
      usual: 0.2,
    }),
  },
  outputs: {
    between: result("Water between regenerations", CONTENT),
    days: result("Days between", DAYS),
    load: result("Hardness it sees", HARDNESS),
    perDay: result("Hardness in a day", GRAINS),
    capacity: result("Takes, each time", MASS),
    saltEach: result("Salt each time", MASS),
    saltYear: result("Salt in a year", MASS),
    efficiency: result("Hardness taken for its salt", PERCENT),
  },
  compute: (given, say) => {
    const load = given.hardness + given.iron * IRON[given.school] - given.wanted;
    if (load <= 0) return err({ input: "wanted", message: "The water is already softer than that." });
    const litres = given.resin * 1000;
    const capacity = litres * resinCapacity(given.salt / 1000);
    const between = (capacity * (1 - given.reserve)) / load;
    const seconds = (between / given.use) * 86_400;
    const saltEach = (litres * given.salt) / 1000;
    const days = seconds / 86_400;
    const rusty = given.iron > MOST_IRON;
    return ok({
      outputs: {
        load,
        perDay: load * given.use,
        capacity,
        between,
        days: seconds,
        saltEach,
        saltYear: (saltEach * 365.25) / days,
        efficiency: capacity / saltEach,
      },
      verdict: rusty ? "fail" : days < 1 || days > 8 ? "watch" : "pass",
      reasons: [
        rusty
          ? "Over 2 mg/L of iron fouls the resin: an iron filter first."
          : days < 1
            ? "Less than a day: the tank is too small for this use."
            : days > 8
              ? "Over a week: force a regeneration every 7 days, or the bed goes foul."
              : `Regenerates every ${say(seconds, DAYS)}.`,
      ],
      cautions: [
        "Salt doses and capacities are usual figures for strong-acid resin; the sheet of this softener goes before.",
        "Softened water has more sodium: leave a hard tap for drinking where local rules want one.",
      ],
    });
  },
  sources: [
    "Usual capacities of strong-acid resin: 20, 24 and 30 kgr/ft³ at 6, 10 and 15 lb/ft³ of salt. Iron as 3, 4 or 5 gr/gal for each ppm: usual practice of three schools. 1 gr/gal = 17.12 mg/L.",
  ],
  examples: [
    {
      source:
        "By hand in US units: 1 ft³ at 15 lb/ft³ (240.3 g/L) takes 30 000 grains; at 20 gr/gal with no reserve 1500 US gal.",
      inputs: { hardness: "20 gr/gal", resin: "1 ft3", salt: "240.3", reserve: "0 %", use: "300 US gal" },
      outputs: {
        between: "1500 ± 3 US gal",
        perDay: "6000 ± 1 gr",
        days: "5 ± 0.01 d",
        saltEach: "15 ± 0.01 lb",
      },
      verdict: "pass",
    },
    {
      source: "By hand: 300 mg/L and 1 mg/L of iron count as 368.5 mg/L; 0.6 m³ of it in a day carry 221 g.",
      inputs: { iron: "1 mg/L" },
      outputs: { load: "368.5 ± 0.01 mg/L", perDay: "221.1 ± 0.1 g", saltEach: "3.6 ± 0.001 kg" },
      verdict: "pass",
    },
    {
      source: "3 mg/L of iron is more than resin bears.",
      inputs: { iron: "3 mg/L" },
      outputs: { load: "505.5 ± 0.01 mg/L" },
      verdict: "fail",
    },
  ],
});
