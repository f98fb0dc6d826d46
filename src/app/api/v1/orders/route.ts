import { PLACE_ORDER } from "@/edge/contracts/store";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { placeOrder } from "@/server/store/orders";

export const POST = route(PLACE_ORDER, ({ body, actor, services }) =>
  kept(placeOrder(services, body, actor.name)),
);
