import { type Static, Type } from "@sinclair/typebox";
import { closed, Latitude, Longitude, oneOf, Words } from "./shared";

export const GROUND_KINDS = ["land", "water", "green", "road", "building"] as const;

const Spot = Type.Tuple([Longitude, Latitude], { description: "Degrees east, degrees north, WGS 84." });

/** What a map of one's own is drawn on: land and water, roads, buildings; no more than is needed to know where one is. */
export const GroundSchema = Type.Object(
  {
    id: Type.Literal("ground"),
    features: Type.Array(
      Type.Object(
        {
          kind: oneOf(...GROUND_KINDS),
          name: Type.Optional(Words),
          points: Type.Array(Spot, { minItems: 2, maxItems: 20_000 }),
        },
        closed,
      ),
      { maxItems: 20_000 },
    ),
  },
  { ...closed, $id: "loftbell.ground.json", title: "Ground", description: "What a map is drawn on." },
);
export type Ground = Static<typeof GroundSchema>;
