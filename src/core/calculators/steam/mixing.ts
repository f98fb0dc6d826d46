import { scaldSeconds } from "../../physics";
import { err, ok } from "../../result";
import { calculator } from "../calculator";
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

const water = (label: string, help: string, usual: number) =>
  temperatureField(label, { help, least: KELVIN, most: KELVIN + 95, usual: KELVIN + usual });
/** Stored hot water colder than this breeds legionella; public health guidance of most countries. */
const LEGIONELLA_K = KELVIN + 60;
/** An outlet hotter than this scalds within minutes. */
const HOT_K = KELVIN + 49;

/** Calculation 19: what a mixing valve does, and what it does when something fails. */
export const mixing = calculator({
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
  inputs: {
    hot: water("Hot supply", "At the valve, running.", 60),
    cold: water("Cold supply", "At the valve, running.", 10),
    set: water("Set point", "What should come out.", 38),
    found: temperatureField("Comes out", {
      help: "Measured at the outlet, settled.",
      least: KELVIN,
      most: KELVIN + 95,
    }),
    flow: measured("Flow out", FLOW, { help: "All of it.", least: 1e-6, most: 0.1, usual: 12e-3 / 60 }),
    tolerance: measured("May drift by", WARMING, {
      help: "Of the sheet; 2 K is usual.",
      least: 0.1,
      most: 10,
      usual: 2,
    }),
    hotDrift: measured("Hot supply rises by", WARMING, {
      help: "What if.",
      least: -40,
      most: 40,
      usual: 5,
    }),
    coldDrift: measured("Cold supply rises by", WARMING, {
      help: "What if.",
      least: -40,
      most: 40,
      usual: 0,
    }),
  },
  outputs: {
    off: result("Off the set point by", WARMING),
    share: result("Hot share", PERCENT),
    hotFlow: result("Hot flow", FLOW),
    coldFlow: result("Cold flow", FLOW),
    drifted: result("Then comes out, valve not moving", DEGREES),
    coldFails: result("Cold fails: up to", DEGREES),
    scald: result("Found temperature scalds in about", SECONDS, "optional"),
    scaldFailed: result("With cold failed it scalds in about", SECONDS, "optional"),
  },
  compute: (given, say) => {
    const { hot, cold, set, found } = given;
    if (hot - cold < 1)
      return err({
        input: "hot",
        message: "The hot supply must be warmer than the cold one. Are the two crossed?",
      });
    if (set > hot || set < cold)
      return err({ input: "set", message: "The set point must lie between cold and hot." });
    const share = (set - cold) / (hot - cold);
    const flow = given.flow;
    const off = found - set;
    const bad = Math.abs(off) > given.tolerance;
    const scalds = found >= HOT_K;
    return ok({
      outputs: {
        share,
        hotFlow: flow * share,
        coldFlow: flow * (1 - share),
        off,
        drifted: share * (hot + given.hotDrift) + (1 - share) * (cold + given.coldDrift),
        coldFails: hot,
        scald: scaldSeconds(found - KELVIN),
        scaldFailed: scaldSeconds(hot - KELVIN),
      },
      verdict: scalds ? "stop" : bad ? "fail" : "pass",
      reasons: [
        scalds
          ? "It scalds: take the outlet out of use now, then look for the cause."
          : bad
            ? `${say(Math.abs(off), WARMING)} ${off > 0 ? "above" : "below"} its set point: strainers and checks first, then the element.`
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
});
