import { REMOVE_ITEM, SAVE_ITEM } from "@/edge/contracts/store";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { removeItem, saveItem } from "@/server/store/own-store";

export const PUT = route(SAVE_ITEM, ({ params: { id }, body, actor, services }) =>
  kept(saveItem(services, id, body, actor.name)),
);

export const DELETE = route(REMOVE_ITEM, ({ params: { id }, query, actor, services }) =>
  kept(removeItem(services, id, query, actor.name)),
);
