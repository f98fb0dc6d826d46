import type { ActRule } from "../act-rule";
import { anothers } from "./open";
import { outUnsaid, runAgainst } from "./said";

/** A valve is shut: what it fed goes without, and has to have been told. */
export const shut: ActRule<"shut"> = {
  // What another job shut may be locked by this one, too; what it keeps open is not ours to shut.
  harms: (world, { link }) => (world.stands(link) ? anothers(world, link) : []),
  effect: (world, { link }) => {
    world.shut.set(link, true);
    world.reliedOn.add(link);
    world.settle();
    for (const harm of [...outUnsaid(world), ...runAgainst(world)]) world.hurt(harm);
  },
};
