import { err, ok } from "../../result";
import { calculator } from "../calculator";
import type { Verdict } from "../declaration";
import {
  CONTENT,
  choice,
  DAYS,
  day,
  GAUGE,
  gaugeField,
  MASS_FLOW,
  measured,
  named,
  PERCENT,
  RUN,
  result,
} from "../fields";
import { writeDate } from "../read-inputs";

const FOOT = 0.3048;
const POUND = 0.45359237;
/** f in lb air/min for each ft² of D·L, by refrigerant: ANSI/ASHRAE 15, table of relief devices, not on a cascade's low side. */
const F = {
  ammonia: 0.5,
  co2: 1,
  R11: 1,
  R12: 1.6,
  R13: 2,
  R13B1: 2,
  R14: 2.5,
  R22: 1.6,
  R23: 1,
  R32: 1,
  R113: 1,
  R114: 1.6,
  R115: 2.5,
  R123: 1,
  R124: 1.6,
  r134a: 1.6,
  R142b: 1,
  R143a: 2,
  R152a: 1,
  R290: 1,
  R401A: 1.6,
  R402A: 2.5,
  R402B: 2,
  R404A: 2.5,
  R407A: 2,
  R407B: 2.5,
  R407C: 1.6,
  R408A: 2,
  R409A: 1.6,
  R410A: 2.5,
  R500: 1.6,
  R502: 2.5,
  R503: 2,
  R507A: 2.5,
  R600: 1,
  R600a: 1,
  R1270: 1.6,
} as const;
const REFRIGERANT_NAMES = {
  ...(Object.fromEntries(Object.keys(F).map((id) => [id, id])) as Record<keyof typeof F, string>),
  ammonia: "ammonia (R717)",
  co2: "CO2 (R744)",
  r134a: "R134a",
};
const FIRE = 2.5;
const toSI = (f: number) => (f * POUND) / 60 / FOOT ** 2;
/** Gross internal volume from which two valves on a three-way are wanted: 10 ft³. */
const DUAL = 10 * FOOT ** 3;
const YEAR_S = 365.25 * 86_400;
const SOON_S = 90 * 86_400;

/** Calculation 23: whether a vessel's relief valve is large enough, set right and not too old. */
export const reliefCheck = calculator({
  id: "relief-check",
  chapter: "Refrigeration",
  title: "Relief valve check",
  says: "Whether a vessel's relief valve is large enough, set right, single or dual as it must be, and when it is replaced.",
  words: [
    "relief",
    "safety valve",
    "f d l",
    "capacity",
    "dual relief",
    "lifted",
    "five years",
    "set pressure",
    "ammonia vessel",
  ],
  inputs: {
    refrigerant: choice("Refrigerant", "On the plate.", REFRIGERANT_NAMES),
    diameter: measured("Vessel's outside diameter", RUN, {
      help: "Without lagging.",
      least: 0.03,
      most: 6,
      usual: 0.9,
    }),
    length: measured("Vessel's length", RUN, {
      help: "Over the heads.",
      least: 0.05,
      most: 30,
      usual: 2.6,
    }),
    volume: measured("Gross internal volume", CONTENT, {
      help: "On the plate.",
      least: 1e-4,
      most: 500,
      usual: 1.55,
    }),
    fire: choice("Combustibles near", "Within 6 m (20 ft) of the vessel.", { no: "none", yes: "yes" }),
    fitted: choice(
      "Fitted",
      "How many relief valves, and on what.",
      { single: "one valve", dual: "two on a three-way" },
      { usual: "dual" },
    ),
    capacity: measured("Capacity of one valve, air", MASS_FLOW, {
      help: "Stamped on it.",
      least: 1e-5,
      most: 50,
      usual: 0.19,
    }),
    setting: gaugeField("Set at", { help: "Stamped on it.", least: 1e4, most: 2e7, usual: 17e5 }),
    design: gaugeField("Vessel's design pressure", {
      help: "On the vessel's plate.",
      least: 1e4,
      most: 2e7,
      usual: 17e5,
    }),
    working: gaugeField("Highest working pressure", {
      help: "In service.",
      least: 0,
      most: 2e7,
      usual: 11e5,
    }),
    lifted: choice("Has it lifted", "Ever, in service.", { no: "no", yes: "yes, or it weeps" }),
    installed: day("In service since", "On its tag.", { optional: true }),
    today: day("Today", "The day of the check.", { optional: true, usual: "now" }),
    years: measured("Replaced every", DAYS, {
      help: "Five years unless your plan or site says otherwise.",
      least: 86_400,
      most: 40 * YEAR_S,
      usual: 5 * YEAR_S,
    }),
  },
  outputs: {
    required: result("Capacity required, air", MASS_FLOW),
    spare: result("Capacity of the valve against it", PERCENT),
    margin: result("Working below the setting by", PERCENT),
    arrangement: named("Arrangement wanted"),
    pressure: result("Setting", GAUGE),
    due: named("Replace by", "optional"),
  },
  compute: (given, say) => {
    const [setting, design, working] = [given.setting, given.design, given.working];
    if (given.diameter > given.length * 5)
      return err({
        input: "length",
        message: "A vessel is longer than that. Give its length over the heads.",
      });
    const f = toSI(F[given.refrigerant]) * (given.fire === "yes" ? FIRE : 1);
    const required = f * given.diameter * given.length;
    const capacity = given.capacity;
    const dual = given.volume >= DUAL;
    const single = given.fitted === "single";
    const [installed, today] = [given.installed, given.today];
    const due = installed === undefined ? undefined : installed + given.years;
    const late = due !== undefined && today !== undefined ? today - due : undefined;
    const faults: [Verdict, string][] = [
      given.lifted === "yes" && [
        "stop",
        "It has lifted: dirt on its seat lets it weep or stick. Replace it at once.",
      ],
      setting > design && [
        "stop",
        `Set at ${say(setting, GAUGE)}, above the vessel's ${say(design, GAUGE)}: it does not protect it.`,
      ],
      capacity < required && ["stop", "Too small for this vessel in a fire."],
      dual &&
        single && [
          "fail",
          "From 283 L (10 ft³) two valves on a three-way are wanted, so that one can be changed without the vessel standing open.",
        ],
      late !== undefined && late >= 0 && ["fail", "Its years are over: replace it, both of a pair."],
      working > 0.9 * setting && ["watch", "It works within 10 % of the setting: it will simmer."],
      installed === undefined && [
        "watch",
        "How long it is in service was not said: look at its tag, it has its years.",
      ],
      late !== undefined &&
        late < 0 &&
        late > -SOON_S && ["watch", "Its years are over within three months: order it."],
    ].filter((each): each is [Verdict, string] => each !== false);
    return ok({
      outputs: {
        required,
        spare: capacity / required,
        margin: 1 - working / setting,
        arrangement: dual ? "two on a three-way valve" : "one is allowed",
        pressure: setting,
        due: due === undefined ? undefined : writeDate(due),
      },
      verdict: faults[0]?.[0] ?? "pass",
      reasons:
        faults.length > 0
          ? faults.map(([, says]) => says)
          : ["Large enough, set at or below the vessel, arranged as it must be."],
      cautions: [
        "A relief valve is set and sealed by its maker: never adjust or test one in place. The vessel is never left without one that is open to it.",
        "It discharges where nobody stands. Your code and its inspector decide.",
      ],
    });
  },
  sources: [
    "C = f·D·L and the 10 ft³ (283 L) bound: ANSI/ASHRAE 15, pressure-relief protection; f by refrigerant in lb/min·ft² (0.5 R717, 1.0 R744, 1.6 R134a, 2.5 R404A), 2.5 times with combustibles within 20 ft. Five years: IIAR 6.",
  ],
  examples: [
    {
      source: "ASHRAE 15 by hand: ammonia, 3 ft × 10 ft: 0.5 · 30 = 15 lb/min of air.",
      inputs: { diameter: "3 ft", length: "10 ft", capacity: "15 lb/min" },
      outputs: { required: "15 ± 0.001 lb/min", spare: "100 ± 0.01 %" },
    },
    {
      source:
        "By hand: 0.9 · 2.6 m · 0.0407 · 2.5 = 0.2380 kg/s with combustibles near: the valve of 0.19 kg/s is too small.",
      inputs: { fire: "yes", capacity: "0.19 kg/s" },
      outputs: { required: "0.238 ± 0.0005 kg/s", arrangement: "two on a three-way valve" },
      verdict: "stop",
    },
    {
      source: "Five years of 365.25 days from 1 March 2021 end on 1 March 2026.",
      inputs: { installed: "2021-03-01", today: "2026-06-01" },
      outputs: { due: "2026-03-01" },
      verdict: "fail",
    },
    {
      source: "ASHRAE 15 by hand: R404A, 1 ft × 4 ft: 2.5 · 4 = 10 lb/min of air; its age was not said.",
      inputs: {
        refrigerant: "R404A",
        diameter: "1 ft",
        length: "4 ft",
        capacity: "12 lb/min",
        volume: "3 ft3",
      },
      outputs: { required: "10 ± 0.001 lb/min", spare: "120 ± 0.01 %", arrangement: "one is allowed" },
      verdict: "watch",
    },
  ],
});
