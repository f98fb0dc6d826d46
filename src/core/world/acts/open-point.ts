import type { ActRule } from "../act-rule";
import { letsOut } from "./said";

/** A drain, a vent or a bleed is opened: never onto what an energy stands on. */
export const openPoint: ActRule<"open-point"> = {
  effect: (world, { node }) => {
    world.points.add(node);
    world.settle();
    for (const harm of letsOut(world)) world.hurt(harm);
  },
};
