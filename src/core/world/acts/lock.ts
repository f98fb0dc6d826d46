import type { ActRule } from "../act-rule";

export const lock: ActRule<"lock"> = { effect: (world, { at }) => void world.locks.add(at) };
