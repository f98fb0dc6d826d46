import { SAVE_HOUSE } from "@/edge/contracts/own";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { knownAs } from "@/server/own/known";
import { saveThing } from "@/server/own/save-thing";

export const PUT = route(SAVE_HOUSE, ({ body, actor, services }) =>
  kept(saveThing(services, "house", knownAs(services, "house", "house"), body, actor.name)),
);
