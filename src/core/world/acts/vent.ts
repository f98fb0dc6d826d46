import type { Harm } from "../harm";
import type { World } from "../world";

const opens = ({ site }: World, part: string): boolean =>
  site.header !== undefined && site.assembly.parts.get(part)?.opensVent === true;

/** Whoever works on while a header stands open at the valve stands in what others blow into it. */
export function atOpenVent(world: World, part: string): Harm[] {
  const { header } = world.site;
  const { vent } = world.valve;
  const stands = vent === "open" || (vent === "clear" && !opens(world, part));
  return header !== undefined && stands ? [{ kind: "header-open", part, header }] : [];
}

/** It goes on over its own blank: nothing it lets out gets away. */
export const overBlank = (world: World, part: string): Harm[] =>
  world.valve.vent === "blanked" && opens(world, part) && world.site.header !== undefined
    ? [{ kind: "vent-blanked", part, header: world.site.header }]
    : [];

export function ventOpens(world: World, part: string): void {
  if (opens(world, part)) world.valve.vent = "open";
}

export function ventCloses(world: World, part: string): void {
  if (opens(world, part) && world.valve.vent !== "blanked") world.valve.vent = "closed";
}
