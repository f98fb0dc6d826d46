import type { ActRule } from "../act-rule";

export const startPump: ActRule<"start-pump"> = {
  harms: (world, { link }) => (world.wouldRunAgainst(link) ? [{ kind: "runs-against", link }] : []),
  effect: (world, { link }) => void world.stopped.delete(link),
};
