import type { ActRule } from "../act-rule";

export const switchOff: ActRule<"switch-off"> = {
  effect: (world, { link }) => {
    world.shut.set(link, true);
    world.settle();
  },
};
