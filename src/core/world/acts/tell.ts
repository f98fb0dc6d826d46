import type { ActRule } from "../act-rule";

export const tell: ActRule<"tell"> = {
  effect: (world, { nodes }) => {
    for (const node of nodes) world.told.add(node);
  },
};
