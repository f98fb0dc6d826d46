import type { ActRule } from "../act-rule";

/** A name stands under it: nobody who relies on this valve goes without. */
export const sign: ActRule<"sign"> = {
  harms: (world) => world.stillOut().map((node) => ({ kind: "signed-while-out", node })),
  effect: () => {},
};
