import { circleArea } from "../../physics";
import { formatDuration } from "../../quantity";
import { ok } from "../../result";
import { calculator } from "../calculator";
import {
  CONTENT,
  FLOW,
  MINUTES,
  measured,
  PLAIN,
  RUN,
  result,
  SECONDS,
  SIZE,
  SPEED,
  SURFACE,
} from "../fields";

/** Calculation 31: how long a zone is flushed, and how long it then runs. */
export const zoneFlush = calculator({
  id: "zone-flush",
  chapter: "Irrigation and electrics",
  title: "Zone flush and run time",
  says: "Flow and time to flush grit out of a lateral, and the run time that lays down the water wanted.",
  words: ["flush", "lateral", "grit", "zone", "run time", "sprinkler", "precipitation", "how long to flush"],
  inputs: {
    bore: measured("Bore of the lateral", SIZE, {
      help: "Inside diameter of its widest part.",
      least: 0.004,
      most: 0.4,
      usual: 0.028,
    }),
    length: measured("Length", RUN, { help: "To the last head.", least: 0.5, most: 5000, usual: 60 }),
    flow: measured("Flow with the end open", FLOW, {
      help: "From a meter or a bucket.",
      least: 1e-6,
      most: 0.2,
      usual: 40e-3 / 60,
    }),
    speed: measured("Speed that moves grit", SPEED, {
      help: "0.6 m/s moves sand, 1 m/s fine gravel.",
      least: 0.2,
      most: 3,
      usual: 0.6,
    }),
    changes: measured("Changes of water", PLAIN, {
      help: "Three are usual, more until it runs clear.",
      least: 1,
      most: 20,
      usual: 3,
    }),
    zone: measured("Flow of the zone running", FLOW, {
      help: "All its heads.",
      least: 1e-6,
      most: 0.5,
      usual: 35e-3 / 60,
    }),
    surface: measured("Ground it waters", SURFACE, {
      help: "Inside the outer heads.",
      least: 1,
      most: 1e6,
      usual: 240,
    }),
    depth: measured("Water wanted", SIZE, {
      help: "Each time, from soil and weather.",
      least: 0.0005,
      most: 0.1,
      usual: 0.008,
    }),
  },
  outputs: {
    time: result("Flush for", SECONDS),
    runTime: result("Run time", MINUTES),
    volume: result("In the lateral", CONTENT),
    runs: result("Water runs at", SPEED),
    needed: result("Flow that moves grit", FLOW),
    rate: result("Lays down in an hour", SIZE),
  },
  compute: (given) => {
    const area = circleArea(given.bore);
    const volume = area * given.length;
    const flow = given.flow;
    const runs = flow / area;
    const weak = runs < given.speed;
    const time = (given.changes * volume) / flow;
    const rate = given.zone / given.surface;
    return ok({
      outputs: {
        volume,
        runs,
        needed: area * given.speed,
        time,
        rate: rate * 3600,
        runTime: given.depth / rate,
      },
      verdict: weak ? "fail" : "pass",
      reasons: [
        weak
          ? "Too slow to carry grit: open the end wider, or flush one branch at a time."
          : `Flush ${formatDuration(time)}, farthest head last.`,
      ],
      cautions: [
        "Keep the flush away from the valve's pilot and from the road.",
        "Where water starts to run off before the time is up, split it in two with a pause.",
      ],
    });
  },
  sources: [
    "Volume over flow; rate of laying down is flow over ground. Speed that moves grit: usual 0.6 m/s of self-cleaning pipe.",
  ],
  examples: [
    {
      source: "By hand: 28 mm · 60 m = 36.95 L; 40 L/min run at 1.083 m/s; three changes take 166 s.",
      inputs: {},
      outputs: { volume: "36.945 ± 0.01 L", runs: "1.083 ± 0.001 m/s", time: "166.3 ± 0.1 s" },
      verdict: "pass",
    },
    {
      source:
        "By hand: 35 L/min on 240 m² is 8.75 mm/h; 8 mm take 54.9 min. At 20 L/min the pipe runs at 0.541 m/s: too slow.",
      inputs: { flow: "20 L/min" },
      outputs: { rate: "8.75 ± 0.001 mm", runTime: "54.86 ± 0.01 min", runs: "0.541 ± 0.001 m/s" },
      verdict: "fail",
    },
  ],
});
