import { BRING_BACK_VALVES } from "@/edge/contracts/own";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { bringBackValves } from "@/server/own/valves";

export const POST = route(BRING_BACK_VALVES, ({ body, actor, services }) =>
  kept(bringBackValves(services, body, actor.name)),
);
