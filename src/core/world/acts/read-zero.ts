import type { ActRule } from "../act-rule";

/** Zero is read at a place: it has to be one that tells of what is opened. A gate: where it shows more, work stops. */
export const readZero: ActRule<"read-zero"> = {
  harms: (world, { node }) => {
    if (world.site.line === undefined) return [];
    if (node === undefined) return [{ kind: "nothing-to-read", node: world.wet[0] ?? "" }];
    return world.wet.some((each) => world.tells(node, each)) ? [] : [{ kind: "reads-elsewhere", node }];
  },
  effect: (world, { node, bound_bar }) => {
    if (node === undefined) return;
    const low = world.truth.kind === "gauge-reads-low" ? world.truth.bar : 0;
    if (world.bar(node) - low > bound_bar) world.halted = true;
    else world.zeros.add(node);
  },
};
