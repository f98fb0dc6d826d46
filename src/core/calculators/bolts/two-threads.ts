import { type Meeting, meet, THREAD_TABLE, type Thread } from "../../fastening";
import { ok } from "../../result";
import { calculator } from "../calculator";
import type { Say } from "../declaration";
import { choice, named, PERCENT, result, SIZE, TURNS } from "../fields";

const NAMES = THREAD_TABLE.map(
  ({ name, series }) => [name, name.includes(series) ? name : `${name} (${series})`] as const,
);
const threadNamed = (name: string): Thread => THREAD_TABLE.find((each) => each.name === name)!;

/** What a bite below this share of the nut's own flank holds nobody should rely on. */
const SAFE_BITE = 0.6;

/** One named thread against another: does it go in, how far, and what holds it there. */
export const twoThreads = calculator({
  id: "two-threads",
  chapter: "Bolts and threads",
  title: "Two threads against each other",
  says: "What happens when a screw of one thread meets a nut of another: whether it starts, after how many turns it binds, and how much flank holds.",
  words: [
    "wrong nut",
    "mixed threads",
    "does it fit",
    "npt in bsp",
    "binds",
    "cross-threaded",
    "inch in metric",
  ],
  inputs: {
    screw: choice("Screw", "The outside thread.", NAMES, { usual: "M12" }),
    nut: choice("Nut or hole", "The inside thread.", NAMES, { usual: "1/2-13 UNC" }),
  },
  outputs: {
    meets: named("It"),
    turns: result("Turns until it binds", TURNS, "optional"),
    pitchDifference: result("Difference of the pitches", SIZE),
    pitchShare: result("As a share", PERCENT),
    diameterDifference: result("Screw thicker by", SIZE),
    bite: result("Flank that bears", PERCENT, "optional"),
  },
  compute: ({ screw: outside, nut: inside }, say) => {
    const [screw, nut] = [threadNamed(outside), threadNamed(inside)];
    const meeting = meet(screw, nut);
    const [sameAngle, sameForm] = [screw.angle === nut.angle, screw.taper === nut.taper];
    const same = screw === nut;
    return ok({
      outputs: {
        meets: WORDS[meeting.kind],
        turns: meeting.kind === "binds" ? meeting.turns : undefined,
        pitchDifference: screw.pitch - nut.pitch,
        pitchShare: screw.pitch / nut.pitch - 1,
        diameterDifference: screw.diameter - nut.diameter,
        bite: "bite" in meeting ? meeting.bite : undefined,
      },
      verdict: same
        ? "pass"
        : meeting.kind === "runs" && sameAngle && sameForm
          ? verdictOf(meeting.bite)
          : "fail",
      reasons: [
        same ? "One and the same thread." : reasonOf(meeting, say),
        ...(sameAngle
          ? []
          : [`Flanks of ${screw.angle}° in flanks of ${nut.angle}°: they touch along a line and wear.`]),
        ...(sameForm ? [] : ["One tapers and the other does not: it seals nowhere along its length."]),
      ],
      cautions: [
        "What starts by hand and then stiffens is the wrong thread: turn it back. With a wrench it only strips.",
        "A joint that holds pressure is made of one thread, never of two that happen to go together.",
      ],
    });
  },
  sources: [
    "Pitch diameter: ISO 68-1 and ASME B1.1 (d − 0.6495·P), ISO 228-1 (d − 0.6403·P). Least play of a fit: (15 + 11·P) µm, position g of ISO 965-1. Turns: play along the axis over the difference of the pitches.",
  ],
  examples: [
    {
      source:
        "By hand: M12 in a 1/2-13 nut. Pitch diameters 12.7 − 0.6495 · 1.9538 = 11.4310 and 12 − 0.6495 · 1.75 = 10.8634: play 0.5676 + 0.0365 = 0.6041 mm, along the axis · tan 30° = 0.3488 mm; the pitches differ by 0.2038 mm: 1.711 turns.",
      inputs: { screw: "M12", nut: "1/2-13 UNC" },
      outputs: {
        turns: "1.711 ± 0.002 turn",
        pitchDifference: "-0.20385 ± 0.0001 mm",
        pitchShare: "-10.433 ± 0.01 %",
      },
      verdict: "fail",
    },
    {
      source: "By hand: the other way round the nut is 0.5676 − 0.0343 = 0.533 mm too small.",
      inputs: { screw: "1/2-13 UNC", nut: "M12" },
      outputs: { meets: "does not start", diameterDifference: "0.7 ± 0.0001 mm" },
      verdict: "fail",
    },
    {
      source:
        "ISO 228-1 and ASME B1.20.1: G 1/2 and 1/2 NPT both have 14 threads to the inch; 55° and straight against 60° and taper.",
      inputs: { screw: "G 1/2", nut: "1/2-14 NPT" },
      outputs: { pitchDifference: "0 ± 1e-9 mm", meets: "runs all the way in" },
      verdict: "fail",
    },
    {
      source: "ISO 261: the same thread.",
      inputs: { screw: "M10", nut: "M10" },
      outputs: { bite: "100 ± 1e-6 %" },
      verdict: "pass",
    },
  ],
});

const WORDS: Record<Meeting["kind"], string> = {
  "too-thick": "does not start",
  "too-thin": "slips through",
  binds: "starts and binds",
  runs: "runs all the way in",
};

const verdictOf = (bite: number) => (bite < SAFE_BITE ? "fail" : "watch");

function reasonOf(meeting: Meeting, say: Say): string {
  const share = (bite: number) => `${Math.round(bite * 100)} %`;
  switch (meeting.kind) {
    case "too-thick":
      return `The screw is too thick between its flanks by ${say(meeting.by, SIZE)}: it does not start.`;
    case "too-thin":
      return `Only ${share(meeting.bite)} of the flank would bear: it strips by hand.`;
    case "binds":
      return `It starts, and binds after ${meeting.turns < 100 ? say.figure(meeting.turns, 1) : "many"} turns, with ${share(meeting.bite)} of the flank bearing.`;
    case "runs":
      return `The pitches agree, so it runs in; ${share(meeting.bite)} of the flank bears.`;
  }
}
