import type { ActRule } from "../act-rule";
import { letsOut } from "./said";

/** A drain, a vent or a bleed is opened: never onto what an energy stands on, but where it runs for somebody who watches it. */
export const openPoint: ActRule<"open-point"> = {
  effect: (world, { node, watched = false }) => {
    world.points.add(node);
    world.settle();
    if (watched) return;
    for (const harm of letsOut(world)) world.hurt(harm);
  },
};
