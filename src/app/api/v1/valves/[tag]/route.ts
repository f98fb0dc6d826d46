import { REMOVE_VALVE, SAVE_VALVE } from "@/edge/contracts/own";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { removeThing, saveThing } from "@/server/own/save-thing";

export const PUT = route(SAVE_VALVE, ({ params: { tag }, body, actor, services }) =>
  kept(saveThing(services, "valve", tag, body, actor.name)),
);

export const DELETE = route(REMOVE_VALVE, ({ params: { tag }, actor, services }) =>
  kept(removeThing(services, "valve", tag, actor.name)),
);
