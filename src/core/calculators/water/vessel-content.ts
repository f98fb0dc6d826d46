import { contentUpTo, HEADS, headDepth, type Vessel, vesselHeight, vesselVolume } from "../../physics";
import { err, ok } from "../../result";
import { calculator } from "../calculator";
import { CONTENT, choice, measured, PERCENT, RUN, result } from "../fields";

/** What a round vessel holds, whole and up to a level. */
export const vesselContent = calculator({
  id: "vessel-content",
  chapter: "Water and fire",
  title: "Vessel content",
  says: "What a round vessel holds, lying or standing, by its heads: whole, up to a level, and what has to run out to get there.",
  words: [
    "vessel volume",
    "tank",
    "elliptical head",
    "hemispherical",
    "level",
    "how full",
    "receiver",
    "litres left",
  ],
  inputs: {
    diameter: measured("Inside diameter", RUN, {
      help: "Outside less two walls.",
      least: 0.01,
      most: 20,
      usual: 0.9,
    }),
    straight: measured("Straight length", RUN, {
      help: "From seam to seam, without the heads.",
      least: 0,
      most: 100,
      usual: 2,
    }),
    head: choice("Heads", "Both ends.", {
      elliptical: "2:1 elliptical",
      hemispherical: "hemispherical",
      flat: "flat",
    }),
    way: choice("It", "How it stands.", { lying: "lies", standing: "stands" }),
    level: measured("Level", RUN, {
      help: "Above the lowest point inside; empty: only the whole.",
      least: 0,
      most: 140,
      optional: true,
    }),
    down: measured("Down to", RUN, {
      help: "Above the lowest point inside; 0 when it runs empty.",
      least: 0,
      most: 140,
      usual: 0,
    }),
  },
  outputs: {
    volume: result("Whole", CONTENT),
    heads: result("Of it in the heads", CONTENT),
    height: result("Inside, from bottom to top", RUN),
    over: result("Over the heads", RUN),
    held: result("Up to the level", CONTENT, "optional"),
    full: result("Full to", PERCENT, "optional"),
    out: result("To run out", CONTENT, "optional"),
  },
  compute: ({ diameter, straight, head, way, level, down }, say) => {
    const vessel: Vessel = { radius: diameter / 2, straight, head };
    const lying = way === "lying";
    const height = vesselHeight(vessel, lying);
    const volume = vesselVolume(vessel);
    if (volume === 0) return err({ input: "straight", message: "Flat ends and no length hold nothing." });
    for (const [input, at] of [
      ["level", level ?? 0],
      ["down", down],
    ] as const)
      if (at > height) return err({ input, message: `It is only ${say(height, RUN)} high inside.` });
    if (level !== undefined && down > level)
      return err({ input: "down", message: "That is above the level it starts from." });
    const held = level === undefined ? undefined : contentUpTo(vessel, level, lying);
    return ok({
      outputs: {
        volume,
        heads: volume - Math.PI * vessel.radius ** 2 * straight,
        height,
        over: straight + 2 * headDepth(vessel),
        held,
        full: held === undefined ? undefined : held / volume,
        out: held === undefined ? undefined : held - contentUpTo(vessel, down, lying),
      },
      reasons: [
        held === undefined
          ? `It holds ${say(volume, CONTENT)} in all.`
          : `${say(held, CONTENT)} of ${say(volume, CONTENT)} are in it.`,
      ],
      cautions: [
        "Nozzles, coils and mud take room that is not counted. A vessel is entered by those who may, with its own permit.",
      ],
    });
  },
  sources: [
    `Cylinder, circle segment and half ellipsoids, ${HEADS.length} kinds of head: any geometry text. A 2:1 elliptical head holds π·D³/24, a hemispherical π·D³/12 (ASME BPVC VIII-1 shapes).`,
  ],
  examples: [
    {
      source: "By hand: 1 m wide, 2 m straight, 2:1 heads: 1.5708 + 2 · π/24 = 1.8326 m³.",
      inputs: { diameter: "1 m", straight: "2 m" },
      outputs: { volume: "1832.6 ± 0.1 L", heads: "261.8 ± 0.1 L", over: "2.5 ± 1e-9 m" },
    },
    {
      source: "By hand: a ball of 1 m is π/6 = 523.6 L; half full at half its height.",
      inputs: { diameter: "1 m", straight: "0 m", head: "hemispherical", level: "0.5 m" },
      outputs: { volume: "523.6 ± 0.1 L", held: "261.8 ± 0.1 L", full: "50 ± 1e-6 %" },
    },
    {
      source: "By hand, standing, 2:1 heads 0.25 m deep: up to 0.75 m 0.1309 + 0.5 · 0.7854 = 0.5236 m³.",
      inputs: { diameter: "1 m", straight: "2 m", way: "standing", level: "0.75 m", down: "0.25 m" },
      outputs: { held: "523.6 ± 0.1 L", out: "392.7 ± 0.1 L", height: "2.5 ± 1e-9 m" },
    },
    {
      source:
        "By hand, lying, flat ends, level at a quarter: 0.25·acos(0.5) − 0.25·√0.1875 = 0.15355 m² times 2 m.",
      inputs: { diameter: "1 m", straight: "2 m", head: "flat", level: "0.25 m" },
      outputs: { held: "307.1 ± 0.1 L" },
    },
  ],
});
