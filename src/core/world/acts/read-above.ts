import type { ActRule } from "../act-rule";

/** A gate: the gauge has to show more, or work stops here. */
export const readAbove: ActRule<"read-above"> = {
  effect: (world, { node, bound_bar }) => {
    if (world.reads(node) < bound_bar) world.halted = true;
  },
};
