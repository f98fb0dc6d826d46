import type { ActRule } from "../act-rule";

/** A vacuum takes the air out of what hangs together with the place; a point that stands open lets it in again. */
export const evacuate: ActRule<"evacuate"> = {
  effect: (world, { node }) => world.drawAirOut(node),
};
