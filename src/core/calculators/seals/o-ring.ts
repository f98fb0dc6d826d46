import { err, ok } from "../../result";
import { nearestORings, SEAL_MATERIALS, SEAL_MEDIA } from "../../sealing";
import { calculator } from "../calculator";
import type { Verdict } from "../declaration";
import {
  asNamed,
  byName,
  choice,
  DEGREES,
  KELVIN,
  measured,
  named,
  PERCENT,
  result,
  SIZE,
  temperatureField,
} from "../fields";

/** Usual bounds of a rubber ring in its groove, as shares; any seal handbook. */
const BOUNDS = {
  static: { squeeze: [0.15, 0.3], stretch: [0, 0.05], fill: 0.85 },
  dynamic: { squeeze: [0.08, 0.2], stretch: [0, 0.05], fill: 0.85 },
} as const;
const NEIGHBOURS = 6;

/** Calculation 5: which O-ring, and whether it sits right in its groove and bears the medium. */
export const oRing = calculator({
  id: "o-ring",
  chapter: "Seals and fit",
  title: "O-ring",
  says: "Which ring it is, and whether stretch, squeeze and fill in its groove and the material are right.",
  words: [
    "rubber ring",
    "o-ring",
    "oring",
    "seal",
    "as568",
    "dash number",
    "squeeze",
    "gland",
    "groove",
    "nitrile",
    "epdm",
  ],
  inputs: {
    inside: measured("Inside diameter, measured", SIZE, {
      help: "Of the ring lying free; from the groove if it is torn.",
      least: 0.0005,
      most: 0.7,
      usual: 0.0247,
    }),
    section: measured("Cross-section, measured", SIZE, {
      help: "Where it is least flattened. A used one has lost some.",
      least: 0.0008,
      most: 0.0075,
      usual: 0.0035,
    }),
    seat: measured("Groove: diameter it sits on", SIZE, {
      help: "Bottom of the groove in a rod or spindle.",
      least: 0.0005,
      most: 0.7,
      usual: 0.0252,
    }),
    depth: measured("Groove: depth with its play", SIZE, {
      help: "From the bottom of the groove to the wall it seals on.",
      least: 0.0003,
      most: 0.0075,
      usual: 0.0028,
    }),
    width: measured("Groove: width", SIZE, {
      help: "Along the axis.",
      least: 0.0005,
      most: 0.02,
      usual: 0.0048,
    }),
    motion: choice("It", "A moving seal is squeezed less.", {
      static: "stands still",
      dynamic: "moves or turns",
    }),
    medium: choice("Medium", "What it keeps in.", asNamed(SEAL_MEDIA)),
    material: choice("Material", "Of the new ring.", byName(SEAL_MATERIALS), { usual: "epdm" }),
    temperature: temperatureField("Hottest it gets", {
      help: "In service.",
      least: KELVIN - 60,
      most: KELVIN + 250,
      usual: KELVIN + 20,
    }),
    grease: choice("Lubricant", "What goes on it.", {
      silicone: "silicone grease",
      mineral: "mineral grease or jelly",
      none: "none, or water",
    }),
  },
  outputs: {
    ring: named("Ring"),
    inside: result("Its inside diameter", SIZE),
    section: result("Its cross-section", SIZE),
    stretch: result("Stretch", PERCENT),
    squeeze: result("Squeeze", PERCENT),
    fill: result("Groove filled", PERCENT),
  },
  tables: {
    neighbours: {
      title: "Nearest rings (SAE AS568, the same in ISO 3601-1)",
      columns: {
        ring: named("Number"),
        inside: result("Inside", SIZE),
        section: result("Section", SIZE),
        stretch: result("Stretch on this groove", PERCENT),
      },
    },
  },
  compute: (given, say) => {
    const percent = (si: number) => say(si, PERCENT);
    const mm = (si: number) => say(si, SIZE);
    const rings = nearestORings(given.inside, given.section);
    const ring = rings[0]!;
    const far = Math.abs(ring.inside - given.inside) > 0.08 * (given.inside + 0.002);
    const seat = given.seat;
    const stretch = seat / ring.inside - 1;
    if (stretch > 0.5 || stretch < -0.2)
      return err({
        input: "seat",
        message: `The nearest ring is ${mm(ring.inside)} inside: it does not go on ${mm(seat)}. Measure ring and groove again.`,
      });
    // Stretching thins the section; its volume stays.
    const section = ring.section * Math.sqrt(1 / (1 + Math.max(0, stretch)));
    const squeeze = 1 - given.depth / section;
    const fill = (Math.PI * section ** 2) / 4 / (given.depth * given.width);
    const bounds = BOUNDS[given.motion];
    const material = SEAL_MATERIALS[given.material]!;
    const medium = given.medium;
    const kelvin = given.temperature;
    const faults: [Verdict, string][] = [
      material.media[medium] === "never" && [
        "stop",
        `${material.name} does not bear ${medium}: it swells, cracks or goes hard. Take another material.`,
      ],
      (kelvin > material.most_K || kelvin < material.least_K) && [
        "stop",
        `${material.name} is for ${say(material.least_K, DEGREES)} to ${say(material.most_K, DEGREES)}.`,
      ],
      given.grease === "mineral" &&
        !material.mineralGrease && ["stop", `Mineral grease swells ${material.name}: silicone grease only.`],
      squeeze < bounds.squeeze[0] && [
        "fail",
        `Squeezed ${percent(squeeze)}, under ${percent(bounds.squeeze[0])}: it will weep.`,
      ],
      squeeze > bounds.squeeze[1] && [
        "fail",
        `Squeezed ${percent(squeeze)}, over ${percent(bounds.squeeze[1])}: it is hard to fit and wears or takes a set.`,
      ],
      fill > bounds.fill && [
        "fail",
        `The groove is ${percent(fill)} full, over ${percent(bounds.fill)}: no room to swell.`,
      ],
      stretch > bounds.stretch[1] && [
        "fail",
        `Stretched ${percent(stretch)}, over 5 %: it thins and cracks.`,
      ],
      stretch < -0.02 && ["watch", "It lies loose on its groove and can be pinched when the cover goes on."],
      material.media[medium] === "poor" && ["watch", `${material.name} does not last in ${medium}.`],
      far && [
        "watch",
        "No ring of the series is near: it may be a metric special. Compare with the old one.",
      ],
    ].filter((each): each is [Verdict, string] => each !== false);
    const rank: Verdict[] = ["stop", "fail", "watch", "pass"];
    return ok({
      outputs: {
        ring: `AS568-${ring.dash}`,
        inside: ring.inside,
        section: ring.section,
        stretch,
        squeeze,
        fill,
      },
      tables: {
        neighbours: rings.slice(0, NEIGHBOURS).map((each) => ({
          ring: each.dash,
          inside: each.inside,
          section: each.section,
          stretch: seat / each.inside - 1,
        })),
      },
      verdict: rank.find((each) => faults.some(([kind]) => kind === each)) ?? "pass",
      reasons:
        faults.length > 0
          ? faults.map(([, says]) => says)
          : ["Stretch, squeeze and fill are within the usual bounds, and the material bears it."],
      cautions: [
        "Cover sharp threads and edges with tape before it goes over them: a nick leaks from the first day.",
        "The seal maker's sheet goes before these usual bounds.",
      ],
    });
  },
  sources: [
    "Sizes: SAE AS568, ISO 3601-1. Bounds of squeeze, stretch and fill, and media: usual figures of seal handbooks (ISO 3601-2 has the same order).",
  ],
  examples: [
    {
      source:
        "SAE AS568: 210 is 0.734 × 0.139 in. On a 19 mm seat 19/18.644 − 1 = 1.91 %; section thins to 3.497 mm; depth 2.9 mm: 1 − 2.9/3.497 = 17.1 %; fill π/4·3.497²/(2.9·4.8) = 69.0 %.",
      inputs: { inside: "18.6 mm", section: "3.5 mm", seat: "19 mm", depth: "2.9 mm", width: "4.8 mm" },
      outputs: {
        ring: "AS568-210",
        inside: "18.644 ± 0.001 mm",
        stretch: "1.91 ± 0.01 %",
        squeeze: "17.08 ± 0.05 %",
        fill: "69.0 ± 0.1 %",
      },
      verdict: "pass",
    },
    {
      source: "EPDM swells in mineral oil and grease (any elastomer handbook).",
      inputs: { inside: "18.6 mm", seat: "19 mm", depth: "2.9 mm", grease: "mineral" },
      outputs: { ring: "AS568-210" },
      verdict: "stop",
    },
    {
      source: "SAE AS568: 425 is the first of the 0.275 in series, 4.475 in.",
      inputs: { inside: "4.47 in", section: "0.27 in", seat: "4.5 in", depth: "0.23 in", width: "0.32 in" },
      outputs: { ring: "AS568-425", stretch: "0.559 ± 0.001 %" },
    },
  ],
});
