import type { ActRule } from "../act-rule";

/** Whoever hears that it is back relies on it from then on. */
export const tellBack: ActRule<"tell-back"> = {
  harms: (world, { nodes }) => {
    const out = new Set(world.without());
    return nodes
      .filter((node) => out.has(node) || (world.isOpen && world.site.zone.includes(node)))
      .map((node) => ({ kind: "told-back-too-soon" as const, node }));
  },
  effect: (world, { nodes }) => {
    for (const node of nodes) world.toldBack.add(node);
  },
};
