import { FUEL_GASES } from "../../physics";
import { ok } from "../../result";
import { calculator } from "../calculator";
import { CONTENT, choice, GAS_FLOW, HEAT, MINUTES, measured, PERCENT, result, SECONDS } from "../fields";

/** Calculation 34: flow and smallest leak from the meter's test dial. */
export const dialTest = calculator({
  id: "dial-test",
  chapter: "Gas",
  title: "Test dial",
  says: "Flow and heat input from the seconds of a test dial, or the smallest leak it would have shown in that time.",
  words: [
    "dial",
    "meter",
    "test hand",
    "clock the meter",
    "clocking",
    "seconds per turn",
    "leak seen",
    "gas input",
  ],
  inputs: {
    seen: choice("Seen", "With appliances running, or all off.", {
      turn: "it turned",
      none: "nothing moved",
    }),
    dial: measured("One turn of the dial", CONTENT, {
      help: "Printed on it: 0.5, 1 or 2 ft³, or 10 L.",
      least: 1e-4,
      most: 0.3,
      usual: 0.0283168466,
    }),
    seconds: measured("Seconds for a turn", SECONDS, {
      help: "Whole turns, timed together and divided.",
      least: 0.2,
      most: 86_400,
      usual: 40,
      when: { input: "seen", is: ["turn"] },
    }),
    watched: measured("Watched for", MINUTES, {
      help: "All appliances and pilots off.",
      least: 10,
      most: 86_400,
      usual: 600,
      when: { input: "seen", is: ["none"] },
    }),
    mark: measured("Smallest movement seen", PERCENT, {
      help: "Of a turn: half of its smallest mark.",
      least: 0.001,
      most: 0.5,
      usual: 0.05,
      when: { input: "seen", is: ["none"] },
    }),
    allowed: measured("Leak allowed", GAS_FLOW, {
      help: "0 unless your code gives one.",
      least: 0,
      most: 1,
      usual: 0,
    }),
    off: choice("Appliances", "What should be flowing.", {
      running: "running",
      off: "all off, pilots too",
    }),
    gas: choice("Gas", "What is metered.", { natural: "natural gas", propane: "propane vapour" }),
  },
  outputs: {
    flow: result("Flow, or smallest leak seen", GAS_FLOW),
    heat: result("Heat in it", HEAT),
    wait: result("Watch this long to see 5 L/h", MINUTES),
  },
  compute: (given, say) => {
    const turned = given.seen === "turn";
    const dial = given.dial;
    const mark = given.mark;
    const flow = turned ? dial / given.seconds : (dial * mark) / given.watched;
    const leaks = turned && given.off === "off" && flow > given.allowed;
    const blind = !turned && flow > Math.max(given.allowed, 5e-3 / 3600);
    return ok({
      outputs: {
        flow,
        heat: flow * FUEL_GASES[given.gas].heat,
        wait: (dial * mark) / (5e-3 / 3600),
      },
      verdict: leaks ? "stop" : blind ? "watch" : "pass",
      reasons: [
        leaks
          ? "It turns with everything off: gas leaks behind the meter. Shut the cock, air the rooms, no switches, and find it."
          : turned
            ? `${say(flow, GAS_FLOW)}.`
            : blind
              ? `Watched too short: a leak of up to ${say(flow, GAS_FLOW)} would not have shown.`
              : "No leak larger than this in that time.",
      ],
      cautions: ["A still dial is not a tightness test: your code's pressure test decides."],
    });
  },
  sources: ["Volume of the dial over time; heating values 38 and 95 MJ/m³ usual of natural gas and propane."],
  examples: [
    {
      source: "By hand: 1 ft³ in 40 s is 90 ft³/h; at 38 MJ/m³ 26.9 kW.",
      inputs: {},
      outputs: { flow: "90 ± 0.001 ft3/h", heat: "26.9 ± 0.01 kW" },
      verdict: "pass",
    },
    {
      source:
        "By hand: a twentieth of 1 ft³ in 10 min is 0.3 ft³/h = 8.5 L/h: too short for 5 L/h, which takes 17 min.",
      inputs: { seen: "none" },
      outputs: { flow: "0.3 ± 0.0001 ft3/h", wait: "16.99 ± 0.01 min" },
      verdict: "watch",
    },
    {
      source: "A dial that turns with everything off leaks.",
      inputs: { off: "off", seconds: "600" },
      outputs: { flow: "6 ± 0.001 ft3/h" },
      verdict: "stop",
    },
  ],
});
