import type { ActRule } from "../act-rule";

/** What is noted has to stand as it was found. */
export const note: ActRule<"note"> = {
  harms: (world, { mark }) =>
    world.valve.off.size > 0 || world.valve.moved ? [{ kind: "asked-too-late", mark }] : [],
  effect: (world, { mark }) => void world.noted.add(mark),
};
