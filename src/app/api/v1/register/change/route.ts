import { CHANGE_VALVES } from "@/edge/contracts/own";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { changeValves } from "@/server/own/valves";

export const POST = route(CHANGE_VALVES, ({ body, actor, services }) =>
  kept(changeValves(services, { set: {}, clear: [], ...body }, actor.name)),
);
