import { REPORT_WORK } from "@/edge/contracts/house-rounds";
import { onRounds } from "@/edge/rounds";
import { route } from "@/edge/route";
import { reportWork } from "@/server/rounds/report";

export const POST = route(REPORT_WORK, ({ body, actor, services }) =>
  onRounds(services, (ground) => reportWork(services, ground, body, actor.name)),
);
