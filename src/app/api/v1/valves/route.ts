import { ADD_VALVES } from "@/edge/contracts/own";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { addValves } from "@/server/own/valves";

export const POST = route(ADD_VALVES, ({ body: { rows }, actor, services }) =>
  kept(addValves(services, rows, actor.name)),
);
