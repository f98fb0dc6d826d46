import type { ActRule } from "../act-rule";

export const proveDead: ActRule<"prove-dead"> = {
  effect: (world, { node }) => {
    if (world.isLive(node)) world.halted = true;
    else world.dead.add(node);
  },
};
