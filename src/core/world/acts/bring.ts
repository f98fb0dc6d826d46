import type { ActRule } from "../act-rule";

/** What goes in new is fetched before anything is shut: where the store lacks it, nothing else begins. */
export const bring: ActRule<"bring"> = {
  effect: (world, { parts }) => {
    const { truth } = world;
    if (truth.kind === "store-lacks" && parts.includes(truth.part)) world.halted = true;
    else for (const part of parts) world.brought.add(part);
  },
};
