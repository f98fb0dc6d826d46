import type { ActRule } from "../act-rule";
import { letsOut } from "./said";

/** Other jobs open what they held: it reaches whatever stands open here. */
export const othersOpen: ActRule<"others-open"> = {
  effect: (world, { at }) => {
    for (const each of at) world.letGo(each);
    world.settle();
    for (const harm of letsOut(world)) world.hurt(harm);
  },
};
