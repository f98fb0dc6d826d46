import { FUEL_GASES } from "../../physics";
import { err, ok } from "../../result";
import { calculator } from "../calculator";
import {
  AIR_ON_SITE,
  CONTENT,
  choice,
  GAS_FLOW,
  measured,
  PLAIN,
  result,
  SECONDS,
  SMALL_DIFFERENCE,
  WATTS,
} from "../fields";

const CAUTIONS = [
  "A main burner takes it all in a second: turn thermostats and taps down first.",
  "A pilot that went out and gas that comes back unlit is how houses burn. When in doubt, shut off and relight every appliance. Licensed people only.",
];

/** Calculation 33: how long the pilots live on the gas that is trapped. */
export const rideThrough = calculator({
  id: "ride-through",
  chapter: "Gas",
  title: "Ride-through",
  says: "How long pilots stay lit on the gas trapped behind a meter cock, against the time the work takes.",
  words: [
    "pilot",
    "ride through",
    "meter cock",
    "half turn",
    "how long will it last",
    "trapped gas",
    "grease the cock",
  ],
  inputs: {
    gas: choice("Gas", "What is in the pipe.", { natural: "natural gas", propane: "propane vapour" }),
    volume: measured("Pipe behind the cock", CONTENT, {
      help: "To the appliances; drain-down works it out from bore and length.",
      least: 1e-4,
      most: 100,
      usual: 0.016,
    }),
    now: measured("Pressure now", SMALL_DIFFERENCE, {
      help: "On the gauge of the house side.",
      least: 10,
      most: 7e5,
      usual: 2000,
    }),
    lowest: measured("Lowest that holds a pilot", SMALL_DIFFERENCE, {
      help: "From the appliance; 8 mbar is usual of natural gas.",
      least: 0,
      most: 7e5,
      usual: 800,
    }),
    pilot: measured("One pilot takes", WATTS, { help: "150 to 300 W.", least: 1, most: 5000, usual: 200 }),
    pilots: measured("Pilots lit", PLAIN, {
      help: "Every one behind this cock.",
      least: 0,
      most: 50,
      usual: 2,
    }),
    work: measured("Cock shut for", SECONDS, {
      help: "Measured on a dry run: half a turn there and back.",
      least: 1,
      most: 3600,
      usual: 8,
    }),
    surroundings: AIR_ON_SITE,
  },
  outputs: {
    seconds: result("Lasts", SECONDS, "optional"),
    spare: result("Against the work", PLAIN, "optional"),
    usable: result("Gas the pilots can use", CONTENT),
    flow: result("Pilots take", GAS_FLOW),
  },
  compute: (given, say) => {
    const [now, lowest] = [given.now, given.lowest];
    if (lowest >= now)
      return err({
        input: "lowest",
        message: "The pressure now is already at the lowest: the pilots go out at once.",
      });
    const usable = (given.volume * (now - lowest)) / given.surroundings;
    const flow = (given.pilot * given.pilots) / FUEL_GASES[given.gas].heat;
    if (flow === 0)
      return ok({
        outputs: { usable, flow },
        verdict: "watch",
        reasons: [
          "No pilot is said to be lit, so nothing uses the gas up and no time is set by it. Look at every appliance before you believe it.",
        ],
        cautions: CAUTIONS,
      });
    const seconds = usable / flow;
    const spare = seconds / given.work;
    return ok({
      outputs: { usable, flow, seconds, spare },
      verdict: spare < 1 ? "stop" : spare < 3 ? "watch" : "pass",
      reasons: [
        spare < 1
          ? "The pilots go out before you are back: shut the appliances off first, and relight every one with the people at home."
          : spare < 3
            ? `${say(seconds, SECONDS)} against ${say(given.work, SECONDS)}: tight. Anything that lights meanwhile ends it: burners off first.`
            : `${say(seconds, SECONDS)} of gas: the pilots stay lit while burners are off.`,
      ],
      cautions: CAUTIONS,
    });
  },
  sources: [
    "Boyle: gas freed between two pressures at even temperature, p in absolute. Heating values 38 and 95 MJ/m³: usual of natural gas and propane.",
  ],
  examples: [
    {
      source: "By hand: 16 L · 12 mbar/1013.25 mbar = 0.1895 L; 400 W/38 MJ/m³ = 10.53 mL/s: 18.0 s.",
      inputs: {},
      outputs: { usable: "0.18949 ± 0.0001 L", seconds: "18.0 ± 0.02 s", spare: "2.25 ± 0.01" },
      verdict: "watch",
    },
    {
      source: "By hand: one pilot of 100 W lasts four times as long: 72 s.",
      inputs: { pilots: "1", pilot: "100 W" },
      outputs: { seconds: "72.0 ± 0.1 s" },
      verdict: "pass",
    },
    {
      source: "By hand: no pilot draws nothing; the 0.1895 L stay.",
      inputs: { pilots: "0" },
      outputs: { usable: "0.18949 ± 0.0001 L", flow: "0 ± 0 m3/h" },
      verdict: "watch",
    },
  ],
});
