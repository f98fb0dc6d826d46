import type { Harm } from "../harm";
import { newlyIdle } from "../pumps";
import { protects, takesOut } from "../service";
import type { World } from "../world";

/** Whoever goes without and was not told; each is said once. */
export function outUnsaid(world: World): Harm[] {
  return takesOut(world).flatMap((node): Harm[] => {
    world.tookOut.add(node);
    if (world.told.has(node)) return [];
    world.told.add(node);
    return [{ kind: protects(world, node) ? "fire-protection-out-unsaid" : "service-out-unsaid", node }];
  });
}

/** Pumps that run on without a way for what they move; each is said once. */
export const runAgainst = (world: World): Harm[] =>
  newlyIdle(world).map((link) => ({ kind: "runs-against", link }));

/** Places that stand open to the air while an energy stands on them. @param airOut the vent that fills with it */
export function letsOut(world: World, airOut?: string): Harm[] {
  const open = [...world.points, ...(world.isOpen ? world.wet : [])].filter((node) => node !== airOut);
  return open.flatMap((node): Harm[] =>
    world.isLive(node) ? [{ kind: "let-out", node, medium: world.medium(node) }] : [],
  );
}
