import type { ActRule } from "../act-rule";
import type { Harm } from "../harm";
import type { Snapshot } from "../line-pressures";
import type { World } from "../world";
import { comesIn } from "./comes-in";
import { letsOut } from "./said";

/** A valve is opened: nothing behind it may stand open to the air, and what it meets must be ready for it. */
export const open: ActRule<"open"> = {
  harms: (world, { link }) => anothers(world, link),
  effect: (world, { link, airOut, warm_min }) => {
    const before = world.snapshot();
    world.shut.set(link, false);
    world.settle();
    for (const harm of [
      ...letsOut(world, airOut),
      ...comesIn(world, link, before),
      ...hammers(world, before, warm_min),
    ])
      world.hurt(harm);
  },
};

/** What another job holds is not ours to move. */
export function anothers(world: Parameters<NonNullable<typeof open.harms>>[0], at: string) {
  const job = world.heldBy(at);
  return job === undefined ? [] : [{ kind: "anothers-lock" as const, at, job }];
}

/** Steam condenses where it is cold; what lies there is thrown along the pipe, unless it is warmed and drained first. */
function hammers(world: World, before: Snapshot, warm_min: number | undefined): Harm[] {
  const reached = world.reachedSince(before).filter(({ node }) => world.cold.has(node));
  for (const { node } of reached) world.cold.delete(node);
  const first = reached.find(({ node }) => world.medium(node) === "steam");
  return first === undefined || warm_min !== undefined ? [] : [{ kind: "hammer", node: first.node }];
}
