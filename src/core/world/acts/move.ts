import type { ActRule } from "../act-rule";

/** Spindle, handle or key: what moves it has to be on. */
export const move: ActRule<"move"> = {
  harms: (world) => {
    const { movedBy: mover, under = [] } = world.site.sheet.position ?? {};
    const over = under.find((part) => !world.valve.off.has(part));
    return [
      ...(world.tested === undefined ? [] : [{ kind: "moved-after-test" as const, check: world.tested }]),
      ...(mover !== undefined && world.valve.off.has(mover)
        ? [
            {
              kind: "cannot-be-done" as const,
              act: "move",
              why: { kind: "mover-is-off" as const, part: mover },
            },
          ]
        : []),
      ...(over === undefined
        ? []
        : [
            {
              kind: "cannot-be-done" as const,
              act: "move",
              why: { kind: "under-a-cover" as const, part: over },
            },
          ]),
    ];
  },
  effect: (world, { to }) => {
    world.valve.position = to;
    world.valve.moved = true;
  },
};
