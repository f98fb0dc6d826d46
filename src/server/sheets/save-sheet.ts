import { checkSheet } from "@/core/build";
import { readDocument, type Sheet } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import { edit } from "../book/edit";
import { sheetKey } from "../book/kinds/documents";
import type { Services } from "../services";

/**
 * Stores a sheet as edited: as the next revision of the one it was, or as the first of a new one. Older revisions
 * stay: a job goes on with the one it began with, and old records can be read.
 *
 * @param known id and revision of the sheet that was edited; nothing for a new one, whose id must be free
 */
export function saveSheet(
  services: Services,
  document: unknown,
  known: { readonly id: string; readonly revision: number } | undefined,
  by: string,
): Result<Sheet, Problem[]> {
  const read = readDocument(document);
  if (!read.ok) return read;
  if (read.value.format !== "loftbell.sheet")
    return err([{ path: "/format", message: "This is not a service sheet. Save it as loftbell.sheet." }]);
  const sheet = read.value;
  const problems = checkSheet(sheet);
  if (problems.length > 0) return err(problems);
  const { library } = services;
  const newest = library.sheet(sheet.id);
  if (known === undefined && newest !== undefined)
    return err([
      { path: "/id", message: `There is a sheet "${sheet.id}" already. Give this one another id.` },
    ]);
  if (known !== undefined && sheet.id !== known.id)
    return err([
      { path: "/id", message: "A sheet keeps its id: valves name it. Adapt a copy to make another." },
    ]);
  if (known !== undefined && newest !== undefined && newest.revision !== known.revision)
    return err([
      {
        path: "/revision",
        message: `Somebody stored revision ${newest.revision} while you edited revision ${known.revision}. Take yours as a file, open the newest, and bring your changes in.`,
      },
    ]);
  if (!sheet.demonstration && sheet.vouched === undefined && newest?.demonstration !== false)
    return err([
      {
        path: "/vouched",
        message:
          "Its figures are for real equipment from now on: say who vouches for them, and where they come from.",
      },
    ]);
  const stored = { ...sheet, revision: (newest?.revision ?? 0) + 1 };
  const what = { kind: known === undefined ? "added" : "changed", thing: "sheet", ids: [sheet.id] } as const;
  const done = edit(services, { by, what }, [{ kind: "sheet", id: sheetKey(stored), after: stored }]);
  return done.ok ? ok(stored) : done;
}
