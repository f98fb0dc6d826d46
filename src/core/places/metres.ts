/** Where something stands: degrees, WGS 84. */
export interface Spot {
  readonly lat: number;
  readonly lon: number;
}

/** East and north of an origin, m. */
export interface Metres {
  readonly x: number;
  readonly y: number;
}

/** Mean radius of the earth, m. @see IUGG, R1 of GRS 80 */
const EARTH_M = 6_371_008.8;
const rad = (degrees: number) => (degrees * Math.PI) / 180;

/**
 * A spot as metres east and north of an origin, on a plane that touches the earth there. Over the few kilometres of a
 * site it is as good as any projection; 100 km away it is off by some metres in a thousand.
 */
export const toMetres = ({ lat, lon }: Spot, origin: Spot): Metres => ({
  x: rad(lon - origin.lon) * Math.cos(rad(origin.lat)) * EARTH_M,
  y: rad(lat - origin.lat) * EARTH_M,
});

/**
 * Metres between two spots as the crow flies.
 *
 * @see R. W. Sinnott, "Virtues of the Haversine", Sky and Telescope 68 (1984) 159
 */
export function distance(a: Spot, b: Spot): number {
  const [sinLat, sinLon] = [Math.sin(rad(b.lat - a.lat) / 2), Math.sin(rad(b.lon - a.lon) / 2)];
  const h = sinLat ** 2 + Math.cos(rad(a.lat)) * Math.cos(rad(b.lat)) * sinLon ** 2;
  return 2 * EARTH_M * Math.asin(Math.min(1, Math.sqrt(h)));
}

/** The smallest box that holds them all, with its middle; nothing where there is none. */
export function boundsOf(spots: readonly Spot[]):
  | {
      readonly south: number;
      readonly north: number;
      readonly west: number;
      readonly east: number;
      readonly middle: Spot;
    }
  | undefined {
  if (spots.length === 0) return undefined;
  let [south, north, west, east] = [90, -90, 180, -180];
  for (const { lat, lon } of spots) {
    south = Math.min(south, lat);
    north = Math.max(north, lat);
    west = Math.min(west, lon);
    east = Math.max(east, lon);
  }
  return { south, north, west, east, middle: { lat: (south + north) / 2, lon: (west + east) / 2 } };
}
