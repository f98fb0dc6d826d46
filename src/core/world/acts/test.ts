import type { ActRule } from "../act-rule";

/** A test comes before anybody is told that it is back. */
export const test: ActRule<"test"> = {
  harms: (world, { check }) => (world.toldBack.size > 0 ? [{ kind: "told-back-before-test", check }] : []),
  effect: () => {},
};
