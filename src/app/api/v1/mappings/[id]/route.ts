import { MAPPINGS } from "@/edge/contracts/own";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { knownAs } from "@/server/own/known";
import { removeThing, saveThing } from "@/server/own/save-thing";

export const PUT = route(MAPPINGS.save, ({ params: { id }, body, actor, services }) =>
  kept(saveThing(services, "mapping", knownAs(services, "mapping", id), body, actor.name)),
);

export const DELETE = route(MAPPINGS.remove, ({ params: { id }, actor, services }) =>
  kept(removeThing(services, "mapping", id, actor.name)),
);
