import type { ActRule } from "../act-rule";
import { outUnsaid, runAgainst } from "./said";

/** A valve is shut: what it fed goes without, and has to have been told. */
export const shut: ActRule<"shut"> = {
  effect: (world, { link }) => {
    world.shut.set(link, true);
    world.reliedOn.add(link);
    world.settle();
    for (const harm of [...outUnsaid(world), ...runAgainst(world)]) world.hurt(harm);
  },
};
