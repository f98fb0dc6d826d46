import type { ActRule } from "../act-rule";

export const unblank: ActRule<"unblank"> = {
  effect: ({ valve }) => {
    valve.vent = "clear";
  },
};
