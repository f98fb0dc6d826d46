import { err } from "@/core/result";
import { UNDO_IMPORT } from "@/edge/contracts/importing";
import { refusal } from "@/edge/problem";
import { route } from "@/edge/route";
import { takeBackImport } from "@/server/importing/bring-in";

export const DELETE = route(UNDO_IMPORT, async ({ params: { id }, services }) => {
  const done = await takeBackImport(services, id);
  return done.ok ? done : err(refusal(409, "It cannot be undone", done.error));
});
