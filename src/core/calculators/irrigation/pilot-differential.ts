import { err, ok } from "../../result";
import { calculator } from "../calculator";
import { DIFFERENCE, FLOW, FLOW_COEFFICIENT, gaugeField, measured, PERCENT, PLAIN, result } from "../fields";

const M3H = 3600;

/** Calculation 32: whether a servo valve has the difference of pressure it needs. */
export const pilotDifferential = calculator({
  id: "pilot-differential",
  chapter: "Irrigation and electrics",
  title: "Pilot difference",
  says: "Whether a servo valve has the pressure difference it needs to open, and to stay open at this flow.",
  words: [
    "servo",
    "pilot",
    "diaphragm valve",
    "won't open",
    "chatters",
    "minimum differential",
    "low flow",
    "solenoid",
  ],
  inputs: {
    inlet: gaugeField("Inlet, valve shut", { help: "Before it.", least: 0, most: 4e6, usual: 3e5 }),
    outlet: gaugeField("Outlet, valve shut", {
      help: "Behind it; open end: 0.",
      least: 0,
      most: 4e6,
      usual: 0,
    }),
    flow: measured("Flow when open", FLOW, {
      help: "What is drawn through it.",
      least: 0,
      most: 1,
      usual: 20e-3 / 60,
    }),
    kv: measured("Kv", FLOW_COEFFICIENT, { help: "From its sheet.", least: 0.01, most: 2000, usual: 4.5 }),
    gravity: measured("Relative density", PLAIN, { help: "Water 1.", least: 0.3, most: 3, usual: 1 }),
    toOpen: measured("Needs to open", DIFFERENCE, {
      help: "From its sheet.",
      least: 0,
      most: 1e6,
      usual: 5e4,
    }),
    toStay: measured("Needs to stay open", DIFFERENCE, {
      help: "From its sheet, often less.",
      least: 0,
      most: 1e6,
      usual: 2e4,
    }),
    most: measured("Must not exceed", DIFFERENCE, {
      help: "Above this its coil cannot lift the pilot.",
      least: 1e4,
      most: 4e6,
      usual: 1e6,
    }),
  },
  outputs: {
    available: result("There to open", DIFFERENCE),
    across: result("Across it, open", DIFFERENCE),
    openShare: result("Of what opening needs", PERCENT),
    stayShare: result("Of what staying open needs", PERCENT),
    leastFlow: result("Stays open from a flow of", FLOW),
  },
  compute: (given, say) => {
    const available = given.inlet - given.outlet;
    if (available < 0)
      return err({
        input: "outlet",
        message: "The outlet is above the inlet: the valve is in backwards, or is fed from behind.",
      });
    const [toOpen, toStay] = [given.toOpen, given.toStay];
    const across = Math.min(
      ((given.flow * M3H) / given.kv) ** 2 * given.gravity * 1e5,
      Math.max(available, 0),
    );
    const leastFlow = (given.kv * Math.sqrt(toStay / 1e5 / given.gravity)) / M3H;
    const [opens, stays, over] = [available >= toOpen, across >= toStay, available > given.most];
    return ok({
      outputs: {
        available,
        across,
        openShare: toOpen >= 1 ? available / toOpen : 1,
        stayShare: toStay >= 1 ? across / toStay : 1,
        leastFlow,
      },
      verdict: over || !opens ? "fail" : stays ? "pass" : "watch",
      reasons: [
        over
          ? "More difference than its coil can lift against: it stays shut."
          : !opens
            ? "Too little to open it: a direct-acting valve, or clear what chokes the inlet."
            : stays
              ? "Enough to open and to stay open."
              : `At this flow it falls shut and opens again: it chatters. It needs ${say(leastFlow, FLOW)}, or a smaller valve.`,
      ],
      cautions: ["Fitted backwards it passes all the time: look for the arrow."],
    });
  },
  sources: ["Δp = SG·(Q/Kv)², m³/h and bar: IEC 60534-1. Minimum differences: the sheet of the valve."],
  examples: [
    {
      source:
        "By hand: 1.2 m³/h through Kv 4.5: (0.2667)² = 0.0711 bar: under 0.2 bar, it chatters; it needs 4.5·√0.2 = 2.012 m³/h.",
      inputs: {},
      outputs: { across: "0.0711 ± 0.0001 bar", leastFlow: "2.0125 ± 0.001 m3/h", available: "3 ± 1e-6 bar" },
      verdict: "watch",
    },
    {
      source: "By hand: 45 L/min = 2.7 m³/h: 0.36 bar.",
      inputs: { flow: "45 L/min" },
      outputs: { across: "0.36 ± 0.0001 bar", stayShare: "180 ± 0.1 %" },
      verdict: "pass",
    },
  ],
});
