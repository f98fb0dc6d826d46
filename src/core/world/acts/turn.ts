import type { ActRule } from "../act-rule";
import { comesIn } from "./comes-in";
import { anothers } from "./open";
import { letsOut, outUnsaid, runAgainst } from "./said";

/** The stem of a three-way valve is turned. */
export const turn: ActRule<"turn"> = {
  harms: (world, { node, to }) => [
    // Looked at and locked as it stands, it may be another's as well.
    ...(world.stemAt(node) === to ? [] : anothers(world, node)),
    ...(world.cappedStem(node)
      ? [{ kind: "cannot-be-done" as const, act: "turn", why: { kind: "under-a-cap" as const, node } }]
      : []),
  ],
  effect: (world, { node, to }) => {
    const before = world.snapshot();
    world.stems.set(node, to);
    world.settle();
    for (const harm of [
      ...letsOut(world),
      ...comesIn(world, node, before),
      ...outUnsaid(world),
      ...runAgainst(world),
    ])
      world.hurt(harm);
  },
};
