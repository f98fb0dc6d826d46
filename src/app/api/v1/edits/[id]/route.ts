import { err } from "@/core/result";
import { UNDO_EDIT } from "@/edge/contracts/own";
import { refusal } from "@/edge/problem";
import { route } from "@/edge/route";
import { refusedAs } from "@/edge/who-is";
import { roleToUndo } from "@/server/access/role-to-undo";
import { takeBackEdit } from "@/server/importing/bring-in";

export const DELETE = route(UNDO_EDIT, async ({ params: { id }, actor, role, services }) => {
  const notAllowed = refusedAs(role, roleToUndo(services, id, actor.name));
  if (notAllowed !== undefined) return err(notAllowed);
  const done = await takeBackEdit(services, id, actor.name);
  return done.ok ? done : err(refusal(409, "It cannot be undone", done.error));
});
