import type { PlaceCount } from "@/server/places/places";
import type { SiteMark } from "@/ui/map/site-map";

/** Places that have a position and something standing there, as marks of the map. */
export const siteMarks = (places: readonly PlaceCount[], here?: string): SiteMark[] =>
  places.flatMap(({ place, valves, late }) =>
    place.lat === undefined || place.lon === undefined || (valves === 0 && place.name !== here)
      ? []
      : [
          {
            id: place.name,
            name: place.name,
            spot: { lat: place.lat, lon: place.lon },
            href: `/places/${encodeURIComponent(place.name)}`,
            valves,
            late,
            ...(place.name === here && { here: true }),
          },
        ],
  );
