import {
  platinumResistance,
  platinumTemperature,
  thermistorResistance,
  thermistorTemperature,
} from "../../physics";
import { err, ok } from "../../result";
import { calculator } from "../calculator";
import {
  choice,
  DEGREES,
  KELVIN,
  KELVINS,
  measured,
  named,
  OHMS,
  result,
  temperatureField,
  WARMING,
} from "../fields";

/** Calculation 50: whether a temperature sensor tells the truth. */
export const sensorCheck = calculator({
  id: "sensor-check",
  chapter: "Irrigation and electrics",
  title: "Sensor check",
  says: "What temperature a thermistor or platinum sensor reads, how far it is off, and whether two are swapped.",
  words: [
    "sensor",
    "thermistor",
    "ntc",
    "pt100",
    "pt1000",
    "swapped",
    "resistance",
    "probe",
    "temperature sensor",
  ],
  inputs: {
    kind: choice("Sensor", "From its sheet.", {
      ntc: "thermistor (NTC)",
      pt100: "Pt100",
      pt1000: "Pt1000",
    }),
    at25: measured("Ohms at 25 °C", OHMS, {
      help: "Usual: 10 kΩ.",
      least: 10,
      most: 1e6,
      usual: 10_000,
      when: { input: "kind", is: ["ntc"] },
    }),
    beta: measured("B value", KELVINS, {
      help: "From its sheet: 3000 to 4500 K.",
      least: 1000,
      most: 6000,
      usual: 3435,
      when: { input: "kind", is: ["ntc"] },
    }),
    reading: measured("Ohms read, first", OHMS, {
      help: "Unplugged; named hot when there are two.",
      least: 1,
      most: 1e7,
    }),
    truth: temperatureField("True temperature there", {
      help: "By a thermometer beside it.",
      least: KELVIN - 60,
      most: KELVIN + 250,
    }),
    second: measured("Ohms read, second", OHMS, {
      help: "Named cold; only one: empty.",
      least: 1,
      most: 1e7,
      optional: true,
    }),
    secondTruth: temperatureField("True temperature of the second", {
      help: "By the same thermometer.",
      least: KELVIN - 60,
      most: KELVIN + 250,
      usual: KELVIN + 15,
    }),
    tolerance: measured("May be off by", WARMING, {
      help: "Of the sheet.",
      least: 0.05,
      most: 20,
      usual: 2,
    }),
  },
  outputs: {
    reads: result("Reads", DEGREES),
    off: result("Off by", WARMING),
    should: result("Should read", OHMS),
    secondReads: result("Second reads", DEGREES, "optional"),
    secondOff: result("Second off by", WARMING, "optional"),
    state: named("Looks like"),
  },
  compute: (given, say) => {
    const kind = given.kind;
    const zero = kind === "pt100" ? 100 : 1000;
    const kelvinOf = (ohms: number): number | undefined => {
      if (kind === "ntc") {
        const kelvin = thermistorTemperature(given.at25, given.beta, ohms);
        return kelvin > 200 && kelvin < 450 ? kelvin : undefined;
      }
      const celsius = platinumTemperature(zero, ohms);
      return celsius === undefined ? undefined : celsius + KELVIN;
    };
    const reads = kelvinOf(given.reading);
    if (reads === undefined)
      return err({
        input: "reading",
        message: "No temperature has that many ohms: the sensor is open or shorted, or another kind.",
      });
    const second = given.second;
    const secondReads = second === undefined ? undefined : kelvinOf(second);
    if (second !== undefined && secondReads === undefined)
      return err({
        input: "second",
        message: "No temperature has that many ohms: the second sensor is open or shorted, or another kind.",
      });
    const [truth, secondTruth, tolerance] = [given.truth, given.secondTruth, given.tolerance];
    const off = reads - truth;
    const secondOff = secondReads === undefined ? undefined : secondReads - secondTruth;
    const crossed = secondReads !== undefined && (reads - secondReads) * (truth - secondTruth) < 0;
    const swapped =
      crossed && Math.abs(reads - secondTruth) <= tolerance && Math.abs(secondReads - truth) <= tolerance;
    const bad = Math.abs(off) > tolerance || (secondOff !== undefined && Math.abs(secondOff) > tolerance);
    const state = swapped ? "swapped" : crossed ? "hot reads colder than cold" : bad ? "off" : "sound";
    return ok({
      outputs: {
        reads,
        off,
        should:
          kind === "ntc"
            ? thermistorResistance(given.at25, given.beta, truth)
            : platinumResistance(zero, truth - KELVIN),
        secondReads,
        secondOff,
        state,
      },
      verdict: state === "sound" ? "pass" : "fail",
      reasons: [
        swapped
          ? "Hot reads colder than cold and each reads the other's temperature: the plugs are swapped."
          : crossed
            ? "Hot reads colder than cold: swapped, or one is in the wrong pipe."
            : bad
              ? `Off by ${say(off, WARMING)}: dry pocket, wet plug or a worn sensor.`
              : "Reads true.",
      ],
      cautions: [
        "A valve that works on a wrong sensor scalds or freezes: put it out of automatic before you unplug.",
      ],
    });
  },
  sources: ["Platinum: IEC 60751. Thermistor: R = R₂₅·exp(B·(1/T − 1/298.15)), any sensor text."],
  examples: [
    {
      source: "IEC 60751 table: Pt100 at 100 °C is 138.51 Ω.",
      inputs: { kind: "pt100", reading: "138.51", truth: "100 °C" },
      outputs: { reads: "100 ± 0.02 °C", should: "138.51 ± 0.005 Ω", state: "sound" },
      verdict: "pass",
    },
    {
      source: "By hand: 10 kΩ, B 3435, at 60 °C: 10 000 · exp(3435 · (1/333.15 − 1/298.15)) = 2978 Ω.",
      inputs: { reading: "2978", truth: "60 °C" },
      outputs: { reads: "60 ± 0.05 °C", should: "2978 ± 3 Ω" },
      verdict: "pass",
    },
    {
      source: "IEC 60751: Pt1000 at 60 °C is 1232.4 Ω, at 10 °C 1039.0 Ω: read crosswise they are swapped.",
      inputs: { kind: "pt1000", reading: "1039", truth: "60 °C", second: "1232.4", secondTruth: "10 °C" },
      outputs: { state: "swapped", reads: "10 ± 0.05 °C" },
      verdict: "fail",
    },
  ],
});
