import { metricStressArea, NUT_FACTOR } from "../../fastening";
import { err, ok } from "../../result";
import { GASKET_FACTORS, ringGasketLoad } from "../../sealing";
import { calculator, numbered } from "../calculator";
import {
  byName,
  choice,
  FORCE,
  gaugeField,
  measured,
  named,
  PERCENT,
  PLAIN,
  result,
  SIZE,
  STRESS,
  TORQUE,
} from "../fields";

/** Alignment bound of ASME PCC-1 appendix E: faces parallel within 0.8 mm across the gasket. */
const PARALLEL = 0.8e-3;
/** From the bolt circle to the middle of the pressed face between it and another circle, m; full-face flanges. */
const lever = (other: number, circle: number): number =>
  (Math.abs(circle - other) * (2 * other + circle)) / (6 * (other + circle));

const CLOCK = ["12", "3", "6", "9"] as const;

/** Calculation 48: what load a gasket needs, whether the bolts have it, and whether the flanges stand parallel. */
export const gasketLoad = calculator({
  id: "gasket-load",
  chapter: "Seals and fit",
  title: "Gasket load",
  says: "Bolt load that seats a gasket and holds it under pressure, against what the bolts bear; flange alignment from four readings.",
  words: [
    "gasket",
    "seating",
    "crush",
    "leaking flange",
    "bolt load",
    "m and y",
    "alignment",
    "parallel flanges",
    "feeler gauge",
  ],
  inputs: {
    kind: choice("Gasket", "Material and make.", byName(GASKET_FACTORS), { usual: "fibre 1.6" }),
    reach: choice("It reaches", "A full-face one passes under the bolts.", {
      ring: "to the bolts (ring)",
      full: "to the rim (full face)",
    }),
    inside: measured("Gasket inside", SIZE, { help: "Diameter.", least: 0.003, most: 2, usual: 0.115 }),
    outside: measured("Gasket outside", SIZE, {
      help: "Diameter; for a full face the rim.",
      least: 0.005,
      most: 2.2,
      usual: 0.162,
    }),
    circle: measured("Bolt circle", SIZE, {
      help: "Across the bolt centres.",
      least: 0.01,
      most: 2.2,
      usual: 0.18,
      when: { input: "reach", is: ["full"] },
    }),
    pressure: gaugeField("Pressure", {
      help: "Highest it will see, tests too.",
      least: 0,
      most: 4e7,
      usual: 16e5,
    }),
    bolts: measured("Bolts", PLAIN, { help: "How many.", least: 3, most: 64, usual: 8 }),
    diameter: measured("Bolt diameter", SIZE, { help: "Nominal.", least: 0.004, most: 0.1, usual: 0.016 }),
    pitch: measured("Pitch", SIZE, {
      help: "From thread to thread.",
      least: 0.0005,
      most: 0.006,
      usual: 0.002,
    }),
    stress: measured("Bolts may be pulled to", STRESS, {
      help: "About half of proof: 290 N/mm² for 8.8, 110 for 4.6.",
      least: 1e7,
      most: 1e9,
      usual: 290e6,
    }),
    ...numbered(CLOCK, {
      at: (hour) =>
        measured(`Gap at ${hour} o'clock`, SIZE, {
          help: "Between the faces, bolts finger tight.",
          least: 0,
          most: 0.1,
          optional: true,
        }),
    }),
  },
  outputs: {
    each: result("Needed in each bolt", FORCE),
    torque: result("Torque for that, dry", TORQUE),
    used: result("Of what it may carry", PERCENT),
    seating: result("To seat it", FORCE),
    operating: result("To hold it under pressure", FORCE),
    capacity: result("Each bolt may carry", FORCE),
    tilt: result("Faces out of parallel", SIZE, "optional"),
    tiltAt: named("Widest at", "optional"),
  },
  compute: (given, say) => {
    const { inside, outside, pressure, bolts, diameter } = given;
    if (outside <= inside)
      return err({ input: "outside", message: "The outside must be larger than the inside." });
    if (given.pitch > 0.3 * diameter)
      return err({ input: "pitch", message: "No thread is that coarse for its diameter." });
    const kind = given.kind;
    const full = given.reach === "full";
    const circle = given.circle;
    if (full && (circle <= inside || circle >= outside))
      return err({
        input: "circle",
        message: "The bolt circle lies inside a full-face gasket: give it between inside and outside.",
      });
    // A full face pushes back on either side of the bolts: its inner part seals, the outer balances it.
    const ring = ringGasketLoad(kind, inside, full ? circle : outside, pressure);
    const balance = full ? 1 + lever(inside, circle) / lever(outside, circle) : 1;
    const operating = full ? ring.thrust + (ring.operating - ring.thrust) * balance : ring.operating;
    const seating = ring.seating * balance;
    const each = Math.max(operating, seating) / bolts;
    const area = metricStressArea(diameter, given.pitch);
    const capacity = area * given.stress;
    const gaps = CLOCK.flatMap((hour) => {
      const gap = given[`at${hour}`];
      return gap === undefined ? [] : [{ hour, gap }];
    });
    const widest = gaps.reduce((a, b) => (b.gap > a.gap ? b : a), gaps[0]!);
    const tilt = gaps.length < 2 ? undefined : widest.gap - Math.min(...gaps.map((one) => one.gap));
    const weak = each > capacity;
    const skew = tilt !== undefined && tilt > PARALLEL;
    return ok({
      outputs: {
        seating,
        operating,
        each,
        capacity,
        used: each / capacity,
        torque: NUT_FACTOR.dry.k * each * diameter,
        tilt,
        tiltAt: tilt === undefined ? undefined : `${widest.hour} o'clock`,
      },
      verdict: weak || skew ? "fail" : each > 0.9 * capacity ? "watch" : "pass",
      reasons: [
        weak
          ? "The bolts cannot load this gasket: a softer or narrower one, or stronger bolts."
          : `${operating > seating ? "Holding it under pressure" : "Seating it"} decides the load.`,
        ...(skew
          ? [
              `The faces are ${say(tilt, SIZE)} out of parallel, over 0.8 mm: line the pipe up before bolting. Bolts are not for pulling pipe.`,
            ]
          : []),
      ],
      cautions: [
        "The code gives the least load, not a target: the maker's torque goes before it.",
        "Never tighten a leaking flange under pressure unless your site's procedure allows it: a bolt that breaks lets all of it go.",
      ],
    });
  },
  sources: [
    "ASME VIII-1, Appendix 2 (m, y, b, G, Wm1, Wm2), table 2-5.1; alignment: ASME PCC-1, appendix E. Full face: moment balance about the bolt circle.",
  ],
  examples: [
    {
      source:
        "By hand: N = 23.5, b₀ = 11.75 > 6.35: b = √(11.75 · 6.35) = 8.638 mm; G = 162 − 17.28 = 144.7 mm; H = π/4·0.1447²·1.6 MPa = 26.32 kN; Wm1 = 26.32 + 2·8.638e-3·π·0.1447·2.75·1.6e6 = 60.88 kN; Wm2 = π·8.638e-3·0.1447·26e6 = 102.1 kN.",
      inputs: {},
      outputs: { operating: "60.9 ± 0.1 kN", seating: "102.1 ± 0.1 kN", each: "12.76 ± 0.02 kN" },
      verdict: "pass",
    },
    {
      source: "By hand: 1.4 mm wider at 6 o'clock than at 12.",
      inputs: { at12: "3 mm", at6: "4.4 mm" },
      outputs: { tilt: "1.4 ± 0.0001 mm", tiltAt: "6 o'clock" },
      verdict: "fail",
    },
  ],
});
