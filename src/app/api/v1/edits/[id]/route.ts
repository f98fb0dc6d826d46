import { err } from "@/core/result";
import { UNDO_EDIT } from "@/edge/contracts/own";
import { refusal } from "@/edge/problem";
import { route } from "@/edge/route";
import { takeBackEdit } from "@/server/importing/bring-in";

export const DELETE = route(UNDO_EDIT, async ({ params: { id }, actor, services }) => {
  const done = await takeBackEdit(services, id, actor.name);
  return done.ok ? done : err(refusal(409, "It cannot be undone", done.error));
});
