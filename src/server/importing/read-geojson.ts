import { type Static, Type } from "@sinclair/typebox";
import { GROUND_KINDS, type Ground, GroundSchema, readAs } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import type { Incoming } from "./incoming";
import { toRowOver } from "./row-over";

const Spot = Type.Array(Type.Number(), { minItems: 2, maxItems: 4 });
const Feature = Type.Object({
  type: Type.Literal("Feature"),
  properties: Type.Union([Type.Record(Type.String(), Type.Unknown()), Type.Null()]),
  geometry: Type.Object({ type: Type.String(), coordinates: Type.Unknown() }),
});
const CollectionSchema = Type.Object({
  type: Type.Literal("FeatureCollection"),
  features: Type.Array(Feature, { maxItems: 50_000 }),
});
type Collection = Static<typeof CollectionSchema>;
type GroundFeature = Ground["features"][number];

const isGround = (said: unknown): said is GroundFeature["kind"] =>
  (GROUND_KINDS as readonly unknown[]).includes(said);

/** Properties of a feature as the cells of a row; what is not words or a figure is none of ours. */
const cells = (properties: Readonly<Record<string, unknown>>, but: readonly string[]) =>
  Object.fromEntries(
    Object.entries(properties).flatMap(([name, value]) =>
      but.includes(name) || (typeof value !== "string" && typeof value !== "number")
        ? []
        : [[name, String(value)]],
    ),
  );

/**
 * Reads GeoJSON (RFC 7946). A point with `tag` says where a valve stands, one with `place` describes a place, a line or
 * polygon with `ground` (land, water, green, road, building) is what the map is drawn on.
 */
export function readGeoJson(value: unknown): Result<Incoming[], Problem[]> {
  const read = readAs(CollectionSchema, value);
  if (!read.ok) return read;
  const problems: Problem[] = [];
  const valves: unknown[] = [];
  const places: unknown[] = [];
  const ground: GroundFeature[] = [];
  for (const [index, feature] of read.value.features.entries()) {
    const at = `/features/${index}`;
    const took = (done: Result<unknown, Problem[]>, into: unknown[]) =>
      done.ok ? into.push(done.value) : problems.push(...done.error);
    const properties = feature.properties ?? {};
    if (typeof properties.tag === "string" || typeof properties.place === "string") {
      const spot = readAs(Spot, feature.geometry.coordinates, `${at}/geometry/coordinates`);
      if (!spot.ok) {
        problems.push(...spot.error);
        continue;
      }
      const [lon, lat] = spot.value;
      // Drawn where its place is, for want of a spot of its own.
      const where: Record<string, string> =
        properties.approximate === true ? {} : { lon: String(lon), lat: String(lat) };
      if (typeof properties.tag === "string")
        took(toRowOver("register", { ...cells(properties, []), ...where }, at), valves);
      else
        took(
          toRowOver(
            "places",
            { ...cells(properties, ["place"]), name: String(properties.place), ...where },
            at,
          ),
          places,
        );
    } else if (isGround(properties.ground)) {
      const points = ringOf(feature);
      const name = typeof properties.name === "string" ? { name: properties.name } : {};
      const made = readAs(
        GroundSchema,
        { id: "ground", features: [{ kind: properties.ground, ...name, points }] },
        at,
      );
      if (made.ok) ground.push(...made.value.features);
      else problems.push(...made.error);
    } else
      problems.push({
        path: `${at}/properties`,
        message: `It is not said what this is. Give it tag (a valve), place (a place), or ground: ${GROUND_KINDS.join(", ")}.`,
      });
  }
  if (problems.length > 0) return err(problems.slice(0, 50));
  return ok([
    ...(places.length > 0 ? [{ kind: "places", value: places } as Incoming] : []),
    ...(valves.length > 0 ? [{ kind: "register", value: valves } as Incoming] : []),
    ...(ground.length > 0 ? [{ kind: "ground", value: { id: "ground", features: ground } } as Incoming] : []),
  ]);
}

/** The corners of a line, or of a polygon's outline. */
function ringOf({ geometry: { type, coordinates } }: Collection["features"][number]): unknown {
  const spots = type === "Polygon" && Array.isArray(coordinates) ? coordinates[0] : coordinates;
  return Array.isArray(spots) ? spots.map((spot) => (Array.isArray(spot) ? spot.slice(0, 2) : spot)) : spots;
}
