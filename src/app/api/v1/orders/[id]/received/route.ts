import { ok } from "@/core/result";
import { RECEIVE_ORDER } from "@/edge/contracts/store";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { receiveOrder } from "@/server/store/orders";

export const POST = route(RECEIVE_ORDER, ({ params: { id }, body: { lines }, actor, services }) => {
  const done = kept(receiveOrder(services, id, lines, actor.name));
  return done.ok ? ok({ entries: done.value }) : done;
});
