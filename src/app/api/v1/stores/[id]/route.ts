import { REMOVE_STORE, SAVE_STORE } from "@/edge/contracts/store";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { removeThing } from "@/server/own/save-thing";
import { saveStoreHead } from "@/server/store/own-store";

export const PUT = route(SAVE_STORE, ({ params: { id }, body, actor, services }) =>
  kept(saveStoreHead(services, id, body, actor.name)),
);

export const DELETE = route(REMOVE_STORE, ({ params: { id }, actor, services }) =>
  kept(removeThing(services, "store", id, actor.name)),
);
