import type { ActRule } from "../act-rule";

export const shutPoint: ActRule<"shut-point"> = {
  effect: (world, { node }) => {
    world.points.delete(node);
    world.settle();
  },
};
