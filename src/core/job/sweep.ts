import type { Run } from "./run";
import type { StepOf } from "./step";

/** More than these are no sweep, but a walk. */
const MOST = 8;

/** Nothing of its own to look out for, and no way into a place that one does not enter on the way. */
const plain = ({ dangers, forbidden, by }: StepOf<"shut">): boolean =>
  dangers.length === 0 && forbidden.length === 0 && !(by.kind === "closure" && by.confined);

/**
 * Closures that follow the one in hand, with nothing between them: they are entered together, in their order. One with a
 * danger of its own ends the row, and so does one that is done already.
 */
export function sweptWith({ plan, states, current }: Run): readonly StepOf<"shut">[] {
  if (current?.kind !== "shut" || !plain(current)) return [];
  const from = plan.steps.findIndex(({ id }) => id === current.id) + 1;
  const swept: StepOf<"shut">[] = [];
  for (const step of plan.steps.slice(from, from + MOST)) {
    if (step.kind !== "shut" || !plain(step) || states.get(step.id)?.kind === "done") break;
    swept.push(step);
  }
  return swept;
}
