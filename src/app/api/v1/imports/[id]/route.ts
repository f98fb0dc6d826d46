import { err } from "@/core/result";
import { UNDO_IMPORT } from "@/edge/contracts/importing";
import { refusal } from "@/edge/problem";
import { route } from "@/edge/route";
import { undoImport } from "@/server/importing/undo-import";

export const DELETE = route(UNDO_IMPORT, ({ params: { id }, services }) => {
  const done = undoImport(services, id);
  return done.ok ? done : err(refusal(409, "It cannot be undone", done.error));
});
