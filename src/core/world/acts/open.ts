import type { ActRule } from "../act-rule";
import { comesIn } from "./comes-in";
import { letsOut } from "./said";

/** A valve is opened: nothing behind it may stand open to the air, and what it meets must be ready for it. */
export const open: ActRule<"open"> = {
  harms: (world, { link }) => anothers(world, link),
  effect: (world, { link, airOut }) => {
    const before = world.snapshot();
    world.shut.set(link, false);
    world.settle();
    for (const harm of [...letsOut(world, airOut), ...comesIn(world, link, before)]) world.hurt(harm);
  },
};

/** What another job holds is not ours to move. */
export function anothers(world: Parameters<NonNullable<typeof open.harms>>[0], at: string) {
  const job = world.heldBy(at);
  return job === undefined ? [] : [{ kind: "anothers-lock" as const, at, job }];
}
