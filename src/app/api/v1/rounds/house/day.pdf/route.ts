import { DAY_PDF } from "@/edge/contracts/papers";
import { originOf } from "@/edge/origin";
import { printed, speakerFor } from "@/edge/print";
import { onRounds } from "@/edge/rounds";
import { route } from "@/edge/route";
import { dayPaper } from "@/server/papers/day-paper";
import { houseDay } from "@/server/rounds/house-day";

export const GET = route(DAY_PDF, async ({ query, services, request }) => {
  const found = await onRounds(services, (ground) =>
    houseDay(services, ground, { crew: query.crew, day: Date.parse(query.day) }),
  );
  if (!found.ok) return found;
  const where = { origin: originOf(request), zone: query.zone };
  return printed(dayPaper(services, found.value.sheet, speakerFor(query), where), query);
});
