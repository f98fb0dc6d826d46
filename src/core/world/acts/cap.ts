import type { ActRule } from "../act-rule";

export const cap: ActRule<"cap"> = { effect: (world, { node }) => void world.uncapped.delete(node) };
