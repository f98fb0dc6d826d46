import type { Check, InstrumentKind } from "../../formats";
import { copperFactor } from "../../physics";
import { fromSI, toSI, unit, unitNamed } from "../../quantity";
import { chanceOf } from "./hidden";
import type { Reads } from "./kinds";
import { conditionOf, pressureAt, type Scene, wallAt } from "./scene";

/** A coil that was on is warmer than the room by so much, K, and takes so long to warm and to cool, s. */
const COIL_K = 45;
const COIL_S = 900;
const ROOM_K = 288.15;
/** What appliances of a house burn together, m³/h; what a closure lets by. */
const BURNS = 1.1;
const SEEPS = 0.006;
/** Of the pressure in front of an open outlet, what a pitot gauge in its jet shows. */
const JET = 0.55;

type Measure = Extract<Check, { kind: "measure" }>;

/** The check in hand, where it is measured with what this instrument reads. */
function asked({ step }: Scene, { what, unit: own }: Reads): Measure | undefined {
  if (step?.kind !== "check" || step.check.kind !== "measure") return undefined;
  const { check } = step;
  return check.dimension === what && (what !== "number" || check.unit === own) ? check : undefined;
}

/** The hidden condition that a check looks at, in the unit of the instrument. */
function conditionIn(scene: Scene, check: Measure, reads: Reads): number {
  const figure = conditionOf(scene.tag, check);
  const [from, to] = [unitNamed(check.unit, check.dimension), unitNamed(reads.unit, reads.what)];
  return from === undefined || to === undefined ? figure : fromSI(toSI(figure, from), to);
}

/** Whether power stands at the coil or the motor of the valve. */
const isOn = ({ world }: Scene): boolean => world.electric.some((node) => world.isLive(node));

/**
 * What an instrument of this kind would show when it had no lag and did not tremble, in its own unit; nothing where it
 * shows no figure. Without a job it lies in the van.
 */
export function trueFigure(
  kind: InstrumentKind,
  reads: Reads,
  scene: Scene | undefined,
  now: number,
): number | undefined {
  if (scene === undefined) return reads.what === "temperature" ? fromSI(ROOM_K, unit(reads.unit)) : 0;
  const check = asked(scene, reads);
  switch (reads.what) {
    case "gauge pressure":
      if (kind === "pitot") return JET * pressureAt(scene, now);
      return check === undefined ? pressureAt(scene, now) : checkedPressure(scene, check, reads, now);
    case "temperature": {
      // A body that was shut off cools; what runs is as warm as its condition makes it.
      const cools = scene.node !== undefined && scene.world.medium(scene.node) === "steam";
      return check === undefined || (cools && check.phase !== "test")
        ? fromSI(wallAt(scene, now), unit(reads.unit))
        : conditionIn(scene, check, reads);
    }
    case "resistance":
      if (check === undefined) return undefined;
      // Ohms are not measured on what is live: the meter shows nothing that means anything.
      return isOn(scene)
        ? undefined
        : conditionIn(scene, check, reads) * (copperFactor(coilAt(scene, now)) / copperFactor(293.15));
    case "voltage":
    case "current":
      return isOn(scene) ? (check === undefined ? 0 : conditionIn(scene, check, reads)) : 0;
    case "volume flow":
      return burning(scene);
    case "volume":
      return 1200 + 800 * chanceOf(scene.tag, "meter") + (burning(scene) * (now - scene.since)) / 3_600_000;
    case "number":
      return check === undefined ? 0 : conditionIn(scene, check, reads);
    case "mass":
      return 0;
    default:
      return undefined;
  }
}

/** With a wait it falls slowly to what the condition holds it at. */
function checkedPressure(scene: Scene, check: Measure, reads: Reads, now: number): number {
  const { world, node, step } = scene;
  if (node !== undefined && !world.isLive(node) && check.phase === "test") return pressureAt(scene, now);
  const holds = conditionIn(scene, check, reads);
  const wait_s = step?.kind === "check" ? (step.wait_min ?? 0) * 60 : 0;
  if (wait_s === 0) return holds;
  const begins = Math.max(holds, conditionIn(scene, { ...check, low: (check.high ?? holds) * 0.95 }, reads));
  return holds + (begins - holds) * Math.exp(-(now - scene.since) / 1000 / (wait_s / 2));
}

/** A coil cools once it is off, and warms while it is on. */
function coilAt(scene: Scene, now: number): number {
  const left = Math.exp(-Math.max(0, now - scene.since) / 1000 / COIL_S);
  return ROOM_K + COIL_K * (isOn(scene) ? 1 - left : left);
}

/**
 * m³/h through the meter of the house: its appliances burn, but on a card that watches the dial for a while, when they are
 * all off and only what leaks moves it.
 */
function burning({ step, hidden, gas }: Scene): number {
  if (!gas) return 0;
  const watched = step?.kind === "check" && step.wait_min !== undefined;
  if (!watched) return BURNS;
  return hidden.kind === "passes" ? SEEPS : 0;
}
