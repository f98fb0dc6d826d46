import { err, ok } from "../../result";
import { calculator } from "../calculator";
import { measured, named, PERCENT, PLAIN, result, SIZE } from "../fields";

const tolerance = (label: string, usual: number) =>
  measured(label, SIZE, { help: "Plus or minus, of one piece.", least: 0, most: 0.005, usual });

/** Calculation 46: how deep a stack of seals and spacers should sit, and what one piece too few or too many would read. */
export const stackDepth = calculator({
  id: "stack-depth",
  chapter: "Seals and fit",
  title: "Stack depth",
  says: "How far a stack of seals and spacers should sit back from the face, and whether a piece is missing or doubled.",
  words: [
    "stack",
    "spool valve",
    "seals and spacers",
    "how deep",
    "set-back",
    "depth gauge",
    "one left over",
    "missing seal",
  ],
  inputs: {
    bore: measured("Depth of the bore", SIZE, {
      help: "Empty, from the face.",
      least: 0.001,
      most: 1,
      usual: 0.06,
    }),
    boreTolerance: tolerance("Its tolerance", 0.0001),
    seals: measured("Seals", PLAIN, { help: "How many.", least: 1, most: 40, usual: 6 }),
    seal: measured("One seal, free", SIZE, {
      help: "Height not pressed.",
      least: 0.0005,
      most: 0.1,
      usual: 0.004,
    }),
    sealTolerance: tolerance("Its tolerance", 0.00015),
    squeeze: measured("Squeeze when assembled", PERCENT, {
      help: "How much a seal shortens under the cover.",
      least: 0,
      most: 0.5,
      usual: 0.1,
    }),
    spacers: measured("Spacers", PLAIN, { help: "How many; none: 0.", least: 0, most: 40, usual: 5 }),
    spacer: measured("One spacer", SIZE, { help: "Height.", least: 0.0001, most: 0.1, usual: 0.007 }),
    spacerTolerance: tolerance("Its tolerance", 0.00005),
    reading: measured("Depth gauge reads", SIZE, {
      help: "From the face to the top of the stack, lightly pressed home; minus when it stands proud.",
      least: -0.1,
      most: 1,
      optional: true,
    }),
  },
  outputs: {
    looksLike: named("The reading looks like", "optional"),
    free: result("Set-back before it is pressed", SIZE),
    setBack: result("Set-back, pressed", SIZE),
    worst: result("Band, all at their worst", SIZE),
    likely: result("Band, as it falls (root sum square)", SIZE),
    oneSealShort: result("One seal missing reads", SIZE),
    oneSpacerShort: result("One spacer missing reads", SIZE),
    oneSealMore: result("One seal too many reads", SIZE),
  },
  compute: (given, say) => {
    const [seals, spacers] = [given.seals, given.spacers];
    if (!Number.isInteger(seals)) return err({ input: "seals", message: "Give a whole number of seals." });
    if (!Number.isInteger(spacers))
      return err({ input: "spacers", message: "Give a whole number of spacers." });
    const [seal, spacer] = [given.seal, given.spacer];
    const pressed = seal * (1 - given.squeeze);
    const free = given.bore - seals * seal - spacers * spacer;
    const setBack = given.bore - seals * pressed - spacers * spacer;
    const [tb, ts, tp] = [given.boreTolerance, given.sealTolerance, given.spacerTolerance];
    const worst = tb + seals * ts + spacers * tp;
    const likely = Math.sqrt(tb ** 2 + seals * ts ** 2 + spacers * tp ** 2);
    const reading = given.reading;
    const guesses = [
      { says: "all there", at: free },
      { says: "one seal missing", at: free + seal },
      ...(spacers > 0 ? [{ says: "one spacer missing", at: free + spacer }] : []),
      { says: "one seal too many, or one not home", at: free - seal },
      { says: "one spacer too many, or one not home", at: free - spacer },
    ];
    const near = reading === undefined ? [] : guesses.filter((each) => Math.abs(each.at - reading) <= worst);
    const blind = Math.min(seal, spacers > 0 ? spacer : seal) <= 2 * worst;
    const looksLike =
      reading === undefined
        ? undefined
        : near.map((each) => each.says).join(", or ") || "nothing expected: measure again, or a wrong piece";
    const good = near.length === 1 && near[0]!.says === "all there";
    return ok({
      outputs: {
        setBack,
        free,
        worst,
        likely,
        oneSealShort: free + seal,
        oneSpacerShort: free + spacer,
        oneSealMore: free - seal,
        looksLike,
      },
      verdict:
        reading === undefined
          ? blind
            ? "watch"
            : "pass"
          : good
            ? "pass"
            : near.length > 1
              ? "watch"
              : "fail",
      reasons: [
        reading !== undefined
          ? good
            ? "The depth is that of a whole stack."
            : near.length > 1
              ? "The band is too wide to tell: count the pieces left in the tray."
              : `It reads ${say(reading, SIZE)}: ${looksLike}. Take it out and count.`
          : blind
            ? "The tolerances together are as large as one piece: the depth alone cannot tell, count too."
            : "One piece too few or too many shows clearly on a depth gauge.",
      ],
      cautions: [
        "Lubricate as the sheet says and press each piece home: a seal on edge reads like one too many and tears when the spool goes in.",
      ],
    });
  },
  sources: [
    "Sum of a chain of dimensions, worst case and root-sum-square: any text on tolerance stacks (ISO 286 has the tolerances of fits).",
  ],
  examples: [
    {
      source:
        "By hand: free 60 − 6·4 − 5·7 = 1.0 mm; pressed 60 − 6·3.6 − 35 = 3.4 mm; worst 0.1 + 0.9 + 0.25 = 1.25 mm; likely √(0.01 + 6·0.0225 + 5·0.0025) = 0.397 mm.",
      inputs: {},
      outputs: {
        free: "1 ± 0.0001 mm",
        setBack: "3.4 ± 0.0001 mm",
        worst: "1.25 ± 0.0001 mm",
        likely: "0.397 ± 0.001 mm",
        oneSealShort: "5 ± 0.0001 mm",
      },
      verdict: "pass",
    },
    {
      source: "The same, 5.1 mm read: one seal of 4 mm is missing.",
      inputs: { reading: "5.1 mm" },
      outputs: { looksLike: "one seal missing" },
      verdict: "fail",
    },
  ],
});
