import { PUBLISH_WEEK } from "@/edge/contracts/house-rounds";
import { onRounds } from "@/edge/rounds";
import { route } from "@/edge/route";
import { publishWeek } from "@/server/rounds/keep-rounds";

export const POST = route(PUBLISH_WEEK, ({ body, actor, services }) =>
  onRounds(services, (ground) => publishWeek(services, ground, body.week, actor.name)),
);
