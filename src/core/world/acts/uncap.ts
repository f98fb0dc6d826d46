import type { ActRule } from "../act-rule";

export const uncap: ActRule<"uncap"> = { effect: (world, { node }) => void world.uncapped.add(node) };
