import { err, type Problem, type Result } from "@/core/result";
import { type Edited, edit } from "../book/edit";
import { sheetKey } from "../book/kinds/documents";
import type { Services } from "../services";

/** Takes a sheet away with all its revisions, where no valve is registered under it. Jobs keep the one they began with. */
export function removeSheet(services: Services, id: string, by: string): Result<Edited, Problem[]> {
  const revisions = services.library.revisions(id);
  if (revisions.length === 0) return err([{ path: "", message: `There is no sheet "${id}" here any more.` }]);
  return edit(
    services,
    { by, what: { kind: "removed", thing: "sheet", ids: [id] } },
    revisions
      .toReversed()
      .map((revision) => ({ kind: "sheet", id: sheetKey({ id, revision }), after: undefined })),
  );
}
