import { scaldSeconds } from "../../physics";
import { err, ok } from "../../result";
import type { Calculator } from "../declaration";
import {
  DEGREES,
  FLOW,
  KELVIN,
  measured,
  PERCENT,
  result,
  SECONDS,
  temperatureField,
  WARMING,
} from "../fields";

const water = (name: string, label: string, help: string, usual: number) =>
  temperatureField(name, label, { help, least: KELVIN, most: KELVIN + 95, usual: KELVIN + usual });
/** Stored hot water colder than this breeds legionella; public health guidance of most countries. */
const LEGIONELLA_K = KELVIN + 60;
/** An outlet hotter than this scalds within minutes. */
const HOT_K = KELVIN + 49;

/** Calculation 19: what a mixing valve does, and what it does when something fails. */
export const mixing: Calculator = {
  id: "mixing",
  chapter: "Steam and heating",
  title: "Mixing valve",
  says: "Hot share and flows at a mixing valve, what comes out when a supply drifts or fails, and how soon that scalds.",
  words: [
    "mixing valve",
    "scald",
    "shower",
    "too hot",
    "tempered water",
    "thermostatic",
    "legionella",
    "drift",
  ],
  inputs: [
    water("hot", "Hot supply", "At the valve, running.", 60),
    water("cold", "Cold supply", "At the valve, running.", 10),
    water("set", "Set point", "What should come out.", 38),
    temperatureField("found", "Comes out", {
      help: "Measured at the outlet, settled.",
      least: KELVIN,
      most: KELVIN + 95,
    }),
    measured("flow", "Flow out", FLOW, { help: "All of it.", least: 1e-6, most: 0.1, usual: 12e-3 / 60 }),
    measured("tolerance", "May drift by", WARMING, {
      help: "Of the sheet; 2 K is usual.",
      least: 0.1,
      most: 10,
      usual: 2,
    }),
    measured("hotDrift", "Hot supply rises by", WARMING, {
      help: "What if.",
      least: -40,
      most: 40,
      usual: 5,
    }),
    measured("coldDrift", "Cold supply rises by", WARMING, {
      help: "What if.",
      least: -40,
      most: 40,
      usual: 0,
    }),
  ],
  outputs: [
    result("off", "Off the set point by", WARMING),
    result("share", "Hot share", PERCENT),
    result("hotFlow", "Hot flow", FLOW),
    result("coldFlow", "Cold flow", FLOW),
    result("drifted", "Then comes out, valve not moving", DEGREES),
    result("coldFails", "Cold fails: up to", DEGREES),
    result("scald", "Found temperature scalds in about", SECONDS, "optional"),
    result("scaldFailed", "With cold failed it scalds in about", SECONDS, "optional"),
  ],
  compute: (given) => {
    const [hot, cold, set, found] = ["hot", "cold", "set", "found"].map((name) => given.si(name)) as [
      number,
      number,
      number,
      number,
    ];
    if (hot - cold < 1)
      return err({
        input: "hot",
        message: "The hot supply must be warmer than the cold one. Are the two crossed?",
      });
    if (set > hot || set < cold)
      return err({ input: "set", message: "The set point must lie between cold and hot." });
    const share = (set - cold) / (hot - cold);
    const flow = given.si("flow");
    const off = found - set;
    const bad = Math.abs(off) > given.si("tolerance");
    const scalds = found >= HOT_K;
    return ok({
      outputs: {
        share,
        hotFlow: flow * share,
        coldFlow: flow * (1 - share),
        off,
        drifted: share * (hot + given.si("hotDrift")) + (1 - share) * (cold + given.si("coldDrift")),
        coldFails: hot,
        scald: scaldSeconds(found - KELVIN),
        scaldFailed: scaldSeconds(hot - KELVIN),
      },
      verdict: scalds ? "stop" : bad ? "fail" : "pass",
      reasons: [
        scalds
          ? "It scalds: take the outlet out of use now, then look for the cause."
          : bad
            ? `${given.say(Math.abs(off), WARMING)} ${off > 0 ? "above" : "below"} its set point: strainers and checks first, then the element.`
            : "It holds its set point.",
      ],
      cautions: [
        "Times to a scald are a warning for adults, not a limit to work to: children and the old burn far sooner.",
        "A valve that passes the cold-fail test shuts within seconds: try it by shutting the cold, hand clear of the jet.",
        ...(hot < LEGIONELLA_K
          ? [
              "Hot is stored or arrives under 60 °C: legionella grows. Turning it down against scalds makes that worse: temper at the outlet instead.",
            ]
          : []),
      ],
    });
  },
  sources: [
    "Mixing by heat balance: (Tm − Tc)/(Th − Tc). Scalds: Moritz and Henriques, Am. J. Pathol. 23 (1947) 695. 60 °C stored: public guidance on legionella.",
  ],
  examples: [
    {
      source: "By hand: (38 − 10)/(60 − 10) = 56 %; hot 5 K up: 0.56 · 65 + 0.44 · 10 = 40.8 °C.",
      inputs: { found: "38 °C" },
      outputs: {
        share: "56 ± 0.001 %",
        hotFlow: "6.72 ± 0.001 L/min",
        drifted: "40.8 ± 0.001 °C",
        scaldFailed: "5 ± 0.001 s",
      },
      verdict: "pass",
    },
    {
      source: "Moritz and Henriques (1947): 60 °C burns through in about 5 s.",
      inputs: { found: "60 °C" },
      outputs: { scald: "5 ± 0.01 s", off: "22 ± 0.001 ΔK" },
      verdict: "stop",
    },
    {
      source: "By hand: 41 °C at a set point of 38 is 3 K off.",
      inputs: { found: "41 °C" },
      outputs: { off: "3 ± 0.001 ΔK" },
      verdict: "fail",
    },
  ],
};
