import { judgeStanding } from "../../physics";
import { ok } from "../../result";
import { calculator } from "../calculator";
import {
  AIR_ON_SITE,
  DIFFERENCE,
  gaugeField,
  KELVIN,
  MINUTES,
  measured,
  result,
  temperatureField,
} from "../fields";

/** After warming it stands at least this long again, s. */
const HOUR_S = 3600;
/** Where only the size of an effect is told, K. */
const ROOM_K = KELVIN + 15;

const temperature = (label: string) =>
  temperatureField(label, {
    help: "Of the pipe wall; without both nothing is put down to warming.",
    optional: true,
  });

const REASONS = {
  holds: "Nothing rose beyond what the gauge can show: the closures hold.",
  "only-warming":
    "It rose, and warming explains all of it: the closures hold. Vent it, and let it stand again.",
  residue: "It rose and is levelling off: liquid left behind boils away.",
  "let-in": "It rose more than warming explains: a closure passes, or liquid left behind boils.",
} as const;

/** Calculation 24: whether a section that stands shut in at zero holds, with the temperature taken out. */
export const standTest = calculator({
  id: "stand-test",
  chapter: "Refrigeration",
  title: "Standing test",
  says: "A section stands shut in: is a rise let in, boiling residue, or only warming?",
  words: ["stand", "hold at zero", "pump down", "does it climb", "passing valve", "decay", "prove dead"],
  inputs: {
    first: gaugeField("Gauge at the start", { usual: 0 }),
    firstTemperature: temperature("Temperature at the start"),
    middle: gaugeField("Gauge half-way", {
      help: "At half of the time; empty when it was not looked at. It tells boiling residue from a passing valve.",
      optional: true,
    }),
    last: gaugeField("Gauge at the end"),
    lastTemperature: temperature("Temperature at the end"),
    time: measured("Time between", MINUTES, {
      help: "From the first look to the last.",
      least: 60,
      most: 864_000,
      usual: 3600,
    }),
    bound: measured("Least rise that counts", DIFFERENCE, {
      help: "The gauge's resolution, or the sheet's bound.",
      least: 10,
      most: 1e6,
      usual: 2000,
    }),
    surroundings: AIR_ON_SITE,
  },
  outputs: {
    corrected: result("Rise that is left", DIFFERENCE),
    perHour: result("In an hour", DIFFERENCE),
    warming: result("Rise by warming alone", DIFFERENCE, "optional"),
    again: result("Let it stand again for", MINUTES),
  },
  compute: (given, say) => {
    const [first, last] = [given.first, given.last];
    const middle = given.middle;
    const [t1, t2] = [given.firstTemperature, given.lastTemperature];
    const read = t1 !== undefined && t2 !== undefined;
    const at = (kelvin: number) => (read ? { kelvin } : {});
    const verdict = judgeStanding(
      [
        { seconds: 0, gauge: first, ...at(t1 ?? 0) },
        ...(middle === undefined
          ? []
          : [{ seconds: given.time / 2, gauge: middle, ...at(((t1 ?? 0) + (t2 ?? 0)) / 2) }]),
        { seconds: given.time, gauge: last, ...at(t2 ?? 0) },
      ],
      given.bound,
      given.surroundings,
    );
    return ok({
      outputs: {
        ...(read && { warming: verdict.rise - verdict.corrected }),
        corrected: verdict.corrected,
        perHour: verdict.perHour,
        again: Math.max(given.time, verdict.kind === "only-warming" ? HOUR_S : 0),
      },
      verdict: verdict.kind === "holds" ? "pass" : verdict.kind === "only-warming" ? "watch" : "fail",
      reasons: [REASONS[verdict.kind]],
      cautions: [
        "Holds for gas and vapour that nothing condenses or boils. With liquid left behind, pump down again and start anew.",
        ...(read
          ? []
          : [
              `The temperature was not read at both ends: a section that cools by a kelvin hides a rise of ${say((first + given.surroundings) / ROOM_K, DIFFERENCE)}.`,
            ]),
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
        last: "0.077 bar g",
        firstTemperature: "-10 °C",
        lastTemperature: "10 °C",
      },
      outputs: {
        warming: "0.077 ± 0.0001 bar",
        corrected: "0 ± 0.0001 bar",
      },
      verdict: "watch",
    },
    {
      source: "By hand: 0.30 bar in half an hour at an even temperature is 0.60 bar an hour.",
      inputs: {
        last: "0.3 bar g",
        firstTemperature: "5 °C",
        lastTemperature: "5 °C",
        time: "30 min",
      },
      outputs: {
        corrected: "0.3 ± 1e-6 bar",
        perHour: "0.6 ± 1e-6 bar",
      },
      verdict: "fail",
    },
    {
      source:
        "By hand: 0.2 bar in the first half hour, 0.04 in the second, at an even temperature: it levels off.",
      inputs: { middle: "0.2 bar g", last: "0.24 bar g", firstTemperature: "5 °C", lastTemperature: "5 °C" },
      outputs: { corrected: "0.24 ± 1e-6 bar", again: "60 ± 1e-6 min" },
      verdict: "fail",
    },
  ],
});
