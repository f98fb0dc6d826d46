import { fed } from "../line";
import type { World } from "./world";

/** Ways in that were shut for this work and could be locked, and are not. */
export function unlocked(world: World): string[] {
  const { line } = world.site;
  const lockable = (at: string) =>
    line?.links.some((link) => link.id === at && link.kind === "valve" && link.lockable) === true ||
    line?.nodes.some((node) => node.id === at && node.threeWay?.lockable === true) === true;
  const ours = (at: string) => !world.theirs.has(at) || world.reliedOn.has(at);
  const shut = [...world.shut].flatMap(([at, stands]) => (stands ? [at] : []));
  return [
    ...[...shut, ...world.stems.keys()].filter((at) => ours(at) && !world.locks.has(at) && lockable(at)),
    ...onlyTheirs(world),
  ];
}

/** What only another job's lock keeps from what is open here. */
function onlyTheirs(world: World): string[] {
  const { net, theirs } = world;
  if (theirs.size === 0 || net === undefined) return [];
  const reaches = (shut: ReadonlySet<string>) => {
    const reached = fed(net, shut);
    return world.site.zone.some((node) => reached[net.nodeIndex.get(node) ?? -1]);
  };
  // A vessel that was drawn down stands in its own zone: it would count as fed whatever is shut.
  const all = new Set([...world.shut].flatMap(([at, stands]) => (stands ? [at] : [])));
  const only = !reaches(all) && reaches(shutHere(world, (at) => world.locks.has(at)));
  return only ? [...theirs.keys()].filter((at) => !world.locks.has(at)) : [];
}

/** What stands shut by this work, and not by another job alone. */
export const shutHere = (
  { shut, theirs, locks }: World,
  counts: (at: string) => boolean = () => true,
): Set<string> =>
  new Set(
    [...shut].flatMap(([at, stands]) =>
      stands && counts(at) && (!theirs.has(at) || locks.has(at)) ? [at] : [],
    ),
  );
