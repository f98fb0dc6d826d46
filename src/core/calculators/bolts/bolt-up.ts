import {
  CONDITIONS,
  crossingOrder,
  GRADES as GRADE_TABLE,
  gradeRange,
  metricStressArea,
  NUT_FACTOR,
  proofStress,
  tighteningTorque,
  unifiedStressArea,
  wrenchSetting,
} from "../../fastening";
import type { Force, Torque } from "../../quantity";
import { err, ok } from "../../result";
import { calculator } from "../calculator";
import {
  ANGLE,
  asNamed,
  byName,
  choice,
  FORCE,
  measured,
  PERCENT,
  PLAIN,
  result,
  SECTION,
  SIZE,
  TORQUE,
} from "../fields";

/** Above this share of proof a joint that is opened again stretches its bolts for good. */
const REUSABLE_SHARE = 0.75;

/** Nothing is marked on the head. */
const UNKNOWN = "unknown";
const GRADES = [...byName(GRADE_TABLE), [UNKNOWN, "not marked"] as const];
const MARKED = { input: "grade", is: Object.keys(GRADE_TABLE) };
/** Fewer bolts than this have no order. */
const LEAST_PATTERN = 3;

/** Calculation 1: torque for a bolted joint from thread, grade and what is on the thread. */
export const boltUp = calculator({
  id: "bolt-up",
  chapter: "Bolts and threads",
  title: "Bolt-up",
  says: "Torque for each pass, pulling order, and what the wrench is set to with an extension.",
  words: ["torque", "bolts", "flange", "how tight", "crossing pattern", "crowfoot"],
  inputs: {
    by: choice(
      "Torque from",
      "A sheet that states a torque is followed; the bolt only says what it would bear.",
      {
        bolt: "what the bolt bears",
        sheet: "the sheet",
      },
    ),
    grade: choice("Strength grade", "Marked on the head.", GRADES, { usual: "8.8" }),
    diameter: measured("Thread diameter", SIZE, {
      help: "Nominal diameter of the bolt.",
      least: 0.003,
      most: 0.1,
      usual: 0.016,
      when: MARKED,
    }),
    pitch: measured("Pitch", SIZE, {
      help: "Distance from thread to thread; for inch threads one divided by the threads per inch.",
      least: 0.0004,
      most: 0.006,
      usual: 0.002,
      when: MARKED,
    }),
    thread: choice(
      "Thread",
      "Metric (ISO) or inch (UNC, UNF).",
      { metric: "metric", inch: "inch" },
      { when: MARKED },
    ),
    bolts: measured("Bolts", PLAIN, {
      help: "How many bolts stand in the circle.",
      least: 1,
      most: 64,
      usual: 8,
    }),
    condition: choice("On the thread", "What is on the thread and under the head now.", asNamed(CONDITIONS)),
    share: measured("Preload, share of proof", PERCENT, {
      help: "Usual for a joint that is opened again: 50 to 75 %.",
      least: 0.05,
      most: 1,
      usual: 0.5,
      when: { input: "by", is: ["bolt"] },
    }),
    limit: measured("The sheet's torque, or its limit", TORQUE, {
      help: "The sheet's own figure caps everything; empty when there is none.",
      least: 0.1,
      most: 100_000,
      optional: true,
    }),
    statedFor: choice(
      "The sheet's figure is for",
      "A slippery thread gets to the same preload at a lower torque: figure and limit fall with it.",
      [["as it is", "the thread as it is"], ...asNamed(CONDITIONS)],
    ),
    wrench: measured("Wrench length", SIZE, {
      help: "From the hand to the drive.",
      least: 0.05,
      most: 3,
      usual: 0.5,
    }),
    extension: measured("Extension", SIZE, {
      help: "From the drive to the bolt, with a crowfoot; none: 0.",
      least: 0,
      most: 1,
      usual: 0,
    }),
    angle: measured("Angle of the extension", ANGLE, {
      help: "0° in line with the wrench, 90° across.",
      least: 0,
      most: Math.PI,
      usual: 0,
    }),
  },
  outputs: {
    torque: result("Torque, full", TORQUE),
    first: result("First pass, 30 %", TORQUE),
    second: result("Second pass, 60 %", TORQUE),
    setting: result("Wrench setting", TORQUE),
    preload: result("Preload of each bolt", FORCE, "optional"),
    used: result("Of its proof load", PERCENT, "optional"),
    stressArea: result("Tensile stress area", SECTION, "optional"),
    least: result("Torque, low end of K", TORQUE, "optional"),
    most: result("Torque, high end of K", TORQUE, "optional"),
  },
  tables: {
    order: {
      title: "Pulling order",
      columns: { pull: result("Pull", PLAIN), bolt: result("Bolt, round the circle", PLAIN) },
    },
  },
  compute: (given, say) => {
    if (!Number.isInteger(given.bolts))
      return err({ input: "bolts", message: "Give a whole number of bolts." });
    const { diameter, pitch, grade, condition, statedFor } = given;
    const { k, spread } = NUT_FACTOR[condition];
    const slip = statedFor === "as it is" ? 1 : Math.min(1, k / NUT_FACTOR[statedFor].k);
    const limit = (given.limit ?? Number.POSITIVE_INFINITY) * slip;
    const bySheet = given.by === "sheet";
    const marked = grade !== UNKNOWN;
    const proof = marked ? proofStress(grade, diameter) : undefined;
    if (bySheet && limit === Number.POSITIVE_INFINITY)
      return err({ input: "limit", message: "Give the torque of the sheet." });
    if (!bySheet && marked && proof === undefined) {
      const { from, to } = gradeRange(grade);
      return err({
        input: "diameter",
        message: `${grade} is tabled from ${say(from, SIZE)} to ${say(to, SIZE)}. Outside nobody says what it bears: take the sheet's torque.`,
      });
    }
    if (!bySheet && proof === undefined)
      return err({
        input: "grade",
        message:
          "Without a grade nobody knows what the bolt bears: take the lowest of its kind, or the sheet's torque.",
      });
    if (proof !== undefined && pitch > 0.3 * diameter)
      return err({
        input: "pitch",
        message: "No thread is that coarse for its diameter. For inch threads give 1/n in, e.g. 1/13 in.",
      });
    const area =
      given.thread === "inch" ? unifiedStressArea(diameter, pitch) : metricStressArea(diameter, pitch);
    const wanted = bySheet
      ? (limit as Torque)
      : tighteningTorque(k, ((proof ?? 0) * area * given.share) as Force, diameter);
    const torque = Math.min(wanted, limit) as Torque;
    const capped = torque < wanted;
    const preload = torque / (k * diameter);
    const used = proof === undefined ? undefined : preload / (proof * area);
    const high = used !== undefined && used > REUSABLE_SHARE + 1e-9;
    const setting = wrenchSetting(torque, given.wrench, given.extension, given.angle);
    if (!(setting > 0) || !Number.isFinite(setting))
      return err({
        input: "angle",
        message:
          "With this extension turned back the wrench pulls the wrong way. Use a smaller angle or a longer wrench.",
      });
    return ok({
      outputs: {
        ...(proof !== undefined && {
          stressArea: area,
          preload,
          used,
          least: torque * (1 - spread),
          most: torque * (1 + spread),
        }),
        torque,
        first: 0.3 * torque,
        second: 0.6 * torque,
        setting,
      },
      tables: {
        order:
          given.bolts < LEAST_PATTERN
            ? []
            : crossingOrder(given.bolts).map((at, index) => ({ pull: index + 1, bolt: at + 1 })),
      },
      verdict: used !== undefined && used > 1 ? "fail" : high || used === undefined ? "watch" : "pass",
      reasons: [
        used !== undefined && used > 1
          ? "It pulls the bolt past its proof load: wrong bolt, wrong grade or wrong figure. Ask before you pull."
          : high
            ? "Above 75 % of proof: good for a joint that is closed once, too much for one that is opened again."
            : bySheet
              ? used === undefined
                ? "The sheet's torque decides; what this bolt bears is not known here."
                : "The sheet's torque decides, and the bolt bears it."
              : capped
                ? "The sheet's limit is lower than the bolt would bear: the limit holds."
                : "Within what a bolt bears again and again.",
        ...(proof === undefined ? [] : [`K = ${k} ± ${Math.round(spread * 100)} % (${condition}).`]),
        ...(slip < 1
          ? [
              `With ${condition} on the thread the sheet's ${say(limit / slip, TORQUE)} becomes ${say(limit, TORQUE)}.`,
            ]
          : []),
      ],
      cautions: [
        "Torque from a nut factor scatters by about a quarter. Where a leak can hurt someone, measure stretch or use the maker's procedure.",
      ],
    });
  },
  sources: [
    "T = K·D·F and passes 30/60/100 % with a last circular pass: ASME PCC-1, short-form torque and legacy pattern.",
    "Tensile stress area π/4·(d − 0.9382·P)²: ISO 898-1; inch π/4·(D − 0.9743/n)²: ASME B1.1.",
    "Proof stress by diameter: ISO 898-1, ISO 3506-1, SAE J429; yield: ASTM A193, F468.",
    "Nut factors: Shigley's Mechanical Engineering Design, torque factors for bolted joints.",
  ],
  examples: [
    {
      source:
        "By hand: M16 × 2, 8.8, dry, 75 % of proof. ISO 898-1 gives the area as 157 mm²; 580 · 156.7 · 0.75 = 68.2 kN; 0.2 · 68.2 kN · 16 mm = 218 N·m.",
      inputs: {
        diameter: "16 mm",
        pitch: "2 mm",
        grade: "8.8",
        condition: "dry",
        share: "75 %",
      },
      outputs: {
        stressArea: "157 ± 0.5 mm2",
        preload: "68.2 ± 0.1 kN",
        torque: "218 ± 1 N·m",
      },
      verdict: "pass",
    },
    {
      source:
        "By hand: M10 × 1.5, 8.8, anti-seize. Area 58.0 mm² (ISO 898-1); 580 · 58.0 · 0.5 = 16.8 kN; 0.12 · 16.8 kN · 10 mm = 20.2 N·m; with 100 mm in line on 400 mm: 20.2 · 4/5 = 16.1 N·m.",
      inputs: {
        diameter: "10 mm",
        pitch: "1.5 mm",
        condition: "anti-seize",
        wrench: "400 mm",
        extension: "100 mm",
      },
      outputs: {
        stressArea: "58 ± 0.2 mm2",
        torque: "20.2 ± 0.2 N·m",
        setting: "16.1 ± 0.2 N·m",
      },
    },
    {
      source:
        "ASME B1.1: 1/2-13 UNC has 0.1419 in². Grade 5 (85 ksi), 75 %: 0.1419 · 85 · 0.75 = 9046 lbf; dry 0.2 · 9046 · 0.5/12 = 75.4 ft·lbf.",
      inputs: {
        thread: "inch",
        diameter: "0.5 in",
        pitch: "1/13 in",
        grade: "SAE 5",
        share: "75 %",
      },
      outputs: {
        stressArea: "0.1419 ± 0.0001 in2",
        torque: "75.4 ± 0.3 ft·lbf",
      },
    },
    {
      source:
        "By hand: the sheet's 110 N·m in passes of 30 and 60 % are 33 and 66 N·m; 100 mm in line on 400 mm: 88 N·m.",
      inputs: { by: "sheet", grade: "unknown", limit: "110 N·m", wrench: "400 mm", extension: "100 mm" },
      outputs: { first: "33 ± 1e-6 N·m", second: "66 ± 1e-6 N·m", setting: "88 ± 1e-6 N·m" },
      verdict: "watch",
    },
    {
      source:
        "By hand: 30 N·m dry on M10: 30/(0.2 · 10 mm) = 15 kN; A2-70 bears 450 · 58.0 = 26.1 kN: 57.5 %.",
      inputs: { by: "sheet", grade: "A2-70", diameter: "10 mm", pitch: "1.5 mm", limit: "30 N·m" },
      outputs: { preload: "15 ± 1e-6 kN", used: "57.5 ± 0.1 %", torque: "30 ± 1e-6 N·m" },
      verdict: "pass",
    },
    {
      source:
        "SAE J429: grade 5 bears 85 ksi up to 1 in and 74 ksi above. 1 1/8-7 UNC has 0.763 in² (ASME B1.1); 0.763 · 74 · 0.5 = 28.2 kip; dry 0.2 · 28.2 · 1.125/12 = 529 ft·lbf.",
      inputs: { thread: "inch", diameter: "1 1/8 in", pitch: "1/7 in", grade: "SAE 5" },
      outputs: { preload: "28230 ± 30 lbf", torque: "529.3 ± 0.6 ft·lbf" },
      verdict: "pass",
    },
    {
      source: "By hand: a limit of 130 N·m for a dry thread is 130 · 0.12/0.20 = 78 N·m with anti-seize.",
      inputs: { by: "sheet", limit: "130 N·m", statedFor: "dry", condition: "anti-seize" },
      outputs: { torque: "78 ± 1e-6 N·m", first: "23.4 ± 1e-6 N·m" },
      verdict: "pass",
    },
    {
      source: "The sheet's limit caps: the first example with a limit of 130 N·m.",
      inputs: {
        diameter: "16 mm",
        pitch: "2 mm",
        share: "75 %",
        limit: "130 N·m",
      },
      outputs: {
        torque: "130 ± 1e-6 N·m",
        first: "39 ± 1e-6 N·m",
        second: "78 ± 1e-6 N·m",
      },
    },
  ],
});
