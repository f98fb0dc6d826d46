import { ok } from "@/core/result";
import { PLACES_GEOJSON } from "@/edge/contracts/taking-out";
import { route } from "@/edge/route";
import { placesGeoJson } from "@/server/lists/geojson";

export const GET = route(PLACES_GEOJSON, ({ services }) =>
  ok(
    new Response(JSON.stringify(placesGeoJson(services)), {
      headers: {
        "content-type": "application/geo+json",
        "content-disposition": 'attachment; filename="places.geojson"',
      },
    }),
  ),
);
