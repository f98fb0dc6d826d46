import { boilingTemperature, CO2_TRIPLE, saturationRange } from "../../physics";
import { absolute, pascalsAbsolute } from "../../quantity";
import { err, ok } from "../../result";
import { calculator } from "../calculator";
import { AIR_ON_SITE, choice, DEGREES, DIFFERENCE, gaugeField, measured, named, result } from "../fields";

/** Dry ice at the air's pressure; NIST Chemistry WebBook. */
const DRY_ICE_K = 194.686;

const MOST_PA = saturationRange("co2").most_Pa;

/** Calculation 22: whether liquid CO2 may be let in yet. */
export const co2Charge = calculator({
  id: "co2-charge",
  chapter: "Refrigeration",
  title: "CO2: vapour before liquid",
  says: "Whether a section may be given liquid CO2 yet, or vapour only until it is clear of the triple point.",
  words: [
    "co2",
    "charge",
    "dry ice",
    "triple point",
    "vapour first",
    "recharge",
    "restore",
    "plugged",
    "R744",
  ],
  inputs: {
    pressure: gaugeField("Pressure in the section now", {
      help: "By a gauge fit for it: see gauge fitness.",
      least: -101_325,
      most: 1e7,
    }),
    target: gaugeField("Pressure wanted in the end", {
      help: "Of the plant side.",
      least: 0,
      most: 1e7,
      usual: 25e5,
    }),
    margin: measured("Stay above the triple point by", DIFFERENCE, {
      help: "Two bar covers a gauge's error and a small leak.",
      least: 0,
      most: 2e6,
      usual: 2e5,
    }),
    error: measured("Gauge may be off by", DIFFERENCE, {
      help: "Class times range: a 1.6 gauge of 60 bar is off by 0.96 bar.",
      least: 0,
      most: 1e6,
      usual: 2.5e4,
    }),
    port: choice("About to be opened", "On the cylinder or the line.", {
      liquid: "liquid (dip tube)",
      vapour: "vapour",
    }),
    surroundings: AIR_ON_SITE,
  },
  outputs: {
    clear: result("Vapour only until", DIFFERENCE),
    room: result("Clear of the triple point by", DIFFERENCE),
    boils: result("Liquid would stand at", DEGREES),
    port: named("Open now"),
    freezes: named("What would freeze"),
  },
  compute: (given, say) => {
    const bar = (si: number) => say(si, DIFFERENCE);
    const air = given.surroundings;
    const [now, target] = [absolute(given.pressure, air), absolute(given.target, air)];
    if (target <= CO2_TRIPLE.pascal)
      return err({
        input: "target",
        message: "The plant side must stand above 5.18 bar absolute: below that there is no liquid.",
      });
    const clear = CO2_TRIPLE.pascal + given.margin + given.error;
    const room = now - CO2_TRIPLE.pascal - given.error;
    const ready = now >= clear;
    const liquid = given.port === "liquid";
    const stop = liquid && !ready;
    return ok({
      outputs: {
        clear: clear - air,
        room,
        boils:
          boilingTemperature(
            "co2",
            pascalsAbsolute(Math.min(Math.max(now, CO2_TRIPLE.pascal * 1.0001), MOST_PA)),
          ) ?? CO2_TRIPLE.kelvin,
        port: ready ? "liquid may follow, slowly" : "vapour only",
        freezes: ready
          ? "nothing"
          : `liquid flashes to dry ice at ${say(DRY_ICE_K, DEGREES)}: it plugs seat, vent and gauge pipe, and what is behind it stays under pressure`,
      },
      verdict: stop ? "stop" : ready ? "pass" : "watch",
      reasons: [
        stop
          ? `Do not open the liquid side: let vapour in until the gauge shows ${bar(clear - air)}.`
          : ready
            ? "Clear of the triple point by more than the margin and the gauge's error."
            : `Vapour only, until the gauge shows ${bar(clear - air)}.`,
      ],
      cautions: [
        "Dry ice in a shut section warms to more than 50 bar: never shut one in. Leave its relief in reach.",
        "Steel that cold is brittle: let it warm before a spanner or the full pressure comes on it. CO2 fills pits and smothers: alarm on, second person outside.",
      ],
    });
  },
  sources: [
    "Triple point −56.56 °C, 5.1795 bar abs, and the boiling line: Span and Wagner, J. Phys. Chem. Ref. Data 25 (1996) 1509. Dry ice −78.5 °C: NIST.",
  ],
  examples: [
    {
      source: "By hand: 5.1795 + 2 + 0.25 − 1.01325 = 6.416 bar on the gauge.",
      inputs: { pressure: "0 bar g" },
      outputs: { clear: "6.4163 ± 0.0005 bar", port: "vapour only" },
      verdict: "stop",
    },
    {
      source: "Span and Wagner (1996): at 10.045 bar abs liquid stands at −40 °C.",
      inputs: { pressure: "9.032 bar g" },
      outputs: { boils: "-40 ± 0.05 °C", port: "liquid may follow, slowly" },
      verdict: "pass",
    },
  ],
});
