import type { ActRule } from "../act-rule";

/** Waited until nothing more runs; what stands open has let it out already. */
export const drain: ActRule<"drain"> = { effect: (world) => world.settle() };
