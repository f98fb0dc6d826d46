import { fed } from "../line";
import { shutHere } from "./locks";
import type { World } from "./world";

/** Who goes without by this work, from now on: also who was without before by another job. */
export function takesOut(world: World): string[] {
  const since = world.without().filter((node) => !world.dryBefore.has(node));
  const { net, theirs, site } = world;
  if (theirs.size === 0 || net === undefined) return since;
  const alone = fed(net, shutHere(world));
  const behind = site.served.filter((node) => !alone[net.nodeIndex.get(node) ?? -1]);
  return [...new Set([...since, ...behind])];
}

/** Who goes without now of those that this work is about: what it took out, and the valve's own place. */
export const stillOut = (world: World): string[] =>
  world
    .without()
    .filter(
      (node) => world.tookOut.has(node) || world.site.zone.includes(node) || !world.dryBefore.has(node),
    );

/** Whether a consumer is fire protection. */
export function protects({ site }: World, node: string): boolean {
  const found = site.line?.nodes.find((each) => each.id === node);
  return found?.hydrant === true || found?.protects === true;
}
