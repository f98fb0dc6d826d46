import { INSTRUMENTS } from "@/edge/contracts/own";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { knownAs } from "@/server/own/known";
import { removeThing, saveThing } from "@/server/own/save-thing";

export const PUT = route(INSTRUMENTS.save, ({ params: { id }, body, actor, services }) =>
  kept(saveThing(services, "instrument", knownAs(services, "instrument", id), body, actor.name)),
);

export const DELETE = route(INSTRUMENTS.remove, ({ params: { id }, actor, services }) =>
  kept(removeThing(services, "instrument", id, actor.name)),
);
