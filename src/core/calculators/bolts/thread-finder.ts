import {
  fitsWell,
  heightAfterRetap,
  matchThreads,
  rivalsOf,
  THREAD_TABLE,
  type Thread,
} from "../../fastening";
import { err, ok } from "../../result";
import { calculator } from "../calculator";
import { choice, measured, named, PERCENT, result, SIZE, THREADS } from "../fields";

const SHOWN = 6;
/** Two threads of nearly one diameter bind or strip when mixed up. As a share of the diameter. */
const NEAR = 0.06;
const SAME_PITCH = 0.005;

/** Calculation 3: which thread this is. */
export const threadFinder = calculator({
  id: "thread-finder",
  chapter: "Bolts and threads",
  title: "Thread finder",
  says: "Which thread this is, from its outside diameter and pitch, what it must not be mixed up with, and what a re-tap would leave.",
  words: [
    "thread",
    "what thread",
    "tpi",
    "pitch gauge",
    "npt",
    "bsp",
    "unc",
    "unf",
    "metric",
    "stripped",
    "re-tap",
    "cross-threaded",
  ],
  inputs: {
    diameter: measured("Outside diameter, measured", SIZE, {
      help: "Over the crests of the screw; a worn one measures a little under.",
      least: 0.0014,
      most: 0.12,
      usual: 0.0127,
    }),
    by: choice("Pitch known as", "What the pitch gauge says.", {
      inch: "threads to the inch",
      metric: "pitch",
      unknown: "not known",
    }),
    perInch: measured("Threads to the inch", THREADS, {
      help: "Count the crests along an inch.",
      least: 3 / 0.0254,
      most: 90 / 0.0254,
      usual: 13 / 0.0254,
      when: { input: "by", is: ["inch"] },
    }),
    pitch: measured("Pitch", SIZE, {
      help: "Crest to crest: ten pitches measured, divided by ten.",
      least: 0.0003,
      most: 0.0085,
      usual: 0.00175,
      when: { input: "by", is: ["metric"] },
    }),
    form: choice("Along its length", "Lay a straight edge along the crests.", {
      unseen: "not looked at",
      straight: "straight",
      taper: "it tapers",
    }),
    flanks: choice("Between the flanks", "A thread gauge of 60° rocks in a thread of 55°.", {
      unseen: "not looked at",
      sixty: "60°",
      fiftyFive: "55°",
    }),
  },
  outputs: {
    thread: named("Likeliest"),
    nominal: result("Its outside diameter", SIZE),
    nominalPitch: result("Its pitch", SIZE),
    under: result("Measured under it by", SIZE),
    neighbour: named("Do not mix up with", "optional"),
    orElse: named("Fits as well", "optional"),
    retap: named("Next size to re-tap to", "optional"),
    left: result("Thread height left after that", PERCENT, "optional"),
  },
  tables: {
    candidates: {
      title: "Candidates, likeliest first",
      columns: {
        thread: named("Thread"),
        series: named("Series"),
        diameter: result("Outside", SIZE),
        pitch: result("Pitch", SIZE),
        under: result("Measured under", SIZE),
        pitchOff: result("Pitch off", PERCENT),
      },
    },
  },
  compute: (given) => {
    const { diameter, by, form, flanks } = given;
    const pitch = by === "unknown" ? undefined : by === "inch" ? 1 / given.perInch : given.pitch;
    const matches = matchThreads({
      diameter,
      ...(pitch !== undefined && { pitch }),
      ...(form !== "unseen" && { taper: form === "taper" }),
      ...(flanks !== "unseen" && { angle: flanks === "sixty" ? 60 : 55 }),
    });
    const [best] = matches;
    if (best === undefined)
      return err({
        input: "diameter",
        message:
          "No thread in the tables is near this. Measure the diameter over the crests again, count the threads along a full inch, and look at form and flanks.",
      });
    const { thread } = best;
    const rivals = rivalsOf(matches);
    const fits = pitch !== undefined && fitsWell(best);
    const sure = fits && rivals.length === 0;
    const neighbour = nearMiss(thread);
    const retap = nextSize(thread);
    return ok({
      outputs: {
        thread: thread.name,
        nominal: thread.diameter,
        nominalPitch: thread.pitch,
        under: best.under,
        neighbour: neighbour?.name,
        orElse:
          pitch === undefined || rivals.length === 0 ? undefined : rivals.map(({ name }) => name).join(", "),
        retap: retap?.name,
        left: retap && heightAfterRetap(thread, retap),
      },
      tables: {
        candidates: matches.slice(0, SHOWN).map((each) => ({
          thread: each.thread.name,
          series: each.thread.series,
          diameter: each.thread.diameter,
          pitch: each.thread.pitch,
          under: each.under,
          pitchOff: each.pitchOff,
        })),
      },
      verdict: sure ? "pass" : "watch",
      reasons: [
        pitch === undefined
          ? "The diameter alone names none: lay a pitch gauge on it, or measure over ten threads."
          : sure
            ? `Diameter and pitch both fit ${thread.name}, and nothing else in the tables.`
            : fits
              ? `${[thread, ...rivals].map(({ name }) => name).join(", ")} fit alike. ${apart(thread, rivals)}`
              : "Near, but not sure: try a known nut or screw by hand before you trust it.",
      ],
      cautions: [
        ...(neighbour ? [mixedUp(thread, neighbour)] : []),
        ...(thread.taper || thread.series.startsWith("BSP")
          ? ["NPT and BSP of one size do not seal together: 60° against 55°, and mostly another pitch."]
          : []),
        "A thread that holds pressure is not re-tapped without the word of whoever answers for the vessel.",
      ],
    });
  },
  sources: [
    "UN threads: ASME B1.1; metric: ISO 261, ISO 68-1; G: ISO 228-1; R: ISO 7-1; NPT: ASME B1.20.1; hose: NFPA 1963, ASME B1.20.7.",
  ],
  examples: [
    {
      source:
        "ASME B1.1: 1/2-13 UNC is 0.500 in, 25.4/13 = 1.954 mm; measured 0.495 in it is 0.127 mm under.",
      inputs: { diameter: "0.495 in", perInch: "13" },
      outputs: {
        thread: "1/2-13 UNC",
        nominalPitch: "1.954 ± 0.001 mm",
        under: "0.127 ± 0.001 mm",
        neighbour: "M12",
      },
      verdict: "pass",
    },
    {
      source:
        "ISO 261: 9.9 mm with 1.5 mm is M10; the next, M12 × 1.75, keeps (12 − 10)/2 of 0.5413 · 1.75 = 0.947 mm: all of it.",
      inputs: { diameter: "9.9 mm", by: "metric", pitch: "1.5 mm" },
      outputs: { thread: "M10", retap: "M12", left: "100 ± 0.01 %" },
      verdict: "pass",
    },
    {
      source:
        "ASME B1.20.1: 0.84 in with 14 threads is 1/2 NPT; G 1/2 (ISO 228-1) is 20.955 mm, also 14: the trap of the trade.",
      inputs: { diameter: "0.83 in", perInch: "14" },
      outputs: { thread: "1/2-14 NPT", nominal: "21.336 ± 0.001 mm" },
      verdict: "watch",
    },
    {
      source: "ISO 228-1: G 1/2 is 20.955 mm; a straight thread of 55° with 14 to the inch is nothing else.",
      inputs: { diameter: "20.8 mm", perInch: "14", form: "straight", flanks: "fiftyFive" },
      outputs: { thread: "G 1/2", nominal: "20.955 ± 0.001 mm" },
      verdict: "pass",
    },
    {
      source: "ASME B1.1: 1 1/8-8 is of the eight-thread series, 1 1/8-7 is UNC.",
      inputs: { diameter: "1.12 in", perInch: "8" },
      outputs: { thread: "1 1/8-8 8UN" },
      verdict: "pass",
    },
    {
      source: "NFPA 1963: 2 1/2 NH is 3.0686 in over the crests with 7.5 to the inch.",
      inputs: { diameter: "3.06 in", perInch: "7.5" },
      outputs: { thread: "2 1/2-7.5 NH, fire hose" },
      verdict: "pass",
    },
  ],
});

const samePitch = (a: Thread, b: Thread) => Math.abs(a.pitch / b.pitch - 1) < SAME_PITCH;

/** What tells the thread from those that fit alike. */
function apart(thread: Thread, rivals: readonly Thread[]): string {
  const looks = [
    ...(rivals.some((each) => each.taper !== thread.taper) ? ["whether it tapers"] : []),
    ...(rivals.some((each) => each.angle !== thread.angle) ? ["the angle of the flanks"] : []),
  ];
  return looks.length > 0
    ? `Look at ${looks.join(" and ")}.`
    : "Measure diameter and pitch finer, or try a known nut by hand.";
}

function mixedUp(thread: Thread, other: Thread): string {
  if (!samePitch(thread, other))
    return `${other.name} is nearly as thick with another pitch: it starts, binds after a turn or two and strips. Never force it.`;
  const differs = [
    ...(other.angle === thread.angle ? [] : [`flanks of ${other.angle}° against ${thread.angle}°`]),
    ...(other.taper === thread.taper ? [] : [other.taper ? "it tapers" : "it is straight"]),
  ];
  return `${other.name} has the same pitch, but ${differs.join(" and ")}: it screws in and does not hold or seal.`;
}

/** The thread nearest in diameter and pitch that is another in pitch, angle or form. */
function nearMiss(thread: Thread): Thread | undefined {
  const distance = (other: Thread) =>
    Math.abs(other.pitch / thread.pitch - 1) + 3 * Math.abs(other.diameter / thread.diameter - 1);
  return THREAD_TABLE.filter(
    (each) =>
      Math.abs(each.diameter / thread.diameter - 1) < NEAR &&
      (!samePitch(each, thread) || each.taper !== thread.taper || each.angle !== thread.angle) &&
      each.series.slice(0, 3) !== thread.series.slice(0, 3) &&
      !(each.taper && !thread.taper),
  ).sort((a, b) => distance(a) - distance(b))[0];
}

/** The next thicker thread of its series. A taper thread is not re-tapped. */
function nextSize(thread: Thread): Thread | undefined {
  if (thread.taper) return undefined;
  return THREAD_TABLE.filter(
    (each) => each.series === thread.series && each.diameter > thread.diameter * 1.001,
  ).sort((a, b) => a.diameter - b.diameter)[0];
}
