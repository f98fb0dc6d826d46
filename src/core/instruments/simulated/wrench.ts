import type { Step } from "../../job";

/** How far a good click wrench scatters, of what it is set to: ISO 6789-1 allows 4 %. */
const SCATTER = 0.016;
/** A pull, s: up to the click, and the hand goes on to the next bolt. */
const PULL_S = 2.4;
const CYCLE_S = 8;

/** What a wrench in the hand shows through one pull after another. */
export interface Pulling {
  /** s since the pull began. */
  readonly t: number;
  readonly click_Nm: number;
}

/** What the wrench is set to on this card, N·m. @param pass from 1 */
export function setTo(step: Step | undefined, pass = 1): number | undefined {
  if (step?.kind === "tighten") return step.passes[pass - 1]?.torque_Nm;
  return step?.kind === "tighten-one" ? step.torque_Nm : undefined;
}

/** A pull begins; the click scatters. @param chance 0 to 1, twice, for a scatter that is mostly small */
export const pull = (set_Nm: number, chance: readonly [number, number]): Pulling => ({
  t: 0,
  click_Nm: set_Nm * (1 + SCATTER * (chance[0] + chance[1] - 1) * 2),
});

/** What it shows now, and whether it clicked just then. @param dt s */
export function pulled(
  before: Pulling,
  dt: number,
): { pulling: Pulling | undefined; shows_Nm: number; peak: boolean } {
  const t = before.t + dt;
  const pulling = t >= CYCLE_S ? undefined : { ...before, t };
  if (t >= PULL_S) return { pulling, shows_Nm: 0, peak: before.t < PULL_S };
  // Slack is taken up, then it rises evenly: bolts are springs.
  return { pulling, shows_Nm: before.click_Nm * Math.max(0, (t / PULL_S) * 1.15 - 0.15), peak: false };
}
