import { dayGeoJson } from "@/core/due-work";
import { ok } from "@/core/result";
import { DAY_GEOJSON } from "@/edge/contracts/house-rounds";
import { onRounds } from "@/edge/rounds";
import { route } from "@/edge/route";
import { houseDay } from "@/server/rounds/house-day";

export const dynamic = "force-dynamic";

export const GET = route(DAY_GEOJSON, async ({ query: { crew, day }, services }) => {
  const found = await onRounds(services, (ground) =>
    houseDay(services, ground, { crew, day: Date.parse(day) }),
  );
  return found.ok
    ? ok(
        Response.json(dayGeoJson(found.value.sheet), {
          headers: {
            "content-type": "application/geo+json",
            "content-disposition": `attachment; filename="day-${day.slice(0, 10)}.geojson"`,
          },
        }),
      )
    : found;
});
