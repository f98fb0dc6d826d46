import { crossingOrder, type Evenness, evennessOf } from "../../fastening";
import { err, ok } from "../../result";
import { calculator } from "../calculator";
import type { Say } from "../declaration";
import { list, measured, named, PLAIN, result } from "../fields";

const HAIR = 1e-6;

const pulls = (order: readonly number[]) => order.map((bolt, index) => ({ pull: index + 1, bolt }));

const joined = (bolts: readonly number[]) => bolts.join(", ");

/** Judges an order of pulling that somebody gives. */
export const tighteningOrder = calculator({
  id: "tightening-order",
  chapter: "Bolts and threads",
  title: "Is this order right?",
  says: "Judges a tightening order: whether every bolt is in it once, and how far it draws the joint to one side on the way.",
  words: [
    "tightening order",
    "sequence",
    "star pattern",
    "criss-cross",
    "which bolt first",
    "uneven",
    "cocked flange",
  ],
  inputs: {
    bolts: measured("Bolts", PLAIN, { help: "How many stand in the circle.", least: 3, most: 64, usual: 8 }),
    order: list(
      "The order",
      "Bolts numbered round the circle from 1, in the order they are pulled: 1 5 3 7 2 6 4 8.",
      {
        least: 1,
        most: 64,
        longest: 128,
      },
    ),
  },
  outputs: {
    oneSided: result("Pulls to one side, most, in bolts", PLAIN),
    at: result("After this many pulls", PLAIN),
    oval: result("Pulls into an oval, most, in bolts", PLAIN),
    better: named("Crossing pattern"),
  },
  tables: {
    given: {
      title: "As given",
      columns: { pull: result("Pull", PLAIN), bolt: result("Bolt, round the circle", PLAIN) },
    },
    order: {
      title: "Crossing pattern",
      columns: { pull: result("Pull", PLAIN), bolt: result("Bolt, round the circle", PLAIN) },
    },
  },
  compute: ({ bolts, order }, say) => {
    if (!Number.isInteger(bolts)) return err({ input: "bolts", message: "Give a whole number of bolts." });
    const strange = order.find((bolt) => bolt > bolts);
    if (strange !== undefined)
      return err({ input: "order", message: `There is no bolt ${strange} on a circle of ${bolts}.` });
    const evenness = evennessOf(order, bolts);
    const better = crossingOrder(bolts).map((at) => at + 1);
    // No order is more even than the pattern is: with an odd count it cannot be quite even.
    const even = evennessOf(better, bolts);
    const wrong = wrongWith(evenness, even, say);
    const uneven = evenness.oval > even.oval + HAIR;
    return ok({
      outputs: {
        oneSided: evenness.oneSided,
        at: evenness.oneSidedAt,
        oval: evenness.oval,
        better: better.join(" "),
      },
      tables: { given: pulls(order), order: pulls(better) },
      verdict: wrong.length > 0 ? "fail" : uneven ? "watch" : "pass",
      reasons:
        wrong.length > 0
          ? wrong
          : [
              uneven
                ? "It goes across, but does two sides before the two between them: the joint closes oval. Go quarter by quarter."
                : "Every bolt once, each across from the last: the joint closes evenly.",
            ],
      cautions: [
        "Hand tight all round first, faces parallel; then a third, two thirds and all of the torque in this order, and once round at full.",
      ],
    });
  },
  sources: [
    "Crossing pattern and passes: ASME PCC-1, legacy pattern. Pull to one side: the pulled bolts as equal forces at their places, added as vectors; its second harmonic for the oval.",
  ],
  examples: [
    {
      source:
        "ASME PCC-1: 1 5 3 7 2 6 4 8 for eight bolts; one bolt alone is never more than one bolt to one side.",
      inputs: { bolts: "8", order: "1 5 3 7 2 6 4 8" },
      outputs: { oneSided: "1 ± 1e-9", oval: "2 ± 1e-9", better: "1 5 3 7 2 6 4 8" },
      verdict: "pass",
    },
    {
      source: "By hand: once round; four neighbours of eight add up to 1/sin 22.5° = 2.6131.",
      inputs: { bolts: "8", order: "1 2 3 4 5 6 7 8" },
      outputs: { oneSided: "2.6131 ± 0.0001", at: "4 ± 0" },
      verdict: "fail",
    },
    {
      source: "By hand: 1 5 2 6 of eight: twice the angle gives 2 + 2 at a right angle: 2.8284.",
      inputs: { bolts: "8", order: "1 5 2 6 3 7 4 8" },
      outputs: { oneSided: "1 ± 1e-9", oval: "2.8284 ± 0.0001" },
      verdict: "watch",
    },
    {
      source: "By hand: bolt 4 is missing, bolt 3 is pulled twice.",
      inputs: { bolts: "4", order: "1, 3, 2, 3" },
      outputs: { better: "1 3 2 4" },
      verdict: "fail",
    },
  ],
});

function wrongWith(
  { twice, missing, notOpposite, neighbourAt, oneSided, oneSidedAt }: Evenness,
  even: Evenness,
  say: Say,
): string[] {
  return [
    ...(missing.length > 0 ? [`Not in it: ${joined(missing)}.`] : []),
    ...(twice.length > 0 ? [`Twice in it: ${joined(twice)}.`] : []),
    ...(notOpposite ? ["The second pull is not opposite the first: the cover cocks at once."] : []),
    ...(neighbourAt === undefined ? [] : [`Pull ${neighbourAt} follows its neighbour: go across.`]),
    ...(missing.length === 0 && twice.length === 0 && oneSided > even.oneSided + HAIR
      ? [
          `After ${oneSidedAt} pulls it is drawn to one side by ${say.figure(oneSided, 1)} bolts: the gasket is pinched there.`,
        ]
      : []),
  ];
}
