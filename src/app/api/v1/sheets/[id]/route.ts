import { err, ok } from "@/core/result";
import { GET_SHEET, REMOVE_SHEET } from "@/edge/contracts/documents";
import { attachment } from "@/edge/files";
import { kept } from "@/edge/kept";
import { refused } from "@/edge/problem";
import { route } from "@/edge/route";
import { removeSheet } from "@/server/sheets/remove-sheet";

export const GET = route(GET_SHEET, ({ params: { id }, query: { revision }, services }) => {
  const document = services.library.sheet(id, revision);
  return document === undefined
    ? err(
        refused(
          404,
          "No such sheet",
          `There is no sheet "${id}"${revision === undefined ? "" : ` of revision ${revision}`} here.`,
        ),
      )
    : ok(attachment(document, `${id}.sheet.json`));
});

export const DELETE = route(REMOVE_SHEET, ({ params: { id }, actor, services }) =>
  services.library.sheet(id) === undefined
    ? err(refused(404, "No such sheet", `There is no sheet "${id}" here.`))
    : kept(removeSheet(services, id, actor.name)),
);
