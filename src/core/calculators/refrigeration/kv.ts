import { err, ok } from "../../result";
import { calculator } from "../calculator";
import {
  choice,
  DIFFERENCE,
  FLOW,
  FLOW_COEFFICIENT,
  measured,
  named,
  PERCENT,
  PLAIN,
  result,
  TURNS,
} from "../fields";

/** A usual equal-percentage cone passes a fiftieth when just open. */
const RANGE = 50;
/** A cone is chosen to work below this share of its travel, so that it can still open. */
const WORKS_AT = 0.85;
const M3H_SQRT_BAR = 1 / 3600 / Math.sqrt(1e5);
const CONES = [0.1, 0.16, 0.25, 0.4, 0.63, 1, 1.6, 2.5, 4, 6.3, 10, 16, 25, 40, 63, 100, 160, 250];
const POINTS = 20;

/** Share of Kvs by share of travel. IEC 60534-2-4. */
const characteristic = (kind: string, travel: number, half: number): number =>
  kind === "linear"
    ? travel
    : kind === "equal"
      ? RANGE ** (travel - 1)
      : travel < 0.5
        ? (travel / 0.5) * half
        : half + ((travel - 0.5) / 0.5) * (1 - half);

function travelFor(kind: string, share: number, half: number): number {
  let [low, high] = [0, 1];
  for (let turn = 0; turn < 50; turn++) {
    const middle = (low + high) / 2;
    if (characteristic(kind, middle, half) < share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Calculation 26: flow through a valve, how far to open it, and which cone. */
export const kv = calculator({
  id: "kv",
  chapter: "Refrigeration",
  title: "Kv and opening",
  says: "What a valve passes at this opening, how many turns the wanted flow takes, and which cone suits.",
  words: [
    "kv",
    "cv",
    "hand regulating valve",
    "cone",
    "how many turns",
    "opening",
    "expansion valve",
    "throttle",
  ],
  inputs: {
    kvs: measured("Kvs of the valve", FLOW_COEFFICIENT, {
      help: "Wide open, from its sheet.",
      least: 0.001,
      most: 5000,
      usual: 1.6,
    }),
    turns: measured("Turns from shut to open", TURNS, {
      help: "Whole travel.",
      least: 0.1,
      most: 200,
      usual: 6,
    }),
    open: measured("Open by now", TURNS, { help: "Counted from shut.", least: 0, most: 200, usual: 2 }),
    characteristic: choice("Cone", "How flow grows with travel.", {
      linear: "linear",
      equal: "equal percentage",
      table: "from the sheet: by its half-way value",
    }),
    half: measured("Of Kvs at half travel", PERCENT, {
      help: "From the sheet's table.",
      least: 0.005,
      most: 0.99,
      usual: 0.3,
      when: { input: "characteristic", is: ["table"] },
    }),
    difference: measured("Pressure difference", DIFFERENCE, {
      help: "Across the valve, flowing.",
      least: 100,
      most: 2e7,
      usual: 3e5,
    }),
    gravity: measured("Relative density", PLAIN, {
      help: "Water 1; liquid ammonia 0.65; liquid CO2 1.03.",
      least: 0.3,
      most: 3,
      usual: 0.65,
    }),
    wanted: measured("Flow wanted", FLOW, { help: "Of liquid.", least: 1e-7, most: 5, usual: 0.5e-3 }),
  },
  outputs: {
    flow: result("Flow at this opening", FLOW),
    turnsNeeded: result("Open by, for the wanted flow", TURNS, "optional"),
    travel: result("That is, of its travel", PERCENT, "optional"),
    cone: named("Next cone up"),
    kvNow: result("Kv at this opening", FLOW_COEFFICIENT),
    needed: result("Kv needed", FLOW_COEFFICIENT),
  },
  tables: {
    curve: {
      title: "Flow by turns",
      columns: { turns: result("Open by", TURNS), flow: result("Flow", FLOW) },
    },
  },
  compute: (given, say) => {
    const [kvs, turns, open] = [given.kvs, given.turns, given.open];
    if (open > turns)
      return err({ input: "open", message: `It has only ${say(turns, TURNS)}. Count again.` });
    const kind = given.characteristic;
    const half = given.half;
    const drive = Math.sqrt(given.difference / given.gravity) * M3H_SQRT_BAR;
    const at = (travel: number) => (travel === 0 ? 0 : kvs * characteristic(kind, travel, half));
    const needed = given.wanted / drive;
    const enough = needed <= kvs;
    const travel = enough ? travelFor(kind, needed / kvs, half) : undefined;
    const cone = CONES.find((each) => needed <= each * characteristic(kind, WORKS_AT, half));
    return ok({
      outputs: {
        kvNow: at(open / turns),
        flow: at(open / turns) * drive,
        needed,
        turnsNeeded: travel && travel * turns,
        travel,
        cone: cone === undefined ? "none in the series is large enough" : `Kvs ${cone}`,
      },
      tables: {
        curve: Array.from({ length: POINTS + 1 }, (_, index) => ({
          turns: (turns * index) / POINTS,
          flow: at(index / POINTS) * drive,
        })),
      },
      verdict: !enough ? "fail" : travel! > WORKS_AT || travel! < 0.1 ? "watch" : "pass",
      reasons: [
        !enough
          ? "Wide open it does not pass that: a larger cone."
          : travel! > WORKS_AT
            ? "Nearly wide open: nothing is left to regulate with."
            : travel! < 0.1
              ? "Hardly open: it will wear its seat and hunt. A smaller cone."
              : `Open it ${say(travel! * turns, TURNS)} from shut.`,
      ],
      cautions: [
        "Liquid only, not near boiling: where it flashes in the valve it passes less, often by half. For vapour use the gas formula of the maker's sheet.",
        "Count turns from shut without forcing: a cone screwed hard into its seat is grooved.",
      ],
    });
  },
  sources: ["Q = Kv·√(Δp/SG), m³/h and bar; Cv = Kv/0.865; characteristics: IEC 60534-1 and -2-4."],
  examples: [
    {
      source: "By definition: Kv 1.6 wide open at 1 bar passes 1.6 m³/h of water.",
      inputs: { open: "6 turn", difference: "1 bar", gravity: "1" },
      outputs: { flow: "1.6 ± 1e-6 m3/h" },
    },
    {
      source:
        "By hand: 2 of 6 turns, linear, 3 bar, SG 0.65: 0.5333 · √(3/0.65) = 1.1457 m³/h; 1.8 m³/h need Kv 0.838, 3.14 turns.",
      inputs: { wanted: "1.8 m3/h" },
      outputs: {
        flow: "1.1458 ± 0.0005 m3/h",
        needed: "0.8379 ± 0.0005 Kv",
        turnsNeeded: "3.142 ± 0.002 turn",
        cone: "Kvs 1",
      },
      verdict: "pass",
    },
    {
      source: "By hand, equal percentage 50: at half travel 50^−0.5 = 14.14 % of Kvs.",
      inputs: { characteristic: "equal", open: "3 turn" },
      outputs: { kvNow: "0.22627 ± 0.0001 Kv" },
    },
  ],
});
