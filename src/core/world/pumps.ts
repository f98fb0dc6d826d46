import type { LineLink } from "../formats";
import type { World } from "./world";

/** Pumps that lost their way since this was asked last, and run on. */
export function newlyIdle(world: World): string[] {
  const now = world.pumpsWithoutWay();
  const since = now.filter(({ id }) => !world.idle.has(id));
  world.idle.clear();
  for (const { id } of now) world.idle.add(id);
  return since.flatMap((pump) => (runs(world, pump) ? [pump.id] : []));
}

/** Whether a pump would run without a way, and would not have before. */
export function wouldRunAgainst(world: World, pump: string): boolean {
  newlyIdle(world);
  return world.idle.has(pump) && !world.idleBefore.has(pump);
}

/** Whether a pump runs: nobody stopped it, and its motor has power. */
function runs(world: World, pump: LineLink): boolean {
  if (pump.kind !== "pump" || world.stopped.has(pump.id)) return false;
  return pump.motor === undefined || world.isLive(pump.motor);
}
