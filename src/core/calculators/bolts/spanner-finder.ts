import { grip, OPENINGS } from "../../fastening";
import { err, ok } from "../../result";
import { calculator } from "../calculator";
import { choice, measured, named, PERCENT, result, SIZE } from "../fields";

const AROUND = 3;

/** Calculation 4: which spanner goes on it. */
export const spannerFinder = calculator({
  id: "spanner-finder",
  chapter: "Bolts and threads",
  title: "Spanner finder",
  says: "Which spanner fits the flats, how much slack the others have, and which would round it off.",
  words: [
    "spanner",
    "wrench",
    "what size spanner",
    "across flats",
    "rounded nut",
    "socket",
    "inch or metric",
  ],
  inputs: {
    flats: measured("Across flats, measured", SIZE, {
      help: "Between two flats, rust scraped off; take the largest of the three.",
      least: 0.0035,
      most: 0.081,
      usual: 0.0188,
    }),
    set: choice("Spanners in hand", "Which sets are in the van.", {
      both: "inch and metric",
      inch: "inch only",
      metric: "metric only",
    }),
  },
  outputs: {
    best: named("Take"),
    opening: result("Its opening", SIZE),
    slack: result("Slack", SIZE),
    share: result("Slack, of the width", PERCENT),
  },
  tables: {
    openings: {
      title: "Openings around it",
      columns: {
        name: named("Spanner"),
        opening: result("Opening", SIZE),
        slack: result("Slack", SIZE),
        share: result("Slack", PERCENT),
        grip: named("What it does"),
      },
    },
  },
  compute: (given, say) => {
    const flats = given.flats;
    const set = given.set;
    const inHand = OPENINGS.filter((each) => set === "both" || each.system === set).map((each) => ({
      ...each,
      ...grip(flats, each.size),
    }));
    const at = inHand.findIndex((each) => each.kind !== "too small");
    const best = inHand[at];
    if (best === undefined)
      return err({
        input: "flats",
        message:
          "Larger than every spanner in the table. Use an adjustable one with the load on its fixed jaw.",
      });
    const row = (each: (typeof inHand)[number]) => ({
      name: each.name,
      opening: each.size,
      slack: each.slack,
      share: each.slack / flats,
      grip: each.kind,
    });
    return ok({
      outputs: { best: best.name, opening: best.size, slack: best.slack, share: best.slack / flats },
      tables: { openings: inHand.slice(Math.max(0, at - 1), at + AROUND).map(row) },
      verdict: best.kind === "fits" ? "pass" : best.kind === "loose" ? "watch" : "stop",
      reasons: [
        best.kind === "fits"
          ? `${best.name} fits with ${say(best.slack, SIZE)} of slack.`
          : best.kind === "loose"
            ? `${best.name} is loose: a ring spanner or six-point socket only, and no jerks.`
            : `${best.name} will round it off: get the other system's set before you pull.`,
      ],
      cautions: [
        "Use a ring spanner or six-point socket on anything tight. Pull towards you, never push: when it slips, knuckles meet iron.",
      ],
    });
  },
  sources: [
    "Openings: ISO 691, ISO 272; inch ASME B18.2.2. Bound for slack: tolerance of flats and opening together, about 2.5 %.",
  ],
  examples: [
    {
      source:
        "ISO 272: an M12 nut measures 18.8 mm over its flats, 19 mm fits: 0.2/18.8 = 1.06 %. 3/4 in is 19.05 mm.",
      inputs: { set: "metric" },
      outputs: { best: "19 mm", slack: "0.2 ± 0.001 mm", share: "1.064 ± 0.001 %" },
      verdict: "pass",
    },
    {
      source:
        "By hand: 12.7 mm with metric spanners only: 13 mm, 0.3/12.7 = 2.36 %, just fits; inch fits without any.",
      inputs: { flats: "12.7 mm", set: "metric" },
      outputs: { best: "13 mm", share: "2.362 ± 0.001 %" },
      verdict: "pass",
    },
    {
      source: "By hand: 7/16 in flats (11.1125 mm) with 12 mm: 0.8875/11.1125 = 8 %: rounds it off.",
      inputs: { flats: "7/16 in", set: "metric" },
      outputs: { best: "12 mm", share: "7.987 ± 0.001 %" },
      verdict: "stop",
    },
  ],
});
