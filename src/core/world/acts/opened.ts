import type { Harm } from "../harm";
import { unlocked } from "../locks";
import type { World } from "../world";

/** What opening a joint meets: pressure, what is live, or a zero that nobody proved. */
export function opened(world: World, part: string): Harm[] {
  const { agreed, site } = world;
  // Work with the medium in the pipe is agreed to, twice, and nothing was shut for it.
  if (site.sheet.isolation.workUnderPressure !== undefined) return agreed ? [] : [{ kind: "not-agreed" }];
  return [
    ...unlocked(world).map((at): Harm => ({ kind: "not-locked", at })),
    ...world.wet.flatMap((node): Harm[] => {
      if (world.underPressure(node))
        return [
          {
            kind: "opened-under-pressure",
            part,
            node,
            bar: world.bar(node),
            medium: world.medium(node),
          },
        ];
      const proven = [...world.zeros].some((read) => world.tells(read, node));
      return site.line === undefined || proven ? [] : [{ kind: "zero-not-proven", part, node }];
    }),
    ...touched(world, part),
  ];
}

/** Hands are on what is wired: live, or not proven dead. */
export const touched = (world: World, part: string): Harm[] =>
  world.electric.flatMap((node): Harm[] => [
    ...(world.isLive(node) ? [{ kind: "live-part-touched" as const, part, node }] : []),
    ...(world.dead.has(node) ? [] : [{ kind: "zero-not-proven" as const, part, node }]),
  ]);
