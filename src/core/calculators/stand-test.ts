import { judgeStanding } from "../physics";
import { ok } from "../result";
import type { Calculator, CalculatorInput } from "./declaration";

const KELVIN = 273.15;

const gauge = (name: string, label: string, usual: number): CalculatorInput => ({
  kind: "measured",
  name,
  label,
  help: "What the gauge shows.",
  dimension: "gauge pressure",
  units: { metric: "bar g", us: "psi g" },
  least: -101_325,
  most: 1e7,
  usual,
});
const temperature = (name: string, label: string, usual: number): CalculatorInput => ({
  kind: "measured",
  name,
  label,
  help: "Of the pipe wall of the section.",
  dimension: "temperature",
  units: { metric: "°C", us: "°F" },
  least: KELVIN - 80,
  most: KELVIN + 200,
  usual,
});

const REASONS = {
  holds: "Nothing rose beyond what the gauge can show: the closures hold.",
  "only-warming":
    "It rose, and warming explains all of it: the closures hold. Vent it, and let it stand again.",
  residue: "It rose and is levelling off: liquid left behind boils away.",
  "let-in": "It rose more than warming explains: a closure passes, or liquid left behind boils.",
} as const;

/** Calculation 24: whether a section that stands shut in at zero holds, with the temperature taken out. */
export const standTest: Calculator = {
  id: "stand-test",
  title: "Standing test",
  says: "A section stands shut in: is a rise let in, boiling residue, or only warming?",
  words: ["stand", "hold at zero", "pump down", "does it climb", "passing valve", "decay", "prove dead"],
  inputs: [
    gauge("first", "Gauge at the start", 0),
    temperature("firstTemperature", "Temperature at the start", KELVIN - 10),
    gauge("last", "Gauge at the end", 4000),
    temperature("lastTemperature", "Temperature at the end", KELVIN),
    {
      kind: "measured",
      name: "time",
      label: "Time between",
      help: "From the first look to the last.",
      dimension: "time",
      units: { metric: "min", us: "min" },
      least: 60,
      most: 864_000,
      usual: 3600,
    },
    {
      kind: "measured",
      name: "bound",
      label: "Least rise that counts",
      help: "The gauge's resolution, or the sheet's bound.",
      dimension: "pressure difference",
      units: { metric: "bar", us: "psi" },
      least: 10,
      most: 1e6,
      usual: 2000,
    },
    {
      kind: "measured",
      name: "surroundings",
      label: "Air pressure on site",
      help: "About 1.013 bar at sea level, 0.85 bar at 1500 m.",
      dimension: "absolute pressure",
      units: { metric: "bar abs", us: "psi abs" },
      least: 40_000,
      most: 110_000,
      usual: 101_325,
    },
  ],
  outputs: [
    {
      name: "warming",
      label: "Rise by warming alone",
      dimension: "pressure difference",
      units: { metric: "bar", us: "psi" },
    },
    {
      name: "corrected",
      label: "Rise that is left",
      dimension: "pressure difference",
      units: { metric: "bar", us: "psi" },
    },
    {
      name: "perHour",
      label: "In an hour",
      dimension: "pressure difference",
      units: { metric: "bar", us: "psi" },
    },
  ],
  compute: (given) => {
    const [first, last] = [given.si("first"), given.si("last")];
    const verdict = judgeStanding(
      [
        { seconds: 0, gauge: first, kelvin: given.si("firstTemperature") },
        { seconds: given.si("time"), gauge: last, kelvin: given.si("lastTemperature") },
      ],
      given.si("bound"),
      given.si("surroundings"),
    );
    return ok({
      outputs: {
        warming: verdict.rise - verdict.corrected,
        corrected: verdict.corrected,
        perHour: verdict.perHour,
      },
      verdict: verdict.kind === "holds" ? "pass" : verdict.kind === "only-warming" ? "watch" : "fail",
      reasons: [REASONS[verdict.kind]],
      cautions: [
        "Holds for gas and vapour that nothing condenses or boils. With liquid left behind, pump down again and start anew.",
        "Nothing is opened on a rise, whatever explains it: vent first.",
      ],
    });
  },
  sources: [
    "Ideal gas at constant volume, p₂ = p₁·T₂/T₁ in absolute pressures; any text on pressure-decay tests.",
  ],
  examples: [
    {
      source: "By hand: 1.01325 bar · (283.15/263.15 − 1) = 0.0770 bar by warming from −10 to 10 °C.",
      inputs: {
        last: { value: 0.077, unit: "bar g" },
        firstTemperature: { value: -10, unit: "°C" },
        lastTemperature: { value: 10, unit: "°C" },
      },
      outputs: {
        warming: { value: 0.077, unit: "bar", within: 0.0001 },
        corrected: { value: 0, unit: "bar", within: 0.0001 },
      },
      verdict: "watch",
    },
    {
      source: "By hand: 0.30 bar in half an hour at an even temperature is 0.60 bar an hour.",
      inputs: {
        last: { value: 0.3, unit: "bar g" },
        firstTemperature: { value: 5, unit: "°C" },
        lastTemperature: { value: 5, unit: "°C" },
        time: { value: 30, unit: "min" },
      },
      outputs: {
        corrected: { value: 0.3, unit: "bar", within: 1e-6 },
        perHour: { value: 0.6, unit: "bar", within: 1e-6 },
      },
      verdict: "fail",
    },
  ],
};
