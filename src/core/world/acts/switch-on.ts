import type { ActRule } from "../act-rule";
import { anothers } from "./open";

/** Power comes back: nobody may have a hand in what it reaches. */
export const switchOn: ActRule<"switch-on"> = {
  harms: (world, { link }) => anothers(world, link),
  effect: (world, { link }) => {
    world.shut.set(link, false);
    world.settle();
    if (world.isOpen)
      for (const node of world.electric)
        if (world.isLive(node)) world.hurt({ kind: "live-part-touched", part: "", node });
  },
};
