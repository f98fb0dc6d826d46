import { err, ok } from "@/core/result";
import { GET_SHEET } from "@/edge/contracts/documents";
import { attachment } from "@/edge/files";
import { refused } from "@/edge/problem";
import { route } from "@/edge/route";

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
