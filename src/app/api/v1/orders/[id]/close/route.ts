import { CLOSE_ORDER } from "@/edge/contracts/store";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { closeOrder } from "@/server/store/orders";

export const POST = route(CLOSE_ORDER, ({ params: { id }, body: { closed }, actor, services }) =>
  kept(closeOrder(services, id, closed, actor.name)),
);
