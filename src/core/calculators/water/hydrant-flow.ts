import { err, ok } from "../../result";
import { calculator, numbered } from "../calculator";
import type { When } from "../declaration";
import { choice, FLOW, GAUGE, gaugeField, measured, named, PERCENT, PLAIN, result, SIZE } from "../fields";

const PSI = 6894.757293168361;
const INCH = 0.0254;
const GPM = (231 * INCH ** 3) / 60;
/** Residual at which hydrants are rated: 20 psi. */
const RATED_PSI = 20;
/** A main flows with the power 0.54 of the drop (Hazen and Williams). */
const POWER = 0.54;
const COEFFICIENT = { rounded: 0.9, square: 0.8, projecting: 0.7 } as const;
/** Classes by rated flow at 20 psi, gpm: NFPA 291. */
const CLASSES = [
  { least: 1500, name: "AA, light blue" },
  { least: 1000, name: "A, green" },
  { least: 500, name: "B, orange" },
  { least: 0, name: "C, red" },
] as const;
const OUTLETS = [1, 2, 3] as const;
const POINTS = 24;

/** Fields of an outlet count only when so many are open. */
const fromOutlet = (number: number): { when?: When } =>
  number === 1 ? {} : { when: { input: "outlets", is: number === 2 ? ["2", "3"] : ["3"] } };

/** Flow from an open outlet, m³/s: 29.84·c·d²·√p with d in inches and p in psi. NFPA 291. */
export const outletFlow = (coefficient: number, diameter: number, pitot: number): number =>
  29.84 * coefficient * (diameter / INCH) ** 2 * Math.sqrt(pitot / PSI) * GPM;

/** Calculation 9: what a hydrant gives at its rated residual, and its class. */
export const hydrantFlow = calculator({
  id: "hydrant-flow",
  chapter: "Water and fire",
  title: "Hydrant flow",
  says: "Flow of each outlet from the pitot, rated flow at 20 psi (1.38 bar) residual, and the class.",
  words: ["hydrant", "flow test", "pitot", "gpm", "static", "residual", "class", "colour", "fire flow"],
  inputs: {
    static: gaugeField("Static pressure", {
      help: "On the test hydrant, nothing flowing.",
      least: 0,
      most: 2e6,
      usual: 65 * PSI,
    }),
    residual: gaugeField("Residual pressure", {
      help: "On the same gauge while the others flow.",
      least: 0,
      most: 2e6,
      usual: 50 * PSI,
    }),
    outlets: choice("Outlets flowing", "How many are open and measured.", [
      ["1", "one"],
      ["2", "two"],
      ["3", "three"],
    ]),
    ...numbered(OUTLETS, {
      pitot: (number) =>
        gaugeField(`Pitot, outlet ${number}`, {
          help: "In the middle of the jet, half a diameter out.",
          least: 500,
          most: 1.5e6,
          usual: 20 * PSI,
          ...fromOutlet(number),
        }),
      diameter: (number) =>
        measured(`Bore, outlet ${number}`, SIZE, {
          help: "Measured inside.",
          least: 0.02,
          most: 0.16,
          usual: 2.5 * INCH,
          ...fromOutlet(number),
        }),
      shape: (number) =>
        choice(
          `Shape, outlet ${number}`,
          "Feel inside the outlet where it meets the barrel.",
          {
            rounded: "smooth and rounded, 0.90",
            square: "square and sharp, 0.80",
            projecting: "square, projecting into the barrel, 0.70",
          },
          fromOutlet(number),
        ),
    }),
    rated: gaugeField("Rated at residual", {
      help: "20 psi (1.38 bar), unless your authority says otherwise.",
      least: 0,
      most: 1e6,
      usual: RATED_PSI * PSI,
    }),
    before: measured("Rated flow of an earlier test", FLOW, {
      help: "To lay over the curve; none: empty.",
      least: 1e-4,
      most: 1,
      optional: true,
    }),
  },
  outputs: {
    rated: result("Rated flow", FLOW),
    class: named("Class (NFPA 291)"),
    flow: result("Flow of the test", FLOW),
    drop: result("Pressure drop", PERCENT),
    change: result("Against the earlier test", PERCENT, "optional"),
  },
  tables: {
    outlets: {
      title: "Outlets",
      columns: { outlet: result("Outlet", PLAIN), flow: result("Flow", FLOW) },
    },
    curve: {
      title: "Supply curve",
      columns: {
        flow: result("Flow", FLOW),
        pressure: result("Pressure", GAUGE),
        before: result("Earlier test", GAUGE, "optional"),
      },
    },
  },
  compute: (given, say) => {
    const [still, residual, rated] = [given.static, given.residual, given.rated];
    if (residual >= still)
      return err({
        input: "residual",
        message: "The residual must be below the static pressure: was anything flowing?",
      });
    if (rated >= still)
      return err({
        input: "rated",
        message: "The static pressure is not above the rated residual: this main cannot be rated so.",
      });
    const outlets = OUTLETS.slice(0, Number(given.outlets)).map((outlet) => ({
      outlet,
      flow: outletFlow(
        COEFFICIENT[given[`shape${outlet}`]],
        given[`diameter${outlet}`],
        given[`pitot${outlet}`],
      ),
    }));
    const flow = outlets.reduce((sum, each) => sum + each.flow, 0);
    const ratedFlow = flow * ((still - rated) / (still - residual)) ** POWER;
    const drop = (still - residual) / still;
    const conclusive = drop >= 0.1 || still - residual >= 10 * PSI;
    const kind = CLASSES.find((each) => ratedFlow / GPM >= each.least)!;
    const before = given.before;
    const pressureAt = (asked: number, at: number) => still - (still - rated) * (asked / at) ** (1 / POWER);
    const most = ratedFlow * (still / (still - rated)) ** POWER;
    const weaker = before !== undefined && ratedFlow < 0.8 * before;
    return ok({
      outputs: { flow, rated: ratedFlow, class: kind.name, drop, change: before && ratedFlow / before - 1 },
      tables: {
        outlets,
        curve: Array.from({ length: POINTS + 1 }, (_, index) => {
          const at = (most * index) / POINTS;
          return {
            flow: at,
            pressure: Math.max(0, pressureAt(at, ratedFlow)),
            before: before && Math.max(0, pressureAt(at, before)),
          };
        }),
      },
      verdict: !conclusive ? "watch" : weaker ? "fail" : "pass",
      reasons: [
        !conclusive
          ? "Test not conclusive: the drop is under 10 % and under 10 psi. Open another outlet or hydrant."
          : weaker
            ? `A fifth or more below the earlier test (${say(before, FLOW)}): look for a valve left part shut.`
            : `${say(ratedFlow, FLOW)} at ${say(rated, GAUGE)}: class ${kind.name}.`,
      ],
      cautions: [
        "Open and shut slowly, both turns: the water column hammers. Keep people out of the jet.",
        "Dechlorinate and lead the water where it cannot flood, freeze or wash out the road. Tell the fire service and the water undertaker first.",
      ],
    });
  },
  sources: [
    "NFPA 291: Q = 29.84·c·d²·√p, Q_R = Q_F·(h_r/h_f)^0.54, classes and colours, drop of at least 10 %.",
  ],
  examples: [
    {
      source:
        "NFPA 291 formula by hand: 29.84 · 0.9 · 2.5² · √20 = 750.7 gpm; (45/15)^0.54 = 1.8098: 1359 gpm, class A.",
      inputs: {},
      outputs: {
        flow: "750.6 ± 0.3 US gpm",
        rated: "1358.5 ± 1 US gpm",
        class: "A, green",
        drop: "23.08 ± 0.01 %",
      },
      verdict: "pass",
    },
    {
      source: "By hand: two outlets of 2 1/2 in, c 0.80, at 9 psi: 29.84 · 0.8 · 6.25 · 3 = 447.6 each.",
      inputs: { outlets: "2", pitot1: "9 psi", shape1: "square", pitot2: "9 psi", shape2: "square" },
      outputs: { flow: "895.2 ± 0.3 US gpm" },
    },
    {
      source: "A drop from 65 to 62 psi (4.6 %, 3 psi) proves nothing.",
      inputs: { residual: "62 psi" },
      outputs: { drop: "4.615 ± 0.01 %" },
      verdict: "watch",
    },
  ],
});
