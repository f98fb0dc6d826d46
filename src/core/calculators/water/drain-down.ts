import {
  circleArea,
  drainTime,
  PIPE_SIZES,
  pipeSize,
  pipeVolume,
  SCHEDULES,
  shareOfHeadLeft,
} from "../../physics";
import type { Duration, Length, Volume } from "../../quantity";
import { err, ok } from "../../result";
import { calculator } from "../calculator";
import { asNamed, CONTENT, choice, FLOW, MINUTES, measured, PLAIN, RUN, result, SIZE } from "../fields";

/** Torricelli holds while the opening is small beside the section; past this the level drops faster than the jet allows. */
const LARGE_OPENING = 0.2;
/** An unvented section draws air through its own drain: the flow glugs. Public plumbing practice: about three times as long. */
const UNVENTED = 3;

/** Calculation 10: how much is in a run of pipe and a vessel, and how long it takes to run out. */
export const drainDown = calculator({
  id: "drain-down",
  chapter: "Water and fire",
  title: "Drain-down",
  says: "Volume of a pipe run and a vessel, and how long it takes to run out through an opening.",
  words: ["drain", "empty", "how long", "barrel", "volume of a pipe", "frost"],
  inputs: {
    by: choice("Bore known by", "Measured, or from the pipe's nominal size.", {
      bore: "its bore",
      size: "nominal size and schedule (steel)",
    }),
    size: choice(
      "Nominal size",
      "Cast or stamped on fittings.",
      PIPE_SIZES.map(({ id, label }) => [id, label] as const),
      {
        usual: "DN150",
        when: { input: "by", is: ["size"] },
      },
    ),
    schedule: choice("Schedule", "Wall of steel pipe: 40 is the usual one.", asNamed(SCHEDULES), {
      usual: "40",
      when: { input: "by", is: ["size"] },
    }),
    bore: measured("Bore of the pipe", SIZE, {
      help: "Inside diameter of the pipe or barrel.",
      least: 0.004,
      most: 3,
      usual: 0.15,
      when: { input: "by", is: ["bore"] },
    }),
    length: measured("Length of the run", RUN, {
      help: "All of the pipe that drains here.",
      least: 0,
      most: 50_000,
      usual: 1.8,
    }),
    vessel: measured("Vessel", CONTENT, {
      help: "Content of vessels in the section; none: 0.",
      least: 0,
      most: 10_000,
      usual: 0,
    }),
    head: measured("Head above the drain", RUN, {
      help: "From the drain up to the water level at the start.",
      least: 0.01,
      most: 500,
      usual: 1.8,
    }),
    opening: measured("Opening", SIZE, {
      help: "Bore of the drain. Two ports: give the bore of one with the same area as both.",
      least: 0.001,
      most: 0.5,
      usual: 0.008,
    }),
    coefficient: measured("Discharge coefficient", PLAIN, {
      help: "Sharp edge 0.62; short pipe stub 0.8; well rounded 0.97.",
      least: 0.3,
      most: 1,
      usual: 0.62,
    }),
    vent: choice("Vent", "Whether air can come in above.", { open: "open above", none: "no vent" }),
    left: measured("Down to", RUN, {
      help: "Head that is left when you stop; 0 when it runs empty.",
      least: 0,
      most: 500,
      usual: 0,
    }),
    limit: measured("Longest allowed", MINUTES, {
      help: "For a dry barrel: the sheet's limit for the drain-down. Empty: no verdict.",
      least: 1,
      most: 864_000,
      optional: true,
    }),
  },
  outputs: {
    time: result("Time to empty", MINUTES),
    toLevel: result("Time down to that level", MINUTES, "optional"),
    drained: result("Runs out by then", CONTENT, "optional"),
    volume: result("Volume", CONTENT),
    halfTime: result("Time to half the head", MINUTES),
    firstFlow: result("Flow at the start", FLOW),
  },
  compute: (given, say) => {
    const sized = given.by === "size";
    const pipe = sized ? pipeSize(given.size, given.schedule) : undefined;
    if (sized && pipe === undefined)
      return err({
        input: "schedule",
        message: "That size is not made in this schedule. Choose another, or give the bore.",
      });
    const bore = (pipe?.bore ?? given.bore) as Length;
    const opening = circleArea(given.opening);
    const volume = (pipeVolume(bore, given.length) + given.vessel) as Volume;
    const { head, left } = given;
    if (left > head) return err({ input: "left", message: "That is above the level it starts from." });
    const vented = given.vent === "open";
    const time = (drainTime(volume, head, opening, given.coefficient) * (vented ? 1 : UNVENTED)) as Duration;
    const wide = opening / circleArea(bore) > LARGE_OPENING;
    const down = left > 0 ? time * (1 - Math.sqrt(left / head)) : time;
    const limit = given.limit;
    const fails = limit !== undefined && down > limit;
    return ok({
      outputs: {
        volume,
        time,
        ...(left > 0 && { toLevel: down, drained: volume * (1 - left / head) }),
        // The head is a quarter's root: (1 − t/T)² = 1/2.
        halfTime: time * (1 - Math.SQRT1_2),
        firstFlow: time === 0 ? 0 : (2 * volume) / time,
      },
      ...(limit !== undefined && { verdict: fails ? ("fail" as const) : ("pass" as const) }),
      reasons:
        limit === undefined
          ? [`${say(down, MINUTES)} to run out. Without a limit there is no verdict.`]
          : [
              fails
                ? "It takes longer than allowed: a port is blocked or too small, and what stays in freezes."
                : "It runs out within the time allowed.",
            ],
      cautions: [
        ...(wide ? ["The opening is large beside the pipe: the true time is longer than this."] : []),
        ...(vented
          ? []
          : ["Without a vent the flow glugs; three times the vented time is taken. Open a vent."]),
        "Lead the water where it cannot ice a walkway or wash out the ground.",
      ],
    });
  },
  sources: [
    "Emptying under a falling head, t = 2V/(C·a·√(2gH)): Torricelli; any hydraulics text.",
    "Standard gravity 9.80665 m/s²: ISO 80000-3.",
  ],
  examples: [
    {
      source:
        "By hand: barrel 150 mm × 1.8 m = 31.8 L; 2 · 0.0318 / (0.62 · 5.027e-5 · √(2 · 9.80665 · 1.8)) = 343.5 s.",
      inputs: {
        bore: "150 mm",
        length: "1.8 m",
        head: "1.8 m",
        opening: "8 mm",
        limit: "10 min",
      },
      outputs: {
        volume: "31.81 ± 0.01 L",
        time: "343.5 ± 0.5 s",
      },
      verdict: "pass",
    },
    {
      source:
        "By hand, a tank of 1 m² × 1 m through a sharp 50 mm hole: 2 · 1 / (0.62 · 1.9635e-3 · √(19.6133)) = 371.0 s; the first flow is C·a·√(2gH) = 5.39 L/s.",
      inputs: {
        bore: "100 mm",
        length: "0 m",
        vessel: "1000 L",
        head: "1 m",
        opening: "50 mm",
      },
      outputs: {
        volume: "1000 ± 1e-6 L",
        time: "371 ± 0.5 s",
        firstFlow: "5.39 ± 0.01 L/s",
      },
    },
    {
      source:
        "By hand, the first example down to 0.45 m, a quarter of the head: 343.5 · (1 − √¼) = 171.7 s, and three quarters of 31.8 L.",
      inputs: { left: "0.45 m" },
      outputs: { toLevel: "171.7 ± 0.3 s", drained: "23.86 ± 0.01 L" },
    },
    {
      source: "ASME B36.10M: NPS 4 schedule 40 is 102.26 mm inside: 8.213 L in each metre.",
      inputs: { by: "size", size: "DN100", length: "100 m", limit: "10 min" },
      outputs: { volume: "821.3 ± 0.2 L" },
      verdict: "fail",
    },
    {
      source:
        "The first example with a 4 mm port takes four times as long: 22.9 min, over the 10 min allowed.",
      inputs: { opening: "4 mm", limit: "10 min" },
      outputs: { time: "1374 ± 2 s" },
      verdict: "fail",
    },
  ],
});

/** Level over time for the drawing: 41 points of (s, share of the first head). */
export function drainCurve(time: Duration): { readonly seconds: number; readonly share: number }[] {
  return Array.from({ length: 41 }, (_, index) => {
    const seconds = (time * index) / 40;
    return { seconds, share: shareOfHeadLeft(seconds as Duration, time) };
  });
}
