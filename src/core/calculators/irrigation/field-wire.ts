import { WIRES, wireResistance } from "../../physics";
import { err, ok } from "../../result";
import { calculator } from "../calculator";
import {
  asNamed,
  CURRENT,
  choice,
  KELVIN,
  measured,
  named,
  OHMS,
  PERCENT,
  PLAIN,
  RUN,
  result,
  SECTION,
  temperatureField,
  VOLTS,
} from "../fields";

const BY_CURRENT = { input: "load", is: ["current"] };

/** Calculation 30: whether enough voltage is left at the coil. */
export const fieldWire = calculator({
  id: "field-wire",
  chapter: "Irrigation and electrics",
  title: "Field wire",
  says: "Voltage left at the far coil for this wire and run, the longest run, and the next size that does.",
  words: ["wire", "awg", "voltage drop", "cable size", "long run", "won't pull in", "common", "decoder"],
  inputs: {
    supply: measured("Voltage at the controller", VOLTS, {
      help: "Measured under load.",
      least: 3,
      most: 500,
      usual: 25,
    }),
    load: choice("What a coil takes", "Direct current follows its ohms; alternating current its sheet.", {
      current: "from its current",
      ohms: "from its ohms, DC",
    }),
    ohms: measured("One coil", OHMS, {
      help: "Read at the coil, as warm as it is.",
      least: 0.1,
      most: 100_000,
      usual: 60,
      when: { input: "load", is: ["ohms"] },
    }),
    inrush: measured("Inrush of one coil", CURRENT, {
      help: "From its sheet: what it draws while it pulls in.",
      least: 0.001,
      most: 20,
      usual: 0.4,
      when: BY_CURRENT,
    }),
    holding: measured("Holding of one coil", CURRENT, {
      help: "What it draws once in.",
      least: 0.001,
      most: 20,
      usual: 0.2,
      when: BY_CURRENT,
    }),
    valves: measured("Valves at once", PLAIN, {
      help: "On this wire: one pulls in while the others hold.",
      least: 1,
      most: 40,
      usual: 1,
    }),
    run: measured("Run, one way", RUN, {
      help: "Along the trench; the way back is counted.",
      least: 0.1,
      most: 20_000,
      usual: 250,
    }),
    wire: choice("Wire", "Of the valve's own wire.", asNamed(Object.keys(WIRES)), { usual: "AWG 18" }),
    common: choice("Common", "Often thicker.", asNamed(Object.keys(WIRES)), {
      usual: "AWG 18",
    }),
    needed: measured("Coil needs at least", VOLTS, {
      help: "From its sheet, to pull in at the highest pressure.",
      least: 1,
      most: 500,
      usual: 20,
    }),
    temperature: temperatureField("Wire's temperature", {
      help: "In the ground about 15 °C, on a wall in the sun 50 °C.",
      least: KELVIN - 40,
      most: KELVIN + 90,
      usual: KELVIN + 20,
    }),
  },
  outputs: {
    left: result("Left at the coil", VOLTS),
    longest: result("Longest run", RUN),
    next: named("Smallest wire that does"),
    loop: result("Wire there and back", OHMS),
    current: result("Current", CURRENT),
    drop: result("Drop", VOLTS),
    share: result("Drop, of the supply", PERCENT),
  },
  tables: {
    sizes: {
      title: "Both wires of one size",
      columns: {
        wire: named("Wire"),
        section: result("Section", SECTION),
        left: result("Left at the coil", VOLTS),
        longest: result("Longest run", RUN),
      },
    },
  },
  compute: (given, say) => {
    const { supply, needed, run, temperature: kelvin, valves } = given;
    if (!Number.isInteger(valves)) return err({ input: "valves", message: "Give a whole number of valves." });
    if (needed >= supply)
      return err({
        input: "needed",
        message: "The coil needs as much as the controller gives: no wire helps.",
      });
    const perMetre = (wire: string, common: string) =>
      wireResistance(WIRES[wire]!, kelvin) + wireResistance(WIRES[common]!, kelvin);
    const loop = perMetre(given.wire, given.common) * run;
    // Ohms share the voltage with the wire; a current from a sheet is taken as it is.
    const load = given.load === "ohms" ? given.ohms / valves : undefined;
    const drawn = given.inrush + (valves - 1) * given.holding;
    const currentOver = (wire: number) => (load === undefined ? drawn : supply / (load + wire));
    const current = currentOver(loop);
    const left = supply - current * loop;
    /** Ohms of wire at which just enough is left. */
    const most = load === undefined ? (supply - needed) / drawn : (load * (supply - needed)) / needed;
    const sizes = Object.entries(WIRES)
      .sort(([, a], [, b]) => a - b)
      .map(([wire, section]) => ({
        wire,
        section,
        left: supply - currentOver(perMetre(wire, wire) * run) * perMetre(wire, wire) * run,
        longest: most / perMetre(wire, wire),
      }));
    const next = sizes.find((each) => each.left >= needed);
    const bad = left < needed;
    return ok({
      outputs: {
        loop,
        current,
        drop: current * loop,
        left,
        share: (current * loop) / supply,
        longest: (most * run) / loop,
        next: next?.wire ?? "none in the table",
      },
      tables: { sizes },
      verdict: bad ? "fail" : left < needed * 1.05 ? "watch" : "pass",
      reasons: [
        bad
          ? `Only ${say(left, VOLTS)} left: it hums and does not pull in. ${next ? `Both wires ${next.wire}, or fewer valves at once.` : "Fewer valves at once."}`
          : `${say(left, VOLTS)} left at the coil.`,
      ],
      cautions: [
        "Low voltage burns AC coils: they draw inrush for as long as they do not close.",
        "Splices in the ground are gel-filled or they add ohms every year.",
      ],
    });
  },
  sources: [
    "Copper 1.7241e-8 Ω·m and 0.00393/K at 20 °C: IEC 60028. AWG: ASTM B258. Metric sections: IEC 60228 (nominal). Impedance of coils taken as their current: phase neglected, which errs on the safe side.",
  ],
  examples: [
    {
      source:
        "ASTM B258: AWG 18 is 1.024 mm, 0.8231 mm², 20.95 Ω/km; 500 m of it: 10.47 Ω; 0.4 A drop 4.19 V.",
      inputs: {},
      outputs: {
        loop: "10.473 ± 0.01 Ω",
        drop: "4.189 ± 0.005 V",
        left: "20.81 ± 0.01 V",
        share: "16.76 ± 0.02 %",
      },
      verdict: "watch",
    },
    {
      source: "By hand, 1.5 mm²: 11.494 Ω/km each way; 25 − 20 V at 0.4 A allow 12.5 Ω: 543.8 m.",
      inputs: { wire: "1.5 mm²", common: "1.5 mm²" },
      outputs: { longest: "543.8 ± 0.5 m" },
      verdict: "pass",
    },
    {
      source:
        "By hand, a DC coil of 60 Ω on 10.473 Ω of wire: 25 V · 60/70.473 = 21.285 V; 20 V are left with 60 · 5/20 = 15 Ω of wire: 358.1 m.",
      inputs: { load: "ohms", ohms: "60 Ω" },
      outputs: { left: "21.285 ± 0.005 V", share: "14.86 ± 0.02 %", longest: "358.1 ± 0.4 m" },
      verdict: "pass",
    },
  ],
});
