import { MY_DAY } from "@/edge/contracts/house-rounds";
import { onRounds } from "@/edge/rounds";
import { route } from "@/edge/route";
import { myDay } from "@/server/rounds/my-day";

export const dynamic = "force-dynamic";

export const GET = route(MY_DAY, ({ query: { person }, services }) =>
  onRounds(services, (ground) => myDay(services, ground, person)),
);
