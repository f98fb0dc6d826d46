import { ok } from "../../result";
import { calculator } from "../calculator";
import type { Verdict } from "../declaration";
import { byName, choice, measured, named, VOLTS } from "../fields";

const PLACES = {
  1: { name: "battery, controller output, extra-low voltage", category: 0 },
  2: { name: "plugged in: an appliance at a socket", category: 2 },
  3: { name: "fixed wiring, a distribution board, a motor", category: 3 },
  4: { name: "the supply's origin, a meter, an overhead line", category: 4 },
} as const;
type Place = keyof typeof PLACES;

/** Calculation 42: whether the meter and leads in hand may touch this circuit. */
export const meterFitness = calculator({
  id: "meter-fitness",
  chapter: "Safety margins",
  title: "Meter fitness",
  says: "Whether the meter and leads in hand are fit for this circuit, and the order of proving it dead.",
  words: [
    "multimeter",
    "meter",
    "cat iii",
    "category",
    "leads",
    "live dead live",
    "prove dead",
    "fuse",
    "voltage tester",
  ],
  inputs: {
    voltage: measured("Circuit's voltage", VOLTS, {
      help: "Highest it can have to earth.",
      least: 0,
      most: 1500,
      usual: 230,
    }),
    place: choice("Where", "The nearer to the supply, the harder a spike hits.", byName(PLACES), {
      usual: "3",
    }),
    category: choice(
      "Meter's category",
      "Printed beside its sockets.",
      { "0": "none printed", "2": "CAT II", "3": "CAT III", "4": "CAT IV" },
      { usual: "3" },
    ),
    rated: measured("Meter's voltage there", VOLTS, {
      help: "Printed with the category.",
      least: 0,
      most: 2000,
      usual: 600,
    }),
    leadCategory: choice(
      "Leads' category",
      "Printed on them; the weaker one counts.",
      { "0": "none printed", "2": "CAT II", "3": "CAT III", "4": "CAT IV" },
      { usual: "3" },
    ),
    leadRated: measured("Leads' voltage there", VOLTS, {
      help: "Printed on them.",
      least: 0,
      most: 2000,
      usual: 1000,
    }),
    state: choice("Leads and case", "Look before each use.", {
      sound: "sound, tips shrouded, fuse original",
      worn: "cracked, bare, wet or a fuse replaced",
    }),
    proof: choice("Known live source", "To try the meter before and after.", {
      yes: "at hand",
      no: "none",
    }),
  },
  outputs: {
    verdict: named("Meter and leads"),
    first: named("First"),
    second: named("Then"),
    third: named("Last"),
  },
  compute: (given) => {
    const needed = PLACES[Number(given.place) as Place].category;
    const voltage = given.voltage;
    const suits = (category: string, rated: number) =>
      (needed === 0 || Number(category) >= needed) && rated >= voltage;
    const faults: [Verdict, string][] = [
      given.state === "worn" && ["stop", "Worn, wet or wrongly fused: do not use it."],
      !suits(given.category, given.rated) && [
        "stop",
        `The meter is not for this place: it needs CAT ${["–", "I", "II", "III", "IV"][needed] ?? "–"} and at least ${voltage} V.`,
      ],
      !suits(given.leadCategory, given.leadRated) && [
        "stop",
        "The leads are weaker than the place needs: a spike arcs through them in your hand.",
      ],
      given.proof === "no" &&
        voltage > 50 && ["fail", "Without a known live source nothing is proven dead: get one."],
    ].filter((each): each is [Verdict, string] => each !== false);
    return ok({
      outputs: {
        verdict: faults.length === 0 ? "fit for it" : "not fit",
        first: "Live: try the meter on the known live source. It must read.",
        second: "Dead: phase to earth, neutral to earth, phase to neutral, each pole. All must read nothing.",
        third: "Live: try it on the known source again. Only now is it dead.",
      },
      verdict: faults[0]?.[0] ?? "pass",
      reasons:
        faults.length > 0
          ? faults.map(([, says]) => says)
          : ["Meter and leads are fit for this place and voltage."],
      cautions: [
        "Work on or near live parts is for licensed people. Lock off, keep the key, prove dead, then work.",
        "Capacitors and backfeeds keep a circuit live after the switch: wait what the plate says.",
      ],
    });
  },
  sources: [
    "Measurement categories: IEC 61010-2-030; leads: IEC 61010-031. Order live-dead-live: usual electrical safety practice (EN 50110-1).",
  ],
  examples: [
    {
      source: "IEC 61010: 230 V at a board needs CAT III; a CAT III 600 V meter is fit.",
      inputs: {},
      outputs: { verdict: "fit for it" },
      verdict: "pass",
    },
    {
      source: "CAT II at a board is not enough, whatever its voltage.",
      inputs: { category: "2", rated: "1000 V" },
      outputs: { verdict: "not fit" },
      verdict: "stop",
    },
    {
      source: "CAT III 300 V at 400 V is not enough.",
      inputs: { voltage: "400 V", rated: "300 V" },
      outputs: { verdict: "not fit" },
      verdict: "stop",
    },
  ],
});
