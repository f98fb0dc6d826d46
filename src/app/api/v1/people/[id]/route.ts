import { PEOPLE } from "@/edge/contracts/own";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { knownAs } from "@/server/own/known";
import { removeThing, saveThing } from "@/server/own/save-thing";

export const PUT = route(PEOPLE.save, ({ params: { id }, body, actor, services }) =>
  kept(saveThing(services, "person", knownAs(services, "person", id), body, actor.name)),
);

export const DELETE = route(PEOPLE.remove, ({ params: { id }, actor, services }) =>
  kept(removeThing(services, "person", id, actor.name)),
);
