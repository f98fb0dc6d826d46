import type { ActRule } from "../act-rule";

export const agree: ActRule<"agree"> = {
  effect: (world, { about }) => {
    if (about === "work-under-pressure") world.agreed = true;
  },
};
