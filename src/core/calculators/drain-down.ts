import { circleArea, drainTime, pipeVolume, shareOfHeadLeft } from "../physics";
import type { Duration, Length, Volume } from "../quantity";
import { ok } from "../result";
import type { Calculator } from "./declaration";

/** Torricelli holds while the opening is small beside the section; past this the level drops faster than the jet allows. */
const LARGE_OPENING = 0.2;
/** An unvented section draws air through its own drain: the flow glugs. Public plumbing practice: about three times as long. */
const UNVENTED = 3;

/** Calculation 10: how much is in a run of pipe and a vessel, and how long it takes to run out. */
export const drainDown: Calculator = {
  id: "drain-down",
  title: "Drain-down",
  says: "Volume of a pipe run and a vessel, and how long it takes to run out through an opening.",
  words: ["drain", "empty", "how long", "barrel", "volume of a pipe", "frost"],
  inputs: [
    {
      kind: "measured",
      name: "bore",
      label: "Bore of the pipe",
      help: "Inside diameter of the pipe or barrel.",
      dimension: "length",
      units: { metric: "mm", us: "in" },
      least: 0.004,
      most: 3,
      usual: 0.15,
    },
    {
      kind: "measured",
      name: "length",
      label: "Length of the run",
      help: "All of the pipe that drains here.",
      dimension: "length",
      units: { metric: "m", us: "ft" },
      least: 0,
      most: 50_000,
      usual: 1.8,
    },
    {
      kind: "measured",
      name: "vessel",
      label: "Vessel",
      help: "Content of vessels in the section; none: 0.",
      dimension: "volume",
      units: { metric: "L", us: "US gal" },
      least: 0,
      most: 10_000,
      usual: 0,
    },
    {
      kind: "measured",
      name: "head",
      label: "Head above the drain",
      help: "From the drain up to the water level at the start.",
      dimension: "length",
      units: { metric: "m", us: "ft" },
      least: 0.01,
      most: 500,
      usual: 1.8,
    },
    {
      kind: "measured",
      name: "opening",
      label: "Opening",
      help: "Bore of the drain. Two ports: give the bore of one with the same area as both.",
      dimension: "length",
      units: { metric: "mm", us: "in" },
      least: 0.001,
      most: 0.5,
      usual: 0.008,
    },
    {
      kind: "measured",
      name: "coefficient",
      label: "Discharge coefficient",
      help: "Sharp edge 0.62; short pipe stub 0.8; well rounded 0.97.",
      dimension: "number",
      units: { metric: "", us: "" },
      least: 0.3,
      most: 1,
      usual: 0.62,
    },
    {
      kind: "choice",
      name: "vent",
      label: "Vent",
      help: "Whether air can come in above.",
      options: [
        { id: "open", label: "open above" },
        { id: "none", label: "no vent" },
      ],
      usual: "open",
    },
    {
      kind: "measured",
      name: "limit",
      label: "Longest allowed",
      help: "For a dry barrel: the sheet's limit for the drain-down.",
      dimension: "time",
      units: { metric: "min", us: "min" },
      least: 1,
      most: 864_000,
      usual: 600,
    },
  ],
  outputs: [
    { name: "volume", label: "Volume", dimension: "volume", units: { metric: "L", us: "US gal" } },
    { name: "time", label: "Time to empty", dimension: "time", units: { metric: "min", us: "min" } },
    {
      name: "halfTime",
      label: "Time to half the head",
      dimension: "time",
      units: { metric: "min", us: "min" },
    },
    {
      name: "firstFlow",
      label: "Flow at the start",
      dimension: "volume flow",
      units: { metric: "L/min", us: "US gpm" },
    },
  ],
  compute: (given) => {
    const bore = given.si("bore") as Length;
    const opening = circleArea(given.si("opening") as Length);
    const volume = (pipeVolume(bore, given.si("length") as Length) + given.si("vessel")) as Volume;
    const head = given.si("head") as Length;
    const vented = given.choice("vent") === "open";
    const time = (drainTime(volume, head, opening, given.si("coefficient")) *
      (vented ? 1 : UNVENTED)) as Duration;
    const wide = opening / circleArea(bore) > LARGE_OPENING;
    const limit = given.si("limit");
    const fails = time > limit;
    return ok({
      outputs: {
        volume,
        time,
        // The head is a quarter's root: (1 − t/T)² = 1/2.
        halfTime: time * (1 - Math.SQRT1_2),
        firstFlow: time === 0 ? 0 : (2 * volume) / time,
      },
      verdict: fails ? "fail" : "pass",
      reasons: [
        fails
          ? "It takes longer than allowed: a port is blocked or too small, and what stays in freezes."
          : "It empties within the time allowed.",
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
        bore: { value: 150, unit: "mm" },
        length: { value: 1.8, unit: "m" },
        head: { value: 1.8, unit: "m" },
        opening: { value: 8, unit: "mm" },
      },
      outputs: {
        volume: { value: 31.81, unit: "L", within: 0.01 },
        time: { value: 343.5, unit: "s", within: 0.5 },
      },
      verdict: "pass",
    },
    {
      source:
        "By hand, a tank of 1 m² × 1 m through a sharp 50 mm hole: 2 · 1 / (0.62 · 1.9635e-3 · √(19.6133)) = 371.0 s; the first flow is C·a·√(2gH) = 5.39 L/s.",
      inputs: {
        bore: { value: 100, unit: "mm" },
        length: { value: 0, unit: "m" },
        vessel: { value: 1000, unit: "L" },
        head: { value: 1, unit: "m" },
        opening: { value: 50, unit: "mm" },
      },
      outputs: {
        volume: { value: 1000, unit: "L", within: 1e-6 },
        time: { value: 371, unit: "s", within: 0.5 },
        firstFlow: { value: 5.39, unit: "L/s", within: 0.01 },
      },
    },
    {
      source:
        "The first example with a 4 mm port takes four times as long: 22.9 min, over the 10 min allowed.",
      inputs: { opening: { value: 4, unit: "mm" } },
      outputs: { time: { value: 1374, unit: "s", within: 2 } },
      verdict: "fail",
    },
  ],
};

/** Level over time for the drawing: 41 points of (s, share of the first head). */
export function drainCurve(time: Duration): { readonly seconds: number; readonly share: number }[] {
  return Array.from({ length: 41 }, (_, index) => {
    const seconds = (time * index) / 40;
    return { seconds, share: shareOfHeadLeft(seconds as Duration, time) };
  });
}
