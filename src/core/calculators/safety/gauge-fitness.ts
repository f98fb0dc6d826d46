import { err, ok } from "../../result";
import { calculator } from "../calculator";
import {
  ABSOLUTE,
  ATMOSPHERE,
  choice,
  DIFFERENCE,
  GAUGE,
  gaugeField,
  measured,
  PERCENT,
  RUN,
  result,
} from "../fields";

/** Air pressure by height, Pa: international standard atmosphere, up to 11 km (ISO 2533). */
export const airPressureAt = (metres: number): number => ATMOSPHERE * (1 - 2.25577e-5 * metres) ** 5.25588;
/** Weather moves it by about this much, Pa. */
const WEATHER = 3000;

/** Calculation 44: whether a gauge can carry the decision that hangs on it. */
export const gaugeFitness = calculator({
  id: "gauge-fitness",
  chapter: "Safety margins",
  title: "Gauge fitness",
  says: "Whether a gauge of this class and range can prove what has to be proven with it, altitude counted.",
  words: [
    "gauge",
    "class 1.6",
    "range",
    "accuracy",
    "can i trust",
    "altitude",
    "triple point",
    "zero",
    "resolution",
  ],
  inputs: {
    full: gaugeField("Full scale", { help: "Printed on the dial.", least: 1000, most: 1e8, usual: 160e5 }),
    class: measured("Class", PERCENT, {
      help: "Printed as cl. 1.6: per cent of full scale, anywhere on it.",
      least: 0.0005,
      most: 0.1,
      usual: 0.016,
    }),
    mark: measured("Smallest mark", DIFFERENCE, {
      help: "Half of it is what can be read.",
      least: 1,
      most: 5e6,
      usual: 5e5,
    }),
    prove: choice("To be proven", "What has to be true.", {
      above: "pressure is above the bound",
      below: "pressure is below the bound",
    }),
    kind: choice(
      "The bound is",
      "A triple point or a boiling point is absolute; a test pressure is a gauge's.",
      { absolute: "absolute", gauge: "of a gauge" },
    ),
    bound: measured("Bound, absolute", ABSOLUTE, {
      help: "5.18 bar for CO2.",
      least: 0,
      most: 1e8,
      usual: 5.1795e5,
      when: { input: "kind", is: ["absolute"] },
    }),
    boundGauge: gaugeField("Bound, on the gauge", {
      help: "From the sheet.",
      least: -ATMOSPHERE,
      most: 1e8,
      usual: 0,
      when: { input: "kind", is: ["gauge"] },
    }),
    reading: gaugeField("It reads", { help: "Tapped lightly.", least: -ATMOSPHERE, most: 1e8 }),
    height: measured("Height of the place", RUN, {
      help: "Above the sea.",
      least: -430,
      most: 6000,
      usual: 0,
    }),
  },
  outputs: {
    proven: result("Proven from a reading of", GAUGE),
    room: result("The reading is clear of it by", DIFFERENCE),
    air: result("Air pressure there", ABSOLUTE),
    error: result("Gauge may be off by", DIFFERENCE),
    bound: result("Bound, on this gauge", GAUGE),
    bestRange: result("A gauge for it: full scale about", GAUGE),
  },
  compute: (given, say) => {
    const bar = (si: number) => say(si, DIFFERENCE);
    const full = given.full;
    const reading = given.reading;
    if (reading > full * 1.05)
      return err({
        input: "reading",
        message: "That is off its scale: the gauge is strained. Take another.",
      });
    if (given.mark > full)
      return err({ input: "mark", message: "The smallest mark cannot be more than the whole scale." });
    const absolute = given.kind === "absolute";
    const air = airPressureAt(given.height);
    const error = given.class * full + given.mark / 2 + (absolute ? WEATHER : 0);
    const bound = absolute ? given.bound - air : given.boundGauge;
    const above = given.prove === "above";
    const proven = above ? bound + error : bound - error;
    const room = above ? reading - proven : proven - reading;
    const clear = room >= 0;
    const never = above ? proven > full : proven < -ATMOSPHERE;
    return ok({
      outputs: { air, error, bound, proven, room, bestRange: Math.max(2 * Math.abs(bound), 1e5) },
      verdict: never ? "stop" : clear ? "pass" : "fail",
      reasons: [
        never
          ? "This gauge can never prove it, whatever it reads."
          : clear
            ? `Off by at most ${bar(error)}, and still clear of the bound.`
            : `It may be off by ${bar(error)}: only ${above ? "from" : "down to"} ${bar(proven)} is it proven. A gauge of about ${bar(Math.max(2 * Math.abs(bound), 1e5))} full scale tells it far better.`,
      ],
      cautions: [
        "A gauge that does not stand at zero when it is open proves nothing.",
        "Proving zero takes a gauge that shows small pressures, and an open vent: a large gauge sleeps on its pin.",
      ],
    });
  },
  sources: ["Class as per cent of full scale: EN 837-1. Air by height: ISO 2533. Weather taken as ±30 mbar."],
  examples: [
    {
      source:
        "EN 837-1 by hand: 1.6 % of 160 bar is 2.56 bar, half a mark 2.5 bar, weather 0.03: 5.09 bar; 4.166 + 5.09 = 9.256 bar.",
      inputs: { reading: "6 bar g" },
      outputs: { error: "5.09 ± 0.001 bar", proven: "9.256 ± 0.002 bar g" },
      verdict: "fail",
    },
    {
      source:
        "The same with a gauge of 16 bar, class 1, marks of 0.2 bar: 0.16 + 0.1 + 0.03: proven from 4.456 bar.",
      inputs: { reading: "6 bar g", full: "16 bar g", class: "1 %", mark: "0.2 bar" },
      outputs: { proven: "4.456 ± 0.001 bar g" },
      verdict: "pass",
    },
    {
      source: "ISO 2533: 845.56 hPa at 1500 m.",
      inputs: { reading: "6 bar g", height: "1500 m" },
      outputs: { air: "0.84556 ± 0.0001 bar abs" },
    },
  ],
});
