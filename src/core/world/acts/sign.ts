import type { ActRule } from "../act-rule";
import { stillOut, takesOut } from "../service";

/** A name stands under it: nobody who relies on this valve goes without, but those it names, whom another job keeps so. */
export const sign: ActRule<"sign"> = {
  harms: (world, { named = [] }) => {
    const ours = new Set([...takesOut(world), ...world.site.zone]);
    return stillOut(world)
      .filter((node) => !named.includes(node) || ours.has(node))
      .map((node) => ({ kind: "signed-while-out", node }));
  },
  effect: (world, { named = [] }) => {
    for (const node of named) world.leftToOthers.add(node);
  },
};
