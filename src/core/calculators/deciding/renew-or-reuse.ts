import { ok } from "../../result";
import { failureChance } from "../../statistics";
import { calculator } from "../calculator";
import { byName, choice, MONEY, measured, named, PERCENT, result, YEARS } from "../fields";

const YEAR_S = 365.25 * 86_400;
/** Shape and characteristic life, years, by part class: demonstration data, to be replaced by your own records. */
const CLASSES = {
  elastomer: { name: "rubber seal or diaphragm", shape: 2.5, life: 9 },
  seat: { name: "metal seat or plug", shape: 2, life: 22 },
  spring: { name: "spring", shape: 2.2, life: 30 },
  motor: { name: "motor or coil", shape: 1.3, life: 14 },
  electronics: { name: "board or sensor", shape: 1, life: 18 },
  once: { name: "one-use gasket, crush ring", shape: 1, life: 1 },
} as const;
/** What was found makes it older than its years. */
const FINDINGS = { good: 1, worn: 1.5, poor: 2.5 } as const;
const SWING = 0.3;
const AGES = 60;

interface Case {
  readonly shape: number;
  readonly life: number;
  readonly age: number;
  readonly horizon: number;
  readonly part: number;
  readonly visit: number;
  readonly outage: number;
  readonly damage: number;
}

/** Expected cost from now to the next planned visit: of leaving it, and of renewing it now. */
const costs = ({ shape, life, age, horizon, part, visit, outage, damage }: Case) => {
  const failure = visit + outage + part;
  const reuse = failureChance(shape, life, age, horizon) * failure;
  const renew = part + (failureChance(shape, life, 0, horizon) + damage) * failure;
  return { reuse, renew };
};

/** Calculation 37: renew it now that it is in the hand, or put it back. */
export const renewOrReuse = calculator({
  id: "renew-or-reuse",
  chapter: "Deciding and timing",
  title: "Renew or reuse",
  says: "Expected cost of renewing a part now against putting it back, the age at which they meet, and what the answer hangs on.",
  words: [
    "renew",
    "reuse",
    "replace",
    "worth it",
    "how long will it last",
    "weibull",
    "break-even",
    "return visit",
    "while you are in there",
  ],
  inputs: {
    part: choice("Part", "Its class.", byName(CLASSES)),
    age: measured("Age", YEARS, {
      help: "Since it was fitted.",
      least: 0,
      most: 60 * YEAR_S,
      usual: 5 * YEAR_S,
    }),
    finding: choice(
      "Found",
      "When you looked at it.",
      { good: "like new", worn: "worn, in its limits", poor: "poor" },
      { usual: "good" },
    ),
    horizon: measured("Next planned visit in", YEARS, {
      help: "When it is open again anyway.",
      least: 86_400,
      most: 20 * YEAR_S,
      usual: 2 * YEAR_S,
    }),
    cost: measured("New part", MONEY, { help: "With its minutes.", least: 0, most: 1e6, usual: 14 }),
    visit: measured("A return visit", MONEY, {
      help: "Travel, isolation, strip, rebuild.",
      least: 0,
      most: 1e6,
      usual: 260,
    }),
    outage: measured("Outage and harm", MONEY, {
      help: "What a failure costs beyond the visit.",
      least: 0,
      most: 1e8,
      usual: 120,
    }),
    damage: measured("Chance that renewing harms", PERCENT, {
      help: "Handling, a wrong part: 0.5 to 2 %.",
      least: 0,
      most: 0.5,
      usual: 0.01,
    }),
  },
  outputs: {
    decision: named("Cheaper"),
    saves: result("The better one saves", MONEY),
    breakEven: result("Even at an age of", YEARS, "optional"),
    reuse: result("Put back, expected", MONEY),
    renew: result("Renew, expected", MONEY),
    chance: result("Fails before then, put back", PERCENT),
    chanceNew: result("Fails before then, new", PERCENT),
  },
  tables: {
    ages: {
      title: "Cost by age",
      columns: {
        age: result("Age", YEARS),
        reuse: result("Put back", MONEY),
        renew: result("Renew", MONEY),
      },
    },
    sensitivity: {
      title: "What it hangs on: the saving by renewing when one thing is 30 % less or more",
      columns: {
        what: named("Changed"),
        less: result("30 % less", MONEY),
        more: result("30 % more", MONEY),
      },
    },
  },
  compute: (given, say) => {
    const { shape, life } = CLASSES[given.part];
    const ageing = FINDINGS[given.finding];
    const here: Case = {
      shape,
      life: life * YEAR_S,
      age: given.age * ageing,
      horizon: given.horizon,
      part: given.cost,
      visit: given.visit,
      outage: given.outage,
      damage: given.damage,
    };
    const { reuse, renew } = costs(here);
    const gain = (one: Case) => costs(one).reuse - costs(one).renew;
    const oldest = 3 * here.life;
    const ages = Array.from({ length: AGES + 1 }, (_, index) => (index / AGES) * oldest);
    const crossing = ages.findIndex(
      (age, index) =>
        index > 0 && gain({ ...here, age }) >= 0 && gain({ ...here, age: ages[index - 1]! }) < 0,
    );
    const breakEven =
      crossing === -1
        ? undefined
        : halve(ages[crossing - 1]!, ages[crossing]!, (age) => gain({ ...here, age }) < 0) / ageing;
    const once = given.part === "once";
    const close = Math.abs(reuse - renew) < 0.1 * Math.max(reuse, renew, 1);
    const swing = (what: string, change: (by: number) => Partial<Case>) => ({
      what,
      less: gain({ ...here, ...change(1 - SWING) }),
      more: gain({ ...here, ...change(1 + SWING) }),
    });
    const decision = once || reuse > renew ? "renew it" : "put it back";
    return ok({
      outputs: {
        reuse,
        renew,
        saves: Math.abs(reuse - renew),
        chance: failureChance(here.shape, here.life, here.age, here.horizon),
        chanceNew: failureChance(here.shape, here.life, 0, here.horizon),
        breakEven,
        decision,
      },
      tables: {
        ages: ages.slice(0, AGES / 2 + 1).map((age) => ({ age: age / ageing, ...costs({ ...here, age }) })),
        sensitivity: [
          swing("life of the part", (by) => ({ life: here.life * by })),
          swing("age", (by) => ({ age: here.age * by })),
          swing("time to the next visit", (by) => ({ horizon: here.horizon * by })),
          swing("cost of the part", (by) => ({ part: here.part * by })),
          swing("cost of a return visit", (by) => ({ visit: here.visit * by })),
          swing("cost of the outage", (by) => ({ outage: here.outage * by })),
          swing("chance of harm", (by) => ({ damage: here.damage * by })),
        ],
      },
      verdict: once ? "stop" : close ? "watch" : "pass",
      reasons: [
        once
          ? "A one-use part is always renewed, whatever it costs."
          : close
            ? `Nearly even: ${decision}, or as the sheet and your eye say.`
            : `${decision === "renew it" ? "Renewing" : "Putting it back"} saves ${say(Math.abs(reuse - renew), MONEY)} on average.`,
      ],
      cautions: [
        "Money does not decide on parts that keep people safe: there the sheet's limit does.",
        "Lives are demonstration data: your own records go before them.",
      ],
    });
  },
  sources: [
    "Weibull, J. Appl. Mech. 18 (1951) 293; conditional chance of failure as in any reliability text. Lives by class: demonstration data.",
  ],
  examples: [
    {
      source:
        "By hand, board (β 1, η 18 years, no memory): 1 − e^(−2/18) = 10.52 % new and old; put back 0.10516 · 394 = 41.43; renewed 14 + (0.10516 + 0.01) · 394 = 59.37.",
      inputs: { part: "electronics" },
      outputs: {
        chance: "10.516 ± 0.001 %",
        chanceNew: "10.516 ± 0.001 %",
        reuse: "41.43 ± 0.01 ¤",
        renew: "59.37 ± 0.01 ¤",
        decision: "put it back",
      },
      verdict: "pass",
    },
    {
      source:
        "By hand, rubber seal (β 2.5, η 9) of 5 years over 2: (7/9)^2.5 − (5/9)^2.5 = 0.5335 − 0.2301 = 0.3034: 26.2 %; new (2/9)^2.5 = 0.02328: 2.3 %.",
      inputs: {},
      outputs: { chance: "26.17 ± 0.02 %", chanceNew: "2.301 ± 0.002 %", decision: "renew it" },
      verdict: "pass",
    },
  ],
});

/** The place where a condition turns from true to false. */
function halve(low: number, high: number, below: (at: number) => boolean): number {
  let [from, to] = [low, high];
  for (let turn = 0; turn < 50; turn++) {
    const middle = (from + to) / 2;
    if (below(middle)) from = middle;
    else to = middle;
  }
  return (from + to) / 2;
}
