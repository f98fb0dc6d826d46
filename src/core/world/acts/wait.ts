import type { ActRule } from "../act-rule";
import { pass } from "../over-time";

/** Time goes by. A section that is to show what creeps in must not let it out again unseen. */
export const wait: ActRule<"wait"> = {
  harms: (world, act) => {
    if (act.for !== "the-section") return [];
    const open = world.wet.flatMap((node) => world.openPointsAt(node));
    // A bleed between two barriers stays open and is watched; what stands open on the section itself hides it.
    return [...new Set(open)].map((node) => ({ kind: "wait-shows-nothing" as const, node }));
  },
  effect: (world) => pass(world),
};
