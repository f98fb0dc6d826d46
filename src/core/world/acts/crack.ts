import type { ActRule } from "../act-rule";
import { opened } from "./opened";

/** Some of the bolts are out and the joint gives: pressure that is left shows here while the rest still holds. */
export const crack: ActRule<"crack"> = {
  harms: (world, { part }) => opened(world, part),
  effect: (world, { part }) => {
    // What was caught behind the closing part shows, and the joint is tightened again.
    if (world.truth.kind === "caught") {
      world.halted = true;
      return;
    }
    const stoodOpen = world.isOpen;
    world.valve.cracked.add(part);
    world.settleWhereOpened(stoodOpen);
  },
};
