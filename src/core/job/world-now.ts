import { type Act, perform, type Truth, World } from "../world";
import type { Run } from "./run";
import { siteOfPlan } from "./site-of-plan";
import { actsOf } from "./step-rules";

/** Acts by which something is read or waited for: what stands before them on a card is done when it is looked at. */
const READS: ReadonlySet<Act["do"]> = new Set([
  "read-zero",
  "read-above",
  "prove-dead",
  "look",
  "test",
  "wait",
  "tighten",
  "sign",
] satisfies Act["do"][]);

/** What creeps in while a section stands is told by the clock, to whoever asks. */
const letsTimePass = (act: Act): boolean => act.do === "wait" && act.for === "the-section";

/**
 * The line and the valve as the cards have left them: every card that is done, and of the one in hand what comes before
 * it is read. A card that was skipped, or put back by an undo, has done nothing.
 */
export function worldNow(job: Run, truth: Truth): World {
  const { plan, inputs, states, current, progress } = job;
  const world = new World(siteOfPlan(plan, inputs, progress.held), truth);
  for (const step of plan.steps) {
    const acts = actsOf(step);
    if (states.get(step.id)?.kind === "done" && !progress.overridden.has(step.id))
      for (const act of acts) if (!letsTimePass(act)) perform(world, act);
    if (step.id !== current?.id) continue;
    const first = acts.findIndex((act) => READS.has(act.do));
    if (first > 0) for (const act of acts.slice(0, first)) perform(world, act);
    break;
  }
  return world;
}
