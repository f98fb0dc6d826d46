import { err, ok } from "../../result";
import { SEAL_MATERIALS, SEAL_MEDIA } from "../../sealing";
import { calculator } from "../calculator";
import {
  ANGLE,
  asNamed,
  choice,
  KELVIN,
  measured,
  named,
  PLAIN,
  result,
  SECTION,
  SIZE,
  temperatureField,
} from "../fields";

/** A hole is cut this much larger than its bolt, m. */
const HOLE_PLAY = 2e-3;

const FIBRE = "fibre or graphite sheet, by its maker's paper";

/** What sheet is cut of. Above what rubber bears it is fibre or graphite, and their own papers say how hot. */
const SHEETS = ["epdm", "nbr", "cr", "ptfe"] as const;

/** Calculation 7: a gasket to be cut from sheet, with a template at full size. */
export const gasketCutter = calculator({
  id: "gasket-cutter",
  chapter: "Seals and fit",
  title: "Gasket cutter",
  says: "Ring or full-face gasket from the flange: diameters, where the holes are, and a template at full size to print.",
  words: [
    "gasket",
    "joint",
    "cut a gasket",
    "template",
    "flange",
    "full face",
    "ring",
    "bolt circle",
    "jointing",
  ],
  inputs: {
    face: choice("Flange face", "Look at it: flat over the bolts, raised inside them, or grooved.", {
      raised: "raised face",
      flat: "flat face",
      tongue: "tongue and groove",
    }),
    metal: choice("Flange metal", "Of the weaker flange.", {
      steel: "steel",
      "cast iron": "cast iron or brass",
      plastic: "plastic",
    }),
    bore: measured("Bore", SIZE, {
      help: "Inside diameter of the flange.",
      least: 0.005,
      most: 1.5,
      usual: 0.1023,
    }),
    circle: measured("Bolt circle", SIZE, {
      help: "Across the circle of the bolt centres.",
      least: 0.01,
      most: 2,
      usual: 0.18,
    }),
    outside: measured("Outside of the flange", SIZE, {
      help: "Over everything.",
      least: 0.01,
      most: 2.2,
      usual: 0.22,
    }),
    bolts: measured("Bolts", PLAIN, { help: "How many.", least: 3, most: 48, usual: 8 }),
    bolt: measured("Bolt diameter", SIZE, { help: "Nominal.", least: 0.003, most: 0.08, usual: 0.016 }),
    medium: choice("Medium", "What it keeps in.", asNamed(SEAL_MEDIA)),
    hottest: temperatureField("Hottest it gets", {
      help: "In service.",
      least: KELVIN - 60,
      most: KELVIN + 450,
      usual: KELVIN + 15,
    }),
  },
  outputs: {
    kind: named("Cut a"),
    of: named("Of"),
    inner: result("Inside diameter", SIZE),
    outer: result("Outside diameter", SIZE),
    hole: result("Hole", SIZE, "optional"),
    chord: result("Hole to hole, straight", SIZE, "optional"),
    area: result("Face it presses on", SECTION),
  },
  tables: {
    holes: {
      title: "Holes, from the middle",
      columns: {
        number: result("Hole", PLAIN),
        angle: result("Angle from the top", ANGLE),
        x: result("Right", SIZE),
        y: result("Up", SIZE),
      },
    },
  },
  compute: (given) => {
    const [face, metal] = [given.face, given.metal];
    const { bore, circle, outside, bolts, bolt } = given;
    if (!Number.isInteger(bolts)) return err({ input: "bolts", message: "Give a whole number of bolts." });
    const hole = bolt + HOLE_PLAY;
    if (circle - hole <= bore)
      return err({
        input: "circle",
        message: "The bolt holes would cut into the bore. Measure the circle from centre to centre, across.",
      });
    if (circle + hole >= outside)
      return err({
        input: "outside",
        message: "The bolt holes would break out of the flange. Measure its outside again.",
      });
    if (Math.PI * circle <= bolts * hole * 1.2)
      return err({ input: "bolts", message: "So many bolts do not stand on this circle." });
    // A raised ring against weak metal bends the flange: the face has to bear to the rim.
    const full = face === "flat" || (metal !== "steel" && face !== "tongue");
    const outer = full ? outside : circle - bolt;
    const inner = bore * 1.01;
    const holes = Array.from({ length: bolts }, (_, index) => {
      const angle = (2 * Math.PI * (index + 0.5)) / bolts;
      return {
        number: index + 1,
        angle,
        x: (circle / 2) * Math.sin(angle),
        y: (circle / 2) * Math.cos(angle),
      };
    });
    const bear = SHEETS.map((id) => SEAL_MATERIALS[id]!).filter(
      ({ media, least_K, most_K }) =>
        media[given.medium] === "good" && given.hottest <= most_K && given.hottest >= least_K,
    );
    const ring = (Math.PI / 4) * (outer ** 2 - inner ** 2);
    return ok({
      outputs: {
        kind:
          face === "tongue"
            ? "ring for the groove: measure the groove itself"
            : full
              ? "full-face gasket"
              : "ring inside the bolts",
        of: bear.length === 0 ? FIBRE : bear.map(({ name }) => name).join(", "),
        inner,
        outer,
        hole: full ? hole : undefined,
        chord: full ? circle * Math.sin(Math.PI / bolts) : undefined,
        area: full ? ring - bolts * (Math.PI / 4) * hole ** 2 : ring,
      },
      tables: { holes: full ? holes : [] },
      verdict: face === "raised" && metal !== "steel" ? "watch" : "pass",
      reasons: [
        face === "raised" && metal !== "steel"
          ? "A raised face against cast iron or plastic cracks it when the bolts are pulled: full face, soft sheet, low torque, or have the raised face turned off."
          : full
            ? "Flat faces take a full-face gasket: nothing bends the rim."
            : face === "tongue"
              ? "The groove holds the ring in: nothing wider fits."
              : "A raised face takes a ring that the bolts centre: more pressure on less sheet.",
      ],
      cautions: [
        "Print at full size and check the 100 mm line before you cut.",
        "What the sheet of this valve says of its gasket goes before. For drinking water only what is listed for it. Never two gaskets in one joint, never paste on fibre sheet.",
      ],
    });
  },
  sources: [
    "What bears which medium and heat: as for O-rings, any elastomer handbook.",
    "Ring to the bolts for raised faces, full face for flat and cast iron flanges: ASME B16.21, EN 1514-1, usual piping practice.",
  ],
  examples: [
    {
      source:
        "By hand, DN 100 PN 16, raised steel: ring outside 180 − 16 = 164 mm, inside 102.3 · 1.01 = 103.3 mm.",
      inputs: {},
      outputs: {
        kind: "ring inside the bolts",
        outer: "164 ± 0.001 mm",
        inner: "103.323 ± 0.001 mm",
        area: "12739 ± 1 mm2",
      },
      verdict: "pass",
    },
    {
      source: "Steam of 170 °C: no rubber of the table; PTFE bears 230 °C.",
      inputs: { medium: "steam", hottest: "170 °C" },
      outputs: { of: "PTFE" },
    },
    {
      source: "By hand, flat: chord 180 · sin 22.5° = 68.88 mm, holes of 18 mm.",
      inputs: { face: "flat" },
      outputs: {
        kind: "full-face gasket",
        chord: "68.883 ± 0.001 mm",
        hole: "18 ± 0.001 mm",
        outer: "220 ± 0.001 mm",
      },
      verdict: "pass",
    },
    {
      source: "Raised steel on cast iron: flat-faced practice of ASME B16.1.",
      inputs: { metal: "cast iron" },
      outputs: { kind: "full-face gasket" },
      verdict: "watch",
    },
  ],
});
