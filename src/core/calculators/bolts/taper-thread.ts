import { THREAD_TABLE } from "../../fastening";
import { ok } from "../../result";
import { calculator } from "../calculator";
import { choice, named, PLAIN, result, SIZE, TURNS } from "../fields";

const INCH = 0.0254;
/** Hand-tight engagement L1, in: ASME B1.20.1 table 2; ISO 7-1 gauge length, mm, by size. */
const HAND_TIGHT_NPT: Readonly<Record<string, number>> = {
  "1/16": 0.16,
  "1/8": 0.1615,
  "1/4": 0.2278,
  "3/8": 0.24,
  "1/2": 0.32,
  "3/4": 0.339,
  "1": 0.4,
  "1 1/4": 0.42,
  "1 1/2": 0.42,
  "2": 0.436,
  "2 1/2": 0.682,
  "3": 0.766,
  "4": 0.844,
};
const HAND_TIGHT_R_MM: Readonly<Record<string, number>> = {
  "1/8": 4,
  "1/4": 6,
  "3/8": 6.4,
  "1/2": 8.2,
  "3/4": 9.5,
  "1": 10.4,
  "1 1/4": 12.7,
  "1 1/2": 12.7,
  "2": 15.9,
  "2 1/2": 17.5,
  "3": 20.6,
  "4": 25.4,
};
const SIZES = ["1/8", "1/4", "3/8", "1/2", "3/4", "1", "1 1/4", "1 1/2", "2", "2 1/2", "3", "4"];
/** Turns past hand tight: usual 1.5 to 3 for small sizes in metal, less as they grow; plastic 1 to 2. */
const wrenchTurns = (size: string, material: string): readonly [number, number] => {
  if (material === "plastic") return [1, 2];
  const large = SIZES.indexOf(size) >= SIZES.indexOf("1 1/4");
  const [least, most] = large ? [1.5, 2.5] : [1.5, 3];
  return material === "brass" ? [least - 0.5, most - 1] : [least, most];
};

/** Calculation 47: how far a taper thread is turned, and what goes on it. */
export const taperThread = calculator({
  id: "taper-thread",
  chapter: "Bolts and threads",
  title: "Taper thread",
  says: "Turns past finger tight by size and material, how deep it goes, and wraps or paste with the first threads clear.",
  words: [
    "taper",
    "npt",
    "pipe thread",
    "tape",
    "ptfe",
    "how many turns",
    "wraps",
    "finger tight",
    "sealant",
    "dope",
  ],
  inputs: {
    form: choice("Thread", "60° with 1 in 16 taper, or 55°.", { npt: "NPT", r: "R (BSP taper)" }),
    size: choice(
      "Size",
      "Nominal pipe size.",
      SIZES.map((size) => [size, `${size} in`] as const),
      { usual: "1/2" },
    ),
    material: choice("Softest part", "The softer of the two splits first.", {
      steel: "steel or iron",
      brass: "brass or copper alloy",
      plastic: "plastic",
    }),
    seal: choice("Sealed with", "What your sheet allows for this medium.", {
      tape: "PTFE tape",
      paste: "sealing paste",
      both: "tape, then paste",
    }),
    medium: choice("Medium", "Some tapes and pastes are not for every medium.", {
      water: "water",
      gas: "fuel gas",
      steam: "steam",
      ammonia: "ammonia",
    }),
  },
  outputs: {
    leastTurns: result("Turns with the wrench, least", TURNS),
    mostTurns: result("Turns with the wrench, most", TURNS),
    wraps: result("Tape, wraps", PLAIN, "optional"),
    handTight: result("Finger tight, depth", SIZE),
    depth: result("Depth when made up", SIZE),
    clear: result("First threads left clear", PLAIN),
    way: named("Wind"),
  },
  compute: (given) => {
    const [form, size, material, seal] = [given.form, given.size, given.material, given.seal];
    const handTight = form === "npt" ? HAND_TIGHT_NPT[size]! * INCH : HAND_TIGHT_R_MM[size]! * 1e-3;
    const { pitch } = THREAD_TABLE.find((each) =>
      form === "npt" ? each.series === "NPT" && each.name.startsWith(`${size}-`) : each.name === `R ${size}`,
    )!;
    const [leastTurns, mostTurns] = wrenchTurns(size, material);
    const large = SIZES.indexOf(size) >= SIZES.indexOf("1");
    const wrong = given.medium === "ammonia" && material === "brass";
    return ok({
      outputs: {
        handTight,
        leastTurns,
        mostTurns,
        depth: handTight + leastTurns * pitch,
        wraps: seal === "paste" ? undefined : large ? 5 : 3,
        clear: 2,
        way: "clockwise, seen on the end of the male thread, so that screwing in pulls it tight",
      },
      verdict: wrong ? "stop" : "pass",
      reasons: [
        wrong
          ? "Brass and ammonia: ammonia cracks copper alloys. Fit steel."
          : "Stop inside this range with the branch pointing where it has to; never turn back to line it up.",
      ],
      cautions: [
        "Turned back a little, it leaks: take it apart, clean it and seal it anew.",
        ...(material === "plastic"
          ? ["Plastic splits hours later from one turn too many. Tape only, no paste with solvent."]
          : []),
        ...(given.medium === "gas"
          ? [
              "Fuel gas: only tape or paste listed for gas, by a person licensed for it, and a tightness test after.",
            ]
          : []),
      ],
    });
  },
  sources: [
    "Hand-tight engagement: ASME B1.20.1 table 2 (L1); ISO 7-1 gauge length. Turns, wraps and clear threads: usual fitting practice.",
  ],
  examples: [
    {
      source: "ASME B1.20.1: 1/2 NPT hand tight is 0.320 in; 1.5 turns of 1/14 in make 0.427 in.",
      inputs: {},
      outputs: { handTight: "0.32 ± 0.0001 in", depth: "0.4271 ± 0.0002 in", leastTurns: "1.5 ± 0 turn" },
      verdict: "pass",
    },
    {
      source: "ISO 7-1: R 1 has a gauge length of 10.4 mm; 11 to the inch.",
      inputs: { form: "r", size: "1" },
      outputs: { handTight: "10.4 ± 0.001 mm", depth: "13.864 ± 0.001 mm" },
    },
    {
      source: "Ammonia attacks copper alloys (ASHRAE 15, materials).",
      inputs: { medium: "ammonia", material: "brass" },
      outputs: { clear: "2 ± 0" },
      verdict: "stop",
    },
  ],
});
