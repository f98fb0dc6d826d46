import { ok } from "@/core/result";
import { MOVE_STOCK } from "@/edge/contracts/store";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { moveStock } from "@/server/store/move";

export const POST = route(MOVE_STOCK, ({ params: { id }, body: { movements }, actor, services }) => {
  const done = kept(moveStock(services, id, movements, actor.name));
  return done.ok ? ok({ entries: done.value }) : done;
});
