import type { ActRule } from "../act-rule";
import { anothers } from "./open";
import { letsOut, outUnsaid } from "./said";

/** The stem of a three-way valve is turned. */
export const turn: ActRule<"turn"> = {
  harms: (world, { node }) => anothers(world, node),
  effect: (world, { node, to }) => {
    world.stems.set(node, to);
    world.settle();
    for (const harm of [...letsOut(world), ...outUnsaid(world)]) world.hurt(harm);
  },
};
