import { proofPlace, type Run, type Step, worldNow } from "../../job";
import { MEDIA_RULES } from "../../line";
import { saturationTemperature } from "../../physics";
import { pascalsAbsolute } from "../../quantity";
import { pass, type World } from "../../world";
import { chanceOf, type Hidden, type Hides, hiddenIn } from "./hidden";

/** What a simulated instrument looks at: the valve and its line as the cards have left them, and the card in hand. */
export interface Scene {
  readonly tag: string;
  readonly step: Step | undefined;
  readonly world: World;
  /** Where a gauge is fitted: the place where zero is read; else the valve itself. */
  readonly node: string | undefined;
  readonly hidden: Hidden;
  /** ms: since when things stand as they do. */
  readonly since: number;
  /** Fuel gas flows through it. */
  readonly gas: boolean;
  /** Zero is read with the way out open: what comes in shows only once it is shut. */
  readonly letOut: boolean;
}

/** The scene of a job as it stands now. */
export function sceneOf(job: Run, hides: Hides): Scene {
  const hidden = hiddenIn(job, hides);
  const { current, progress, inputs } = job;
  const { node, stoodSince } = proofPlace(job);
  const newest = progress.effective.at(-1)?.at ?? inputs.openedAt;
  const world = worldNow(job, hidden.kind === "passes" ? hidden.truth : { kind: "none" });
  return {
    tag: inputs.valve.tag,
    step: current,
    world,
    node: node ?? world.wet[0],
    hidden,
    gas: inputs.sheet.isolation.medium === "gas",
    letOut: (current?.kind === "gauge" || current?.kind === "hold") && stoodSince === undefined,
    since: stoodSince ?? Date.parse(newest),
  };
}

/** Pa in a bar. */
const BAR = 1e5;
/** Air in a plant room, K. */
const ROOM_K = 288.15;
/** A section of a refrigerant, cold when it is shut, and how far it warms in a long time, K. */
const COLD_K = 268.15;
const WARMS_K = 8;

// How fast things go, s: a closure that passes a little; liquid that boils; a cold pipe that warms; a body that cools.
const SEEPS_S = 6 * 3600;
const BOILS_S = 240;
const WARMS_S = 2400;
const COOLS_S = 900;
/** What boiling residue comes to, bar. */
const RESIDUE_BAR = 0.35;

/** How far something has come that goes fast at first and ever slower, 0 to 1. */
const come = (seconds: number, pace_s: number): number => 1 - Math.exp(-Math.max(0, seconds) / pace_s);

/** Whether what stands here is a refrigerant. */
const isRefrigerant = (world: World, node: string | undefined): boolean =>
  node !== undefined && MEDIA_RULES[world.medium(node)].refrigerant;

/** Pressure at the gauge, bar g. @param now ms */
export function pressureAt(scene: Scene, now: number): number {
  const { world, hidden, since, node, letOut } = scene;
  if (node === undefined) return 0;
  const seconds = (now - since) / 1000;
  const stands = world.bar(node);
  if (letOut || world.isLive(node) || world.runsOut(node)) return stands;
  if (hidden.kind === "boils") return stands + RESIDUE_BAR * come(seconds, BOILS_S);
  // A cold section that warms shows more though nothing comes in: p₂ = p₁ · T₂/T₁, absolute.
  const warmed = (stands + 1.01325) * (wallAt(scene, now) / wallAt(scene, since) - 1);
  if (hidden.kind === "nothing") return stands + warmed;
  const later = world.copy();
  pass(later);
  return stands + (later.bar(node) - stands) * come(seconds, SEEPS_S) + warmed;
}

/** Temperature of the pipe's wall, K. @param now ms */
export function wallAt({ world, since, node }: Scene, now: number): number {
  const seconds = (now - since) / 1000;
  if (isRefrigerant(world, node)) return COLD_K + WARMS_K * come(seconds, WARMS_S);
  if (node === undefined || world.medium(node) !== "steam") return ROOM_K;
  if (world.isLive(node)) return boilsAt(world.bar(node));
  return boilsAt(1) - (boilsAt(1) - ROOM_K) * come(seconds, COOLS_S);
}

const boilsAt = (bar: number): number =>
  saturationTemperature(pascalsAbsolute((bar + 1.01325) * BAR)) ?? ROOM_K;

/** A figure that the hidden condition of a part gives within or beside what the sheet allows, in its unit. */
export function conditionOf(
  tag: string,
  check: { readonly id: string; readonly low?: number; readonly high?: number },
): number {
  const { low = (check.high ?? 1) * 0.4, high = low * 1.6 + (check.low === undefined ? 0 : 0.1) } = check;
  const chance = chanceOf(tag, check.id, "sound");
  const place = chanceOf(tag, check.id, "where");
  // Most are sound; of ten one lies under and one over what is allowed.
  if (chance < 0.08) return low * (0.5 + 0.4 * place);
  if (chance > 0.92) return high * (1.1 + 0.4 * place);
  return low + (high - low) * (0.2 + 0.6 * place);
}
