import { err, ok } from "@/core/result";
import { SAVE_SHEET } from "@/edge/contracts/documents";
import { refusal } from "@/edge/problem";
import { route } from "@/edge/route";
import { saveSheet } from "@/server/sheets/save-sheet";

export const POST = route(SAVE_SHEET, ({ body, query, actor, services }) => {
  const { id, revision } = body;
  const newest = query.as === "new" ? undefined : services.library.sheet(id);
  const saved = saveSheet(services, body, newest && { id, revision }, actor.name);
  if (saved.ok) return ok({ id: saved.value.id, revision: saved.value.revision });
  const stale = saved.error.some((each) => each.path === "/revision");
  return err(
    stale
      ? refusal(409, "Not the newest revision", saved.error)
      : refusal(422, "The sheet is not valid", saved.error),
  );
});
