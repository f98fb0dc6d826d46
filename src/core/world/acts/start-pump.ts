import type { ActRule } from "../act-rule";
import { wouldRunAgainst } from "../pumps";

export const startPump: ActRule<"start-pump"> = {
  harms: (world, { link }) => (wouldRunAgainst(world, link) ? [{ kind: "runs-against", link }] : []),
  effect: (world, { link }) => void world.stopped.delete(link),
};
