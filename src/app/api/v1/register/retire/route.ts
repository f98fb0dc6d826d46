import { RETIRE_VALVES } from "@/edge/contracts/own";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { retireValves } from "@/server/own/valves";

export const POST = route(RETIRE_VALVES, ({ body, actor, services }) =>
  kept(retireValves(services, body, actor.name)),
);
