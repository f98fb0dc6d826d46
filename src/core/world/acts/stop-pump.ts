import type { ActRule } from "../act-rule";

export const stopPump: ActRule<"stop-pump"> = {
  effect: (world, { link }) => void world.stopped.add(link),
};
