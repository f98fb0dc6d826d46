import { err, ok } from "../../result";
import { calculator } from "../calculator";
import { ANGLE, choice, FORCE, MASS, measured, PERCENT, PLAIN, result, SIZE } from "../fields";

const GRAVITY = 9.80665;
/** One person lifts this much near the waist in good footing: ISO 11228-1 reference mass. */
const ALONE = 25;
/** Demonstration figures: a DN 100 PN 16 iron valve weighs 38 kg, and mass grows with the power 2.1 of size; steel and class add. */
const BODY = { mass: 38, at: 0.1, power: 2.1 } as const;
const CLASS = { pn16: 1, pn25: 1.3, pn40: 1.6 } as const;
const COVER_SHARE = 0.3;

/** Calculation 45: what it weighs, and whether sling and jack bear it. */
export const lift = calculator({
  id: "lift",
  chapter: "Safety margins",
  title: "Lift",
  says: "What body or cover weighs, how hard each sling leg pulls at its angle, and the margin of sling and jack.",
  words: ["lift", "weight", "sling", "how heavy", "crane", "jack", "hoist", "two men", "spring cover"],
  inputs: {
    known: choice(
      "Weight",
      "Weigh or read it if you can.",
      { given: "known", guess: "from size and class" },
      { usual: "guess" },
    ),
    mass: measured("Mass", MASS, {
      help: "From the sheet or a scale.",
      least: 0.1,
      most: 20_000,
      usual: 60,
      when: { input: "known", is: ["given"] },
    }),
    size: measured("Nominal size", SIZE, {
      help: "DN, on its body or flange.",
      least: 0.015,
      most: 1.2,
      usual: 0.1,
      when: { input: "known", is: ["guess"] },
    }),
    class: choice(
      "Class",
      "On its body.",
      { pn16: "PN 16 or class 125", pn25: "PN 25 or class 250", pn40: "PN 40 or class 300" },
      { when: { input: "known", is: ["guess"] } },
    ),
    what: choice(
      "Lifted",
      "The whole valve or its cover.",
      { body: "the whole valve", cover: "cover or bonnet" },
      { when: { input: "known", is: ["guess"] } },
    ),
    legs: measured("Sling legs", PLAIN, { help: "How many carry.", least: 1, most: 4, usual: 2 }),
    angle: measured("Leg from upright", ANGLE, {
      help: "0° hangs straight; over 60° is forbidden.",
      least: 0,
      most: 1.5,
      usual: Math.PI / 6,
    }),
    limit: measured("One leg may carry", MASS, {
      help: "Working load limit on its tag, straight.",
      least: 1,
      most: 100_000,
      usual: 500,
    }),
    jack: measured("Jack or hoist may carry", MASS, {
      help: "On its plate.",
      least: 1,
      most: 100_000,
      usual: 1000,
    }),
    spring: measured("Spring under the cover", FORCE, {
      help: "Force when bolted down; none: 0.",
      least: 0,
      most: 1e6,
      usual: 0,
    }),
  },
  outputs: {
    mass: result("Weighs about", MASS),
    leg: result("Each leg pulls", FORCE),
    used: result("Of its limit", PERCENT),
    jackUsed: result("Of the jack or hoist", PERCENT),
    people: result("People to lift it by hand", PLAIN),
  },
  compute: (given) => {
    const angle = given.angle;
    if (!Number.isInteger(given.legs)) return err({ input: "legs", message: "Give a whole number of legs." });
    const guess = given.known === "guess";
    const mass = guess
      ? BODY.mass *
        (given.size / BODY.at) ** BODY.power *
        CLASS[given.class] *
        (given.what === "cover" ? COVER_SHARE : 1)
      : given.mass;
    // Four legs on a stiff load carry like two or three: two are counted.
    const carrying = Math.min(given.legs, 2);
    const leg = (mass * GRAVITY) / (carrying * Math.cos(angle));
    const used = leg / GRAVITY / given.limit;
    const jackUsed = mass / given.jack;
    const flat = angle > Math.PI / 3 + 1e-9;
    const over = used > 1 || jackUsed > 1 || flat;
    return ok({
      outputs: { mass, leg, used, jackUsed, people: Math.ceil(mass / ALONE) },
      verdict: over ? "stop" : used > 0.8 || jackUsed > 0.8 ? "watch" : "pass",
      reasons: [
        flat
          ? "Legs flatter than 60° from upright are forbidden: longer legs or a beam."
          : over
            ? "More than sling, jack or hoist may carry."
            : mass > ALONE
              ? "Too heavy for one: sling it."
              : "One person can lift it, close to the body.",
      ],
      cautions: [
        ...(guess ? ["Guessed from demonstration figures: take 30 % more until it hangs free."] : []),
        ...(given.spring > 0
          ? [
              "A spring lies under the cover: leave two long bolts opposite and back them off evenly until it is slack, or it throws the cover.",
            ]
          : []),
        "Nobody under it, no hand between faces; lift a hand's breadth, stop, look.",
      ],
    });
  },
  sources: [
    "Pull in a leg: W/(n·cos β), two legs counted at most (EN 818-6). Lifting by hand: ISO 11228-1, 25 kg. Masses by size: demonstration data.",
  ],
  examples: [
    {
      source: "By hand: 100 kg on two legs at 30°: 980.665/(2 · 0.8660) = 566.2 N.",
      inputs: { known: "given", mass: "100 kg" },
      outputs: { leg: "0.5662 ± 0.0001 kN", used: "11.547 ± 0.01 %", people: "4 ± 0" },
      verdict: "pass",
    },
    {
      source: "By hand: at 60° each leg pulls the whole weight.",
      inputs: { known: "given", mass: "450 kg", angle: "60 °" },
      outputs: { used: "90 ± 0.1 %" },
      verdict: "watch",
    },
    {
      source: "Legs at 75° are forbidden.",
      inputs: { known: "given", mass: "20 kg", angle: "75 °" },
      outputs: { people: "1 ± 0" },
      verdict: "stop",
    },
  ],
});
