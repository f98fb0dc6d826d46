import { SAVE_TROUBLE, SHIP_TROUBLE } from "@/edge/contracts/trouble";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { saveTrouble, shipAgain } from "@/server/trouble/save-trouble";

export const PUT = route(SAVE_TROUBLE, ({ params: { family }, body: { known, row }, actor, services }) =>
  kept(saveTrouble(services, family, known, row, actor.name)),
);

export const DELETE = route(SHIP_TROUBLE, ({ params: { family }, actor, services }) =>
  kept(shipAgain(services, family, actor.name)),
);
