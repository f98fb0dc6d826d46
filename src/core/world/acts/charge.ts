import type { ActRule } from "../act-rule";

/** Vapour from a hose fills what hangs together with the place: nothing of it may stand open. */
export const charge: ActRule<"charge"> = {
  harms: (world, { node }) =>
    world
      .reachedFrom(node)
      .filter((each) => world.points.has(each))
      .map((each) => ({ kind: "let-out" as const, node: each, medium: world.medium(each) })),
  effect: (world, { node, to_bar }) => world.fill(node, to_bar),
};
