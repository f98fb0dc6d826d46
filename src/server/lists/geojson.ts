import type { Place, Valve } from "@/core/formats";
import { type Spot, spotOf } from "@/core/places";
import type { Services } from "../services";

const point = ({ lat, lon }: Spot) => ({ type: "Point" as const, coordinates: [lon, lat] });
const feature = (spot: Spot, properties: Readonly<Record<string, unknown>>) => ({
  type: "Feature" as const,
  geometry: point(spot),
  properties,
});

const describedBy = ({ name, lat: _, lon: __, ...rest }: Place) => ({ place: name, ...rest });

/** What the map says of a valve; the rest of it is in the register's own list. */
const shown = ({ tag, name, place, sheet }: Valve) => ({ tag, name, place, sheet });

/**
 * Places and valves on the map as GeoJSON (RFC 7946), in the properties they are brought in by. A valve that has no spot
 * of its own is drawn at its place and says so: brought in again it gets none.
 */
export function placesGeoJson({ things, register }: Services) {
  const places = new Map(things.all("place").map((place) => [place.name, place]));
  return {
    type: "FeatureCollection" as const,
    features: [
      ...[...places.values()].flatMap((place) =>
        place.lat === undefined || place.lon === undefined
          ? []
          : [feature({ lat: place.lat, lon: place.lon }, describedBy(place))],
      ),
      ...register.valves().flatMap((valve) => {
        const spot = spotOf(valve, places);
        if (spot === undefined) return [];
        const own = valve.lat !== undefined && valve.lon !== undefined;
        return [feature(spot, { ...shown(valve), ...(!own && { approximate: true }) })];
      }),
    ],
  };
}
