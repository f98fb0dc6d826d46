import { ok } from "../../result";
import { calculator, type ValuesOf } from "../calculator";
import type { Verdict } from "../declaration";
import { choice, measured, named, PERCENT } from "../fields";

type Grade = "danger" | "soon" | "watched" | "not-read" | "none";

const GRADES: Readonly<
  Record<
    Grade,
    { readonly verdict: Verdict; readonly name: string; readonly now: string; readonly repair: string }
  >
> = {
  danger: {
    verdict: "stop",
    name: "1: danger now",
    now: "Everyone out, no switches, no flame, no phone inside. Keep people away, air it if you can do so safely, call the operator's emergency number and the fire service from outside.",
    repair: "at once, without pause",
  },
  soon: {
    verdict: "fail",
    name: "2: not now, but soon",
    now: "Tell the operator today. Read it again within the day and after frost or rain.",
    repair: "on the date the operator sets, within months",
  },
  watched: {
    verdict: "watch",
    name: "3: not dangerous as it is",
    now: "Tell the operator; mark the place.",
    repair: "watched, repaired in turn",
  },
  "not-read": {
    verdict: "watch",
    name: "not graded",
    now: "Read it with a detector zeroed in clean air: nothing seen, heard or smelt is no proof.",
    repair: "none yet",
  },
  none: {
    verdict: "watch",
    name: "none found",
    now: "Read again with a zeroed detector: no reading is no proof.",
    repair: "none yet",
  },
};

const INPUTS = {
  where: choice("Where", "The nearest place that reads or smells.", {
    inside: "in or under a building",
    wall: "at a building's outside wall",
    confined: "in a pit, duct or manhole",
    paved: "under paving towards a building",
    open: "in the open, away from buildings",
  }),
  reading: measured("Detector reads, % of the lower limit", PERCENT, {
    help: "Of the lower explosive limit; highest steady reading. Empty when there is no detector.",
    least: 0,
    most: 20,
    optional: true,
  }),
  sign: choice("Seen, heard or felt", "Any of it.", {
    none: "none of it",
    smell: "a smell of gas",
    blowing: "hissing, blowing dust or bubbles",
    ill: "someone feels ill, or it burns",
  }),
  spread: choice("It", "Read twice, some minutes apart.", {
    steady: "stays or falls",
    grows: "grows or wanders",
  }),
  seal: choice("Frost or paving", "Whether gas can get out upwards.", {
    open: "ground breathes",
    sealed: "sealed by frost or paving",
  }),
};

/** What is seen or smelt counts without a detector; a reading counts by where it was taken. */
function gradeOf(given: ValuesOf<typeof INPUTS>): Grade {
  const [where, sign] = [given.where, given.sign];
  const reading = given.reading;
  const gas = (reading ?? 0) > 0 || sign === "smell";
  const least = (share: number) => reading !== undefined && reading >= share;
  if (sign === "blowing" || sign === "ill" || given.spread === "grows") return "danger";
  if (gas && (where === "inside" || where === "wall")) return "danger";
  if (where === "confined" && least(0.8)) return "danger";
  const sealed = given.seal === "sealed";
  // A smell that nobody has measured is not called harmless.
  if (gas && reading === undefined) return "soon";
  if (where === "confined" && least(0.2)) return "soon";
  if (where === "paved" && (least(0.4) || (gas && sealed))) return "soon";
  if (sealed && least(0.2)) return "soon";
  return gas ? "watched" : reading === undefined ? "not-read" : "none";
}

/** Calculation 35: a provisional grade for a gas leak, and what happens now. */
export const leakGrade = calculator({
  id: "leak-grade",
  chapter: "Gas",
  title: "Leak grade",
  says: "A provisional grade for a gas leak from where it is and what the detector reads, and what happens now.",
  words: ["leak", "grade", "smell of gas", "detector", "LEL", "emergency", "evacuate", "odour", "bubbles"],
  inputs: INPUTS,
  outputs: { grade: named("Provisional grade"), now: named("Now"), repair: named("Repair") },
  compute: (given) => {
    const { verdict, name, now, repair } = GRADES[gradeOf(given)];
    return ok({
      outputs: { grade: name, now, repair },
      verdict,
      reasons: [now],
      cautions: [
        "Provisional: your operator's procedure and local code decide, always.",
        "Never look for a leak with a flame. A detector not zeroed in clean air lies.",
      ],
    });
  },
  sources: [
    "Order of the questions follows the public guidance on grading by the US federal rules for gas pipelines (49 CFR 192) and their usual industry guide: 80 % and 20 % of the lower limit in confined places, 40 % under paving.",
  ],
  examples: [
    {
      source: "Any reading in a building is grade 1.",
      inputs: { where: "inside", reading: "1 %" },
      outputs: { grade: "1: danger now" },
      verdict: "stop",
    },
    {
      source: "30 % of the lower limit in a manhole: at least 20, under 80: grade 2.",
      inputs: { where: "confined", reading: "30 %" },
      outputs: { grade: "2: not now, but soon" },
      verdict: "fail",
    },
    {
      source: "5 % in the open ground away from buildings: grade 3.",
      inputs: { where: "open", reading: "5 %" },
      outputs: { grade: "3: not dangerous as it is" },
      verdict: "watch",
    },
  ],
});
