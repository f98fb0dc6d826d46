import type { ActRule } from "../act-rule";

/** A vessel is drawn down until it pushes no more. */
export const pumpDown: ActRule<"pump-down"> = {
  effect: (world, { node }) => {
    world.emptied.add(node);
    world.points.add(node);
    world.settle();
    world.points.delete(node);
    world.settle();
  },
};
