import type { Run } from "./run";
import type { Step } from "./step";
import { holdsWhileWatched, openedBy } from "./watched";

/** Cards that are done again once work is taken up: nobody watched the section meanwhile. None when it stands open. */
export const provenAgain = ({ inputs, progress, plan, states }: Run): Step[] =>
  (inputs.rules ?? 1) < 4 || openedBy(inputs.sheet, progress.done.keys())
    ? []
    : plan.steps.filter(({ id }) => holdsWhileWatched(id) && states.get(id)?.kind === "done");
