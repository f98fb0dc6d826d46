import { PLACES } from "@/edge/contracts/own";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { knownAs } from "@/server/own/known";
import { removeThing, saveThing } from "@/server/own/save-thing";

export const PUT = route(PLACES.save, ({ params: { id }, body, actor, services }) =>
  kept(saveThing(services, "place", knownAs(services, "place", id), body, actor.name)),
);

export const DELETE = route(PLACES.remove, ({ params: { id }, actor, services }) =>
  kept(removeThing(services, "place", id, actor.name)),
);
