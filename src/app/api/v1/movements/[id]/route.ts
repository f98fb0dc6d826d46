import { ok } from "@/core/result";
import { UNDO_MOVEMENT } from "@/edge/contracts/store";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { undoMovement } from "@/server/store/move";

export const DELETE = route(UNDO_MOVEMENT, ({ params: { id }, actor, services }) => {
  const done = kept(undoMovement(services, id, actor.name));
  return done.ok ? ok({ entries: [done.value] }) : done;
});
