import type { ActRule } from "../act-rule";

/** Spindle, handle or key: what moves it has to be on. */
export const move: ActRule<"move"> = {
  harms: (world) => {
    const mover = world.site.sheet.position?.movedBy;
    return mover !== undefined && world.valve.off.has(mover)
      ? [{ kind: "cannot-be-done", act: "move", why: { kind: "mover-is-off", part: mover } }]
      : [];
  },
  effect: (world, { to }) => {
    world.valve.position = to;
    world.valve.moved = true;
  },
};
