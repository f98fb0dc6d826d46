import type { ActRule } from "../act-rule";

/** A vessel is drawn down until it pushes no more. */
export const pumpDown: ActRule<"pump-down"> = {
  // Liquid CO2 that is drawn below its triple point stays behind as ice.
  harms: (world, { node }) =>
    world.medium(node) === "co2" && !world.liquidOut.has(node) ? [{ kind: "ice", node, bar: 0 }] : [],
  effect: (world, { node }) => {
    world.emptied.add(node);
    world.points.add(node);
    world.settle();
    world.points.delete(node);
    world.settle();
  },
};
