import type { ActRule } from "../act-rule";
import { letsOut } from "./said";

/** A valve is opened: nothing behind it may stand open to the air. */
export const open: ActRule<"open"> = {
  harms: (world, { link }) => anothers(world, link),
  effect: (world, { link, airOut }) => {
    world.shut.set(link, false);
    world.settle();
    for (const harm of letsOut(world, airOut)) world.hurt(harm);
  },
};

/** What another job holds is not ours to move. */
export function anothers(world: Parameters<NonNullable<typeof open.harms>>[0], at: string) {
  const job = world.site.others.get(at);
  return job === undefined ? [] : [{ kind: "anothers-lock" as const, at, job }];
}
