import { err, ok } from "../../result";
import { calculator } from "../calculator";
import { ANGLE, measured, PERCENT, PLAIN, RUN, result, SIZE } from "../fields";

const RIGHT_ANGLE = Math.PI / 2;
const CUT = Math.PI / 4;

/** Calculation 6: how packing is cut and laid. */
export const packing = calculator({
  id: "packing",
  chapter: "Seals and fit",
  title: "Gland packing",
  says: "Section and length of each ring, how many fill the box, how they are cut and how the joints are turned.",
  words: ["packing", "gland", "rope", "stuffing box", "ring length", "spindle leak", "graphite"],
  inputs: {
    stem: measured("Spindle", SIZE, {
      help: "Diameter where the packing runs.",
      least: 0.003,
      most: 0.3,
      usual: 0.02,
    }),
    box: measured("Bore of the box", SIZE, {
      help: "Inside diameter of the stuffing box.",
      least: 0.005,
      most: 0.4,
      usual: 0.032,
    }),
    depth: measured("Depth of the box", SIZE, {
      help: "With every old ring out, to the bottom; a lantern ring taken off.",
      least: 0.003,
      most: 0.5,
      usual: 0.036,
    }),
    entry: measured("Gland must enter by", SIZE, {
      help: "So that it guides: usually a third of a ring.",
      least: 0,
      most: 0.05,
      usual: 0.003,
    }),
    press: measured("Shortens when pressed", PERCENT, {
      help: "Braided rope gives 15 to 25 %.",
      least: 0,
      most: 0.5,
      usual: 0.2,
    }),
    waste: measured("Waste", PERCENT, {
      help: "For trimming and one cut gone wrong.",
      least: 0,
      most: 1,
      usual: 0.1,
    }),
  },
  outputs: {
    ring: result("Length of one ring", SIZE),
    rings: result("Rings", PLAIN),
    total: result("Rope to take", RUN),
    section: result("Section", SIZE),
    cut: result("Cut at", ANGLE),
    stagger: result("Turn each joint on by", ANGLE),
  },
  compute: (given) => {
    const [stem, box] = [given.stem, given.box];
    const section = (box - stem) / 2;
    if (section < 0.001)
      return err({
        input: "box",
        message: "The bore must be wider than the spindle by at least 2 mm. Measure both again.",
      });
    const ring = Math.PI * (stem + section);
    const room = given.depth - given.entry;
    const rings = Math.floor(room / (section * (1 - given.press)) + 1e-9);
    if (rings < 1)
      return err({
        input: "depth",
        message: "Not one ring goes in. Measure the depth to the bottom, all old packing out.",
      });
    const few = rings < 3;
    return ok({
      outputs: {
        section,
        ring,
        rings,
        total: rings * ring * (1 + given.waste),
        cut: CUT,
        stagger: rings === 2 ? Math.PI : RIGHT_ANGLE,
      },
      verdict: few ? "watch" : "pass",
      reasons: [
        few
          ? "Fewer than three rings seal poorly: look for a ring left at the bottom."
          : "Lay each ring joint first, press it home before the next, joints a quarter turn on.",
      ],
      cautions: [
        "Nip up by hand only, then a sixth of a turn at a time with the spindle moving. A gland pulled hard scores the spindle.",
        "Never repack with pressure behind it unless the sheet allows a back seat and says so.",
      ],
    });
  },
  sources: [
    "Ring length at the mean diameter, π·(d + s), cut at 45°, joints a quarter turn apart: usual packing practice.",
  ],
  examples: [
    {
      source:
        "By hand: (32 − 20)/2 = 6 mm; π·26 = 81.68 mm; (36 − 3)/(6·0.8) = 6.9: 6 rings; 6 · 81.68 · 1.1 = 539 mm.",
      inputs: {},
      outputs: {
        section: "6 ± 0.001 mm",
        ring: "81.681 ± 0.001 mm",
        rings: "6 ± 0",
        total: "539.1 ± 0.1 mm",
      },
      verdict: "pass",
    },
    {
      source: "By hand, 1 in spindle in 1 3/4 in: section 3/8 in, π·1.375 = 4.320 in.",
      inputs: { stem: "1 in", box: "1 3/4 in", depth: "1 in", entry: "1/8 in" },
      outputs: { section: "0.375 ± 0.0001 in", ring: "4.3197 ± 0.0001 in", rings: "2 ± 0" },
      verdict: "watch",
    },
  ],
});
