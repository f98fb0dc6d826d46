import type { ActRule } from "../act-rule";

/** A test comes before anybody is told that it is back. */
export const test: ActRule<"test"> = {
  harms: (world, { check }) => (world.toldBack.size > 0 ? [{ kind: "told-back-before-test", check }] : []),
  effect: (world, { check }) => {
    world.tested = check;
    const found = world.site.sheet.checks.find((each) => each.id === check);
    if (found?.kind === "measure" && found.dimension === "temperature") world.temperatureProven = true;
  },
};
