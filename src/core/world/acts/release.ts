import type { ActRule } from "../act-rule";

/** What is left is let out at the valve, and the way out is shut again. */
export const release: ActRule<"release"> = {
  harms: (world, { withPower = false }) => {
    const dark = withPower ? world.electric.find((node) => !world.isLive(node)) : undefined;
    return dark === undefined
      ? []
      : [{ kind: "cannot-be-done", act: "release", why: { kind: "no-power", node: dark } }];
  },
  effect: (world) => {
    for (const node of world.wet) world.points.add(node);
    world.settle();
    for (const node of world.wet)
      if (world.isLive(node)) world.hurt({ kind: "let-out", node, medium: world.medium(node) });
    for (const node of world.wet) world.points.delete(node);
    world.settle();
  },
};
