import type { Spot } from "../places";
import type { DaySheet } from "./day-sheet";

type Position = readonly [number, number];
type Geometry =
  | { readonly type: "Point"; readonly coordinates: Position }
  | { readonly type: "LineString"; readonly coordinates: readonly Position[] };

/** RFC 7946. */
export interface DayGeoJson {
  readonly type: "FeatureCollection";
  readonly features: readonly {
    readonly type: "Feature";
    readonly id: string;
    readonly geometry: Geometry;
    readonly properties: Readonly<Record<string, string | number>>;
  }[];
}

/** A day as a map takes it: where it begins, each piece of work in its order, and the way. What has no position is left out. */
export function dayGeoJson({ crew, base, stops, from, back, km }: DaySheet): DayGeoJson {
  const at = ({ lat, lon }: Spot): Position => [lon, lat];
  const time = (ms: number) => new Date(ms).toISOString();
  const point = (id: string, spot: Spot, properties: Readonly<Record<string, string | number>>) =>
    ({ type: "Feature", id, geometry: { type: "Point", coordinates: at(spot) }, properties }) as const;
  const visited = stops
    .flatMap(({ spot, parts }) => (spot === undefined ? [] : parts.map((part) => ({ spot, at: part.from }))))
    .sort((a, b) => a.at - b.at)
    .map(({ spot }) => spot);
  const ends = base === undefined ? [] : [base];
  const way = [...ends, ...visited, ...ends].map(at);
  return {
    type: "FeatureCollection",
    features: [
      ...(base === undefined ? [] : [point("base", base, { crew, from: time(from), back: time(back) })]),
      ...stops.flatMap(({ tag, order, name, place, what, parts, spot }) =>
        spot === undefined
          ? []
          : [
              point(tag, spot, {
                order,
                ...{ name, place, what },
                from: time(parts[0]!.from),
                to: time(parts.at(-1)!.to),
              }),
            ],
      ),
      ...(way.length < 2
        ? []
        : [
            {
              type: "Feature",
              id: "way",
              geometry: { type: "LineString", coordinates: way },
              properties: { crew, km },
            } as const,
          ]),
    ],
  };
}
