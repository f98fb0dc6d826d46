import type { Place, Valve } from "../formats";
import type { Spot } from "./metres";

type Places = ReadonlyMap<string, Place>;

/**
 * The place that is described, for what a register calls it: "Lido, team room" is a room of "Lido" where nobody has
 * described the room by itself.
 */
export function placeOf(name: string, places: Places): Place | undefined {
  const itself = places.get(name);
  if (itself !== undefined) return itself;
  const comma = name.lastIndexOf(",");
  return comma === -1 ? undefined : placeOf(name.slice(0, comma).trim(), places);
}

const ownSpot = ({ lat, lon }: { readonly lat?: number; readonly lon?: number }): Spot | undefined =>
  lat === undefined || lon === undefined ? undefined : { lat, lon };

/** Where a valve or a place stands: by its own position, else by that of the place it is in. */
export function spotOf(what: Pick<Valve, "place" | "lat" | "lon"> | Place, places: Places): Spot | undefined {
  const own = ownSpot(what);
  if (own !== undefined) return own;
  const seen = new Set<string>();
  const first = "place" in what ? placeOf(what.place, places) : places.get(what.within ?? "");
  for (let at = first; at !== undefined && !seen.has(at.name); at = places.get(at.within ?? "")) {
    const spot = ownSpot(at);
    if (spot !== undefined) return spot;
    seen.add(at.name);
  }
  return undefined;
}
