import type { ActRule } from "../act-rule";

export const startPump: ActRule<"start-pump"> = {
  effect: (world, { link }) => void world.stopped.delete(link),
};
