import type { LineLink } from "../formats";
import type { World } from "./world";

/** Time goes by: what passes a closure shows behind it, where nothing lets it out. */
export function pass(world: World): void {
  const { truth } = world;
  if (truth.kind !== "passes") return;
  const link = world.site.line?.links.find((each) => each.id === truth.link);
  if (link !== undefined) seep(world, link);
}

/**
 * Work stands still for a night: every closure lets a little through, and nobody watched what was proven dead.
 *
 * @returns whether anything stands otherwise than before
 */
export function standOver(world: World): boolean {
  let changed = world.dead.size > 0;
  world.dead.clear();
  for (const link of world.site.line?.links ?? []) if (seep(world, link)) changed = true;
  return changed;
}

/** What passes a closure shows behind it, where nothing lets it out. */
function seep(world: World, link: LineLink): boolean {
  if (link.kind !== "valve" || world.net === undefined || world.lets(link)) return false;
  if (world.medium(link.from) === "electricity") return false;
  const [a, b] = [link.from, link.to];
  const [high, low] = world.bar(a) > world.bar(b) ? [a, b] : [b, a];
  const behind = world.bar(high);
  if (behind <= world.bar(low) || world.runsOut(low)) return false;
  world.creepsIn(low, behind);
  return true;
}
