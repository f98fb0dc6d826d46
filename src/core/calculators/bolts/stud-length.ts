import { nutHeight } from "../../fastening";
import { err, ok } from "../../result";
import { calculator } from "../calculator";
import { choice, measured, PLAIN, result, SIZE } from "../fields";

const MM = 1e-3;
const INCH = 0.0254;
/** Lengths a store keeps: every 5 mm to 100, every 10 above; inch every quarter. */
const metricStock = (length: number) =>
  Math.ceil(length / (length <= 0.1 ? 5 * MM : 10 * MM) - 1e-9) * (length <= 0.1 ? 5 * MM : 10 * MM);
const inchStock = (length: number) => Math.ceil(length / (INCH / 4) - 1e-9) * (INCH / 4);
/** Threads that must stand out of the nut: fewer, and its last ones carry nothing. */
const LEAST_THREADS_OUT = 1;

const size = (label: string, help: string, usual: number, most = 1) =>
  measured(label, SIZE, { help, least: 0, most, usual });

/** Calculation 2: how long the stud or bolt of a flanged joint has to be. */
export const studLength = calculator({
  id: "stud-length",
  chapter: "Bolts and threads",
  title: "Stud length",
  says: "How long a stud or bolt has to be for flanges, valve, gaskets, washers and nuts, rounded up to what is stocked.",
  words: ["stud", "bolt length", "how long a bolt", "flange", "wafer", "projection", "threads showing"],
  inputs: {
    kind: choice("Kind", "A stud has a nut at either end, a bolt one.", { stud: "stud", bolt: "bolt" }),
    flange: size("One flange", "Thickness with its raised face.", 20 * MM, 0.3),
    valve: size("Valve between", "Face to face of a wafer valve, spacer or blind; none: 0.", 0),
    gasket: size(
      "One gasket, pressed",
      "A 2 mm sheet presses to about 1.8 mm, a spiral one of 4.5 mm to 3.3 mm.",
      1.8 * MM,
      0.02,
    ),
    gaskets: measured("Gaskets", PLAIN, {
      help: "One for a plain joint, two for a valve between.",
      least: 0,
      most: 6,
      usual: 1,
    }),
    washer: size("One washer", "Thickness; none: 0.", 3 * MM, 0.02),
    washers: measured("Washers", PLAIN, { help: "How many lie on one stud.", least: 0, most: 6, usual: 2 }),
    diameter: measured("Thread diameter", SIZE, {
      help: "Nominal.",
      least: 3 * MM,
      most: 0.1,
      usual: 16 * MM,
    }),
    nut: choice("Nut", "Its height counts, and a full nut is not as high as its thread is thick.", {
      iso: "hexagon, ISO 4032",
      heavy: "heavy hex, ASME B18.2.2",
      hex: "hex, ASME B18.2.2",
      measured: "measured",
    }),
    height: measured("Height of the nut", SIZE, {
      help: "Face to face.",
      least: 0.5 * MM,
      most: 0.2,
      usual: 14.8 * MM,
      when: { input: "nut", is: ["measured"] },
    }),
    pitch: measured("Pitch", SIZE, {
      help: "From thread to thread.",
      least: 0.4 * MM,
      most: 6 * MM,
      usual: 2 * MM,
    }),
    out: measured("Threads showing", PLAIN, {
      help: "Out of each nut: at least one, usually two.",
      least: 0,
      most: 10,
      usual: 2,
    }),
    stock: choice("Stocked in", "How your store steps its lengths.", {
      metric: "5 and 10 mm steps",
      inch: "quarter inches",
    }),
  },
  outputs: {
    stocked: result("Take from stock", SIZE),
    showing: result("Threads showing then", PLAIN),
    clamped: result("Clamped thickness", SIZE),
    nutHeight: result("One nut", SIZE),
    needed: result("Length needed", SIZE),
  },
  compute: (given, say) => {
    const nuts = given.kind === "stud" ? 2 : 1;
    const [diameter, pitch] = [given.diameter, given.pitch];
    const nut = given.nut === "measured" ? given.height : nutHeight(given.nut, diameter);
    if (nut === undefined)
      return err({
        input: "diameter",
        message: "The standard has no nut for this diameter: measure the height of the one you have.",
      });
    const clamped =
      2 * given.flange + given.valve + given.gaskets * given.gasket + given.washers * given.washer;
    const least = clamped + nuts * nut;
    const needed = least + nuts * given.out * pitch;
    const stocked = given.stock === "inch" ? inchStock(needed) : metricStock(needed);
    const showing = (stocked - least) / nuts / pitch;
    const short = given.out < LEAST_THREADS_OUT;
    return ok({
      outputs: { clamped, nutHeight: nut, needed, stocked, showing },
      verdict: short ? "fail" : "pass",
      reasons: [
        short
          ? "No thread shows: the last threads of a nut carry nothing, and nobody can see whether it is all on. Let one or two show."
          : `${say.figure(showing)} threads show out of each nut.`,
      ],
      cautions: [
        "Too long is no harm to strength, but the bare thread rusts and the nut will not come off. Measure the old one only if its nuts were full on.",
        ...(nuts === 1 ? ["The bolt's head is not counted: length is under the head."] : []),
      ],
    });
  },
  sources: [
    "Nut heights: ISO 4032 (greatest of the tolerance), ASME B18.2.2. One to two threads showing: usual piping practice.",
  ],
  examples: [
    {
      source:
        "By hand: 2 · 20 + 1.8 + 2 · 3 = 47.8; with two nuts of 14.8 (ISO 4032) 77.4; four threads of 2 mm more: 85.4; stock 90 mm, (90 − 77.4)/2/2 = 3.15 threads.",
      inputs: {},
      outputs: {
        clamped: "47.8 ± 0.001 mm",
        nutHeight: "14.8 ± 0.001 mm",
        needed: "85.4 ± 0.001 mm",
        stocked: "90 ± 0.001 mm",
        showing: "3.15 ± 0.001",
      },
      verdict: "pass",
    },
    {
      source:
        "By hand, inch bolt: two 3/4 in flanges, 1/16 in gasket, one washer 1/8 in: 1.6875; heavy hex nut 39/64 in (ASME B18.2.2), two threads of 1/11 in: 2.479 in; stock 2 1/2 in.",
      inputs: {
        kind: "bolt",
        flange: "3/4 in",
        gasket: "1/16 in",
        washer: "1/8 in",
        washers: "1",
        diameter: "5/8 in",
        pitch: "1/11 in",
        nut: "heavy",
        stock: "inch",
      },
      outputs: { clamped: "1.6875 ± 0.0001 in", needed: "2.479 ± 0.001 in", stocked: "2.5 ± 0.0001 in" },
    },
  ],
});
