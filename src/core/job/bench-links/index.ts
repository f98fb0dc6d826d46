import type { Run } from "../run";
import { sheetOnLine } from "../sheet-on-line";
import type { Step } from "../step";
import { fastener, onThread, torque } from "./fastening";
import { lateral } from "./lateral";
import { measuring } from "./measuring";
import { afterwards, beforehand, economics, shuttingAndOpening } from "./moments";
import { ofTheSheet } from "./of-the-sheet";
import { seals, strength } from "./parts";
import { proving } from "./proving";
import type { BenchLink, Links, Rule } from "./rule";

export type { BenchLink } from "./rule";

/** More than this many beside one step would be a list to read. */
const MOST = 4;

/** What the bench book has for the step in hand: this bolt's torque, this coil's band, this section's readings. */
export function benchLinks(run: Run, step: Step): Links {
  // What the line carries here is what the sums are of.
  const job = { ...run, inputs: { ...run.inputs, sheet: sheetOnLine(run.inputs) } };
  const found = new Map<string, BenchLink>();
  for (const link of RULES.flatMap((rule) => rule(job, step))) {
    const first = found.get(link.calculator);
    // The sheet says that it decides here; the rule, what the job knows of it.
    found.set(
      link.calculator,
      first === undefined ? link : { ...link, ...first, start: { ...link.start, ...first.start } },
    );
  }
  return [...found.values()].slice(0, MOST);
}

/** In the order in which they stand beside the step: what answers it first. */
const RULES: readonly Rule[] = [
  ofTheSheet,
  lateral,
  torque,
  measuring,
  proving,
  strength,
  seals,
  onThread,
  fastener,
  beforehand,
  shuttingAndOpening,
  economics,
  afterwards,
];
