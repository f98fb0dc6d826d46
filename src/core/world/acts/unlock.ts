import type { ActRule } from "../act-rule";

export const unlock: ActRule<"unlock"> = { effect: (world, { at }) => void world.locks.delete(at) };
