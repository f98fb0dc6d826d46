import { circleArea } from "../../physics";
import { err, ok } from "../../result";
import { calculator } from "../calculator";
import { DIFFERENCE, FORCE, GAUGE, gaugeField, measured, PERCENT, result, SIZE } from "../fields";

/** Calculation 49: at which pressure an actuator lets go. */
export const actuatorBalance = calculator({
  id: "actuator-balance",
  chapter: "Safety margins",
  title: "Actuator balance",
  says: "At which supply pressure a diaphragm or piston lets its valve trip, and how far the pressure now is from it.",
  words: [
    "actuator",
    "trip",
    "trip point",
    "diaphragm",
    "pre-action",
    "deluge",
    "spring",
    "air pressure",
    "clapper",
    "falls open",
  ],
  inputs: {
    supply: gaugeField("Supply on the actuator now", {
      help: "Air or water that holds it.",
      least: 0,
      most: 4e6,
      usual: 3.5e5,
    }),
    diaphragm: measured("Diaphragm or piston", SIZE, {
      help: "Working diameter.",
      least: 0.005,
      most: 1,
      usual: 0.12,
    }),
    system: gaugeField("System pressure it holds back", {
      help: "Highest it sees, surges too.",
      least: 0,
      most: 4e6,
      usual: 7e5,
    }),
    seat: measured("Seat or clapper", SIZE, {
      help: "Diameter the system pushes on.",
      least: 0.005,
      most: 1,
      usual: 0.06,
    }),
    spring: measured("Spring that opens", FORCE, {
      help: "Helps it open; one that holds it shut: minus.",
      least: -1e6,
      most: 1e6,
      usual: 0,
    }),
    leverage: measured("Leverage", PERCENT, {
      help: "Of a latch between them: 100 % without.",
      least: 0.01,
      most: 20,
      usual: 1,
    }),
    margin: measured("Margin wanted", PERCENT, {
      help: "Supply above the trip point: a quarter is usual.",
      least: 0,
      most: 2,
      usual: 0.25,
    }),
  },
  outputs: {
    trip: result("Trips at a supply of", GAUGE),
    margin: result("Margin", PERCENT),
    holding: result("Held with", FORCE),
    opening: result("Pushed open with", FORCE),
    above: result("Supply above that by", DIFFERENCE),
    bears: result("System pressure it would bear", GAUGE),
  },
  compute: (given, say) => {
    const area = circleArea(given.diaphragm);
    const seat = circleArea(given.seat);
    const leverage = given.leverage;
    const holding = given.supply * area * leverage;
    const opening = given.system * seat + given.spring;
    if (opening < 1e-3)
      return err({
        input: "spring",
        message: "Nothing pushes it open: it never trips. Check the pressure, and the sign of the spring.",
      });
    const trip = opening / (area * leverage);
    const margin = given.supply / trip - 1;
    const bears = Math.max((holding - given.spring) / seat, 0);
    return ok({
      outputs: { holding, opening, trip, above: given.supply - trip, margin, bears },
      verdict: margin < 0 ? "stop" : margin < given.margin ? "watch" : "pass",
      reasons: [
        margin < 0
          ? "It is open or about to open: the supply does not hold it."
          : margin < given.margin
            ? `It trips at ${say(trip, GAUGE)}: a small loss of supply sets it off.`
            : `It trips at ${say(trip, GAUGE)}, with the margin wanted.`,
      ],
      cautions: [
        "Before the cover comes off: system shut and drained, supply off and vented, spring slack. It slams with the force above.",
        "Tell who watches the alarms before you try a trip.",
      ],
    });
  },
  sources: ["Balance of forces, p·A on both sides with spring and leverage."],
  examples: [
    {
      source:
        "By hand: 7 bar on 60 mm against 120 mm: a quarter of the area, trips at 1.75 bar; 3.5 bar is 100 % above.",
      inputs: {},
      outputs: { trip: "1.75 ± 0.0001 bar g", margin: "100 ± 0.01 %", holding: "3.958 ± 0.001 kN" },
      verdict: "pass",
    },
    {
      source: "By hand: with a spring of 1 kN: (1979.2 + 1000)/0.0113097 = 2.634 bar; 3.5 is 32.9 % above.",
      inputs: { spring: "1 kN" },
      outputs: { trip: "2.6342 ± 0.001 bar g", margin: "32.87 ± 0.05 %" },
      verdict: "pass",
    },
    {
      source: "By hand: 1.9 bar is 8.6 % above 1.75.",
      inputs: { supply: "1.9 bar g" },
      outputs: { margin: "8.57 ± 0.01 %" },
      verdict: "watch",
    },
  ],
});
