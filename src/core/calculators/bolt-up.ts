import {
  CONDITIONS,
  type Condition,
  metricStressArea,
  NUT_FACTOR,
  PROOF_STRESS,
  tighteningTorque,
  unifiedStressArea,
  wrenchSetting,
} from "../fastening";
import type { Force, Length, Torque } from "../quantity";
import { err, ok } from "../result";
import type { Calculator } from "./declaration";

/** Above this share of proof a joint that is opened again stretches its bolts for good. */
const REUSABLE_SHARE = 0.75;

/** Calculation 1: torque for a bolted joint from thread, grade and what is on the thread. */
export const boltUp: Calculator = {
  id: "bolt-up",
  title: "Bolt-up",
  says: "Torque for each pass, pulling order, and what the wrench is set to with an extension.",
  words: ["torque", "bolts", "flange", "how tight", "crossing pattern", "crowfoot"],
  inputs: [
    {
      kind: "measured",
      name: "diameter",
      label: "Thread diameter",
      help: "Nominal diameter of the bolt.",
      dimension: "length",
      units: { metric: "mm", us: "in" },
      least: 0.003,
      most: 0.1,
      usual: 0.016,
    },
    {
      kind: "measured",
      name: "pitch",
      label: "Pitch",
      help: "Distance from thread to thread; for inch threads one divided by the threads per inch.",
      dimension: "length",
      units: { metric: "mm", us: "in" },
      least: 0.0004,
      most: 0.006,
      usual: 0.002,
    },
    {
      kind: "choice",
      name: "thread",
      label: "Thread",
      help: "Metric (ISO) or inch (UNC, UNF).",
      options: [
        { id: "metric", label: "metric" },
        { id: "inch", label: "inch" },
      ],
      usual: "metric",
    },
    {
      kind: "measured",
      name: "bolts",
      label: "Bolts",
      help: "How many bolts stand in the circle.",
      dimension: "number",
      units: { metric: "", us: "" },
      least: 3,
      most: 64,
      usual: 8,
    },
    {
      kind: "choice",
      name: "grade",
      label: "Strength grade",
      help: "Marked on the head.",
      options: Object.keys(PROOF_STRESS).map((id) => ({ id, label: id })),
      usual: "8.8",
    },
    {
      kind: "choice",
      name: "condition",
      label: "On the thread",
      help: "What is on the thread and under the head now.",
      options: CONDITIONS.map((id) => ({ id, label: id })),
      usual: "dry",
    },
    {
      kind: "measured",
      name: "share",
      label: "Preload, share of proof",
      help: "Usual for a joint that is opened again: 50 to 75 %.",
      dimension: "number",
      units: { metric: "%", us: "%" },
      least: 0.05,
      most: 1,
      usual: 0.5,
    },
    {
      kind: "measured",
      name: "limit",
      label: "Limit of the sheet",
      help: "The sheet's own maximum caps everything. Leave it high when there is none.",
      dimension: "torque",
      units: { metric: "N·m", us: "ft·lbf" },
      least: 0.1,
      most: 100_000,
      usual: 100_000,
    },
    {
      kind: "measured",
      name: "wrench",
      label: "Wrench length",
      help: "From the hand to the drive.",
      dimension: "length",
      units: { metric: "mm", us: "in" },
      least: 0.05,
      most: 3,
      usual: 0.5,
    },
    {
      kind: "measured",
      name: "extension",
      label: "Extension",
      help: "From the drive to the bolt, with a crowfoot; none: 0.",
      dimension: "length",
      units: { metric: "mm", us: "in" },
      least: 0,
      most: 1,
      usual: 0,
    },
    {
      kind: "measured",
      name: "angle",
      label: "Angle of the extension",
      help: "0° in line with the wrench, 90° across.",
      dimension: "angle",
      units: { metric: "°", us: "°" },
      least: 0,
      most: Math.PI,
      usual: 0,
    },
  ],
  outputs: [
    {
      name: "preload",
      label: "Preload of each bolt",
      dimension: "force",
      units: { metric: "kN", us: "lbf" },
    },
    {
      name: "stressArea",
      label: "Tensile stress area",
      dimension: "area",
      units: { metric: "mm2", us: "in2" },
    },
    { name: "torque", label: "Torque, full", dimension: "torque", units: { metric: "N·m", us: "ft·lbf" } },
    { name: "first", label: "First pass, 30 %", dimension: "torque", units: { metric: "N·m", us: "ft·lbf" } },
    {
      name: "second",
      label: "Second pass, 60 %",
      dimension: "torque",
      units: { metric: "N·m", us: "ft·lbf" },
    },
    {
      name: "least",
      label: "Torque, low end of K",
      dimension: "torque",
      units: { metric: "N·m", us: "ft·lbf" },
    },
    {
      name: "most",
      label: "Torque, high end of K",
      dimension: "torque",
      units: { metric: "N·m", us: "ft·lbf" },
    },
    { name: "setting", label: "Wrench setting", dimension: "torque", units: { metric: "N·m", us: "ft·lbf" } },
  ],
  compute: (given) => {
    const diameter = given.si("diameter") as Length;
    const pitch = given.si("pitch") as Length;
    if (pitch > 0.3 * diameter)
      return err({
        input: "pitch",
        message: "No thread is that coarse for its diameter. For inch threads give 1/n in, e.g. 1/13 in.",
      });
    if (!Number.isInteger(given.si("bolts")))
      return err({ input: "bolts", message: "Give a whole number of bolts." });
    const condition = given.choice("condition") as Condition;
    const proof = PROOF_STRESS[given.choice("grade")]!;
    const area =
      given.choice("thread") === "inch"
        ? unifiedStressArea(diameter, pitch)
        : metricStressArea(diameter, pitch);
    const preload = (proof * area * given.si("share")) as Force;
    const { k, spread } = NUT_FACTOR[condition];
    const wanted = tighteningTorque(k, preload, diameter);
    const torque = Math.min(wanted, given.si("limit")) as Torque;
    const capped = torque < wanted;
    const high = given.si("share") > REUSABLE_SHARE;
    const setting = wrenchSetting(
      torque,
      given.si("wrench") as Length,
      given.si("extension") as Length,
      given.si("angle"),
    );
    if (!(setting > 0) || !Number.isFinite(setting))
      return err({
        input: "angle",
        message:
          "With this extension turned back the wrench pulls the wrong way. Use a smaller angle or a longer wrench.",
      });
    return ok({
      outputs: {
        stressArea: area,
        preload: capped ? torque / (k * diameter) : preload,
        torque,
        first: 0.3 * torque,
        second: 0.6 * torque,
        least: torque * (1 - spread),
        most: torque * (1 + spread),
        setting,
      },
      verdict: high && !capped ? "watch" : "pass",
      reasons: [
        capped
          ? "The sheet's limit is lower than the bolt would bear: the limit holds."
          : high
            ? "Above 75 % of proof: good for a joint that is closed once, too much for one that is opened again."
            : "Within what a bolt bears again and again.",
        `K = ${k} ± ${Math.round(spread * 100)} % (${condition}).`,
      ],
      cautions: [
        "Torque from a nut factor scatters by about a quarter. Where a leak can hurt someone, measure stretch or use the maker's procedure.",
      ],
    });
  },
  sources: [
    "T = K·D·F and passes 30/60/100 % with a last circular pass: ASME PCC-1, short-form torque and legacy pattern.",
    "Tensile stress area π/4·(d − 0.9382·P)²: ISO 898-1; inch π/4·(D − 0.9743/n)²: ASME B1.1.",
    "Proof stress: ISO 898-1, SAE J429; yield: ASTM A193.",
    "Nut factors: Shigley's Mechanical Engineering Design, torque factors for bolted joints.",
  ],
  examples: [
    {
      source:
        "By hand: M16 × 2, 8.8, dry, 75 % of proof. ISO 898-1 gives the area as 157 mm²; 580 · 156.7 · 0.75 = 68.2 kN; 0.2 · 68.2 kN · 16 mm = 218 N·m.",
      inputs: {
        diameter: { value: 16, unit: "mm" },
        pitch: { value: 2, unit: "mm" },
        grade: { value: "8.8" },
        condition: { value: "dry" },
        share: { value: 75, unit: "%" },
      },
      outputs: {
        stressArea: { value: 157, unit: "mm2", within: 0.5 },
        preload: { value: 68.2, unit: "kN", within: 0.1 },
        torque: { value: 218, unit: "N·m", within: 1 },
      },
      verdict: "pass",
    },
    {
      source:
        "By hand: M10 × 1.5, 8.8, anti-seize. Area 58.0 mm² (ISO 898-1); 580 · 58.0 · 0.5 = 16.8 kN; 0.12 · 16.8 kN · 10 mm = 20.2 N·m; with 100 mm in line on 400 mm: 20.2 · 4/5 = 16.1 N·m.",
      inputs: {
        diameter: { value: 10, unit: "mm" },
        pitch: { value: 1.5, unit: "mm" },
        condition: { value: "anti-seize" },
        wrench: { value: 400, unit: "mm" },
        extension: { value: 100, unit: "mm" },
      },
      outputs: {
        stressArea: { value: 58, unit: "mm2", within: 0.2 },
        torque: { value: 20.2, unit: "N·m", within: 0.2 },
        setting: { value: 16.1, unit: "N·m", within: 0.2 },
      },
    },
    {
      source:
        "ASME B1.1: 1/2-13 UNC has 0.1419 in². Grade 5 (85 ksi), 75 %: 0.1419 · 85 · 0.75 = 9046 lbf; dry 0.2 · 9046 · 0.5/12 = 75.4 ft·lbf.",
      inputs: {
        thread: { value: "inch" },
        diameter: { value: 0.5, unit: "in" },
        pitch: { value: 1 / 13, unit: "in" },
        grade: { value: "SAE 5" },
        share: { value: 75, unit: "%" },
      },
      outputs: {
        stressArea: { value: 0.1419, unit: "in2", within: 0.0001 },
        torque: { value: 75.4, unit: "ft·lbf", within: 0.3 },
      },
    },
    {
      source: "The sheet's limit caps: the first example with a limit of 130 N·m.",
      inputs: {
        diameter: { value: 16, unit: "mm" },
        pitch: { value: 2, unit: "mm" },
        share: { value: 75, unit: "%" },
        limit: { value: 130, unit: "N·m" },
      },
      outputs: {
        torque: { value: 130, unit: "N·m", within: 1e-6 },
        first: { value: 39, unit: "N·m", within: 1e-6 },
        second: { value: 78, unit: "N·m", within: 1e-6 },
      },
    },
  ],
};
