import { HOUSE_DAY } from "@/edge/contracts/house-rounds";
import { onRounds } from "@/edge/rounds";
import { route } from "@/edge/route";
import { houseDay } from "@/server/rounds/house-day";

export const dynamic = "force-dynamic";

export const GET = route(HOUSE_DAY, ({ query: { crew, day }, services }) =>
  onRounds(services, (ground) => houseDay(services, ground, { crew, day: Date.parse(day) })),
);
