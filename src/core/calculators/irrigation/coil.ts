import { copperFactor } from "../../physics";
import { err, ok } from "../../result";
import { calculator } from "../calculator";
import {
  CURRENT,
  KELVIN,
  measured,
  named,
  OHMS,
  PERCENT,
  result,
  temperatureField,
  VOLTS,
  WATTS,
} from "../fields";

/** A joint that adds more than this to a coil is corroded. */
const HIGH_JOINT = 0.4;

/** Calculation 29: whether a coil is sound. */
export const coil = calculator({
  id: "coil",
  chapter: "Irrigation and electrics",
  title: "Coil check",
  says: "Ohms of a coil as they would be at 20 °C, leads taken off, against its band: shorted, open, or a bad joint.",
  words: [
    "coil",
    "solenoid",
    "ohms",
    "resistance",
    "open circuit",
    "shorted",
    "winding",
    "multimeter",
    "cold coil",
  ],
  inputs: {
    reading: measured("Ohms read", OHMS, {
      help: "Coil disconnected, voltage proven off.",
      least: 0,
      most: 1e7,
    }),
    leads: measured("Leads and run", OHMS, {
      help: "Meter leads touched together, and the wire to the coil there and back; at the coil: only the leads.",
      least: 0,
      most: 1000,
      usual: 0.3,
    }),
    temperature: temperatureField("Coil's temperature", {
      help: "On the coil itself: a cold one reads low, one just switched off high.",
      least: KELVIN - 40,
      most: KELVIN + 150,
    }),
    least: measured("Band from", OHMS, { help: "Of the sheet, at 20 °C.", least: 0, most: 1e6, usual: 31 }),
    most: measured("Band to", OHMS, { help: "Of the sheet, at 20 °C.", least: 0, most: 1e6, usual: 39 }),
    direct: measured("DC voltage", VOLTS, {
      help: "Only for a DC coil; an AC coil's watts do not follow from ohms.",
      least: 0.1,
      most: 500,
      optional: true,
    }),
  },
  outputs: {
    at20: result("At 20 °C", OHMS),
    low: result("Band here would read from", OHMS),
    high: result("Band here would read to", OHMS),
    place: result("Place in the band", PERCENT),
    state: named("The coil"),
    watts: result("DC power, coil cold", WATTS, "optional"),
    current: result("DC current, coil cold", CURRENT, "optional"),
  },
  compute: (given) => {
    const { reading, leads, least, most } = given;
    if (most - least < 1e-3)
      return err({ input: "most", message: "The band must end above where it begins." });
    if (reading < leads)
      return err({
        input: "leads",
        message: "The leads cannot have more ohms than what was read with them.",
      });
    const factor = copperFactor(given.temperature);
    const at20 = (reading - leads) / factor;
    const direct = given.direct;
    const state =
      at20 < 0.1 * least
        ? "dead short"
        : at20 < least
          ? "shorted turns"
          : at20 <= most
            ? "sound"
            : at20 <= most * (1 + HIGH_JOINT)
              ? "high: a joint or the wrong coil"
              : "open, or nearly";
    const naked = reading - leads;
    const misread = naked < least && at20 >= least;
    return ok({
      outputs: {
        at20,
        low: least * factor + leads,
        high: most * factor + leads,
        place: (at20 - least) / (most - least),
        state,
        watts: direct && at20 > 0 ? direct ** 2 / at20 : undefined,
        current: direct && at20 > 0 ? direct / at20 : undefined,
      },
      verdict: state === "sound" ? "pass" : "fail",
      reasons: [
        state === "sound"
          ? misread
            ? "The raw reading lies under the band only because the coil is cold: corrected it is sound."
            : "Within its band."
          : state === "shorted turns"
            ? "Under its band at 20 °C: turns are shorted, it will run hot and fail."
            : state === "dead short"
              ? "Shorted through: it takes the controller's output with it. Do not energise."
              : state === "open, or nearly"
                ? "The winding or a splice is open."
                : "Above its band: open the splices and measure at the coil itself before you renew it.",
      ],
      cautions: [
        "Prove it dead before you measure ohms, live-dead-live on a known source.",
        "Watts of an AC coil never follow from its ohms (inductance): use the sheet's VA.",
      ],
    });
  },
  sources: ["Copper 0.00393/K at 20 °C: IEC 60028. P = U²/R for direct current only."],
  examples: [
    {
      source: "By hand: (33.5 − 0.3)/(1 − 14 · 0.00393) = 33.2/0.94498 = 35.13 Ω.",
      inputs: { reading: "33.5", temperature: "6 °C" },
      outputs: { at20: "35.13 ± 0.01 Ω", state: "sound" },
      verdict: "pass",
    },
    {
      source: "By hand: 30 Ω at −5 °C: 29.7/0.90175 = 32.94 Ω: sound though it reads under 31.",
      inputs: { reading: "30", temperature: "-5 °C" },
      outputs: { at20: "32.94 ± 0.01 Ω", state: "sound" },
      verdict: "pass",
    },
    {
      source: "By hand: 24 V on 36 Ω at 20 °C: 16 W, 0.667 A.",
      inputs: { reading: "36", leads: "0", temperature: "20 °C", direct: "24 V" },
      outputs: { watts: "16 ± 0.001 W", current: "0.6667 ± 0.001 A" },
      verdict: "pass",
    },
    {
      source: "25 Ω at 20 °C against 31 to 39 Ω.",
      inputs: { reading: "25", temperature: "20 °C" },
      outputs: { state: "shorted turns" },
      verdict: "fail",
    },
  ],
});
