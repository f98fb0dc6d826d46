import {
  type BundledEdit,
  BundledEditSchema,
  BundledReadingSchema,
  type EditFact,
  readAs,
  readDocument,
  readJson,
} from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import { kindOf } from "../book/kinds";
import { store } from "../proof/ledger";
import type { Services } from "../services";
import type { ReadPiece } from "./pieces";

/** An entry of the book as it travels. */
export function bundledEdit({ edits }: Services, id: string): BundledEdit | undefined {
  const found = edits.find(id);
  if (found === undefined) return undefined;
  const { at, by, what, undoneAt, undoneBy } = found;
  return {
    id,
    at,
    by,
    what: what as BundledEdit["what"],
    ...(undoneAt !== null && undoneBy !== null && { undone: { at: undoneAt, by: undoneBy } }),
    changes: edits.changes(id).map(({ kind, id: of, before, after }) => ({ kind, id: of, before, after })),
  };
}

/** The entries of a piece of the book. */
export function entriesOf({ file, bytes }: ReadPiece): Result<BundledEdit[], Problem[]> {
  const json = readJson(bytes.toString("utf8"));
  if (!json.ok || !Array.isArray(json.value))
    return err([{ path: file.path, message: "It cannot be read. Ask for the bundle anew." }]);
  const entries: BundledEdit[] = [];
  for (const [index, row] of json.value.entries()) {
    const read = readAs(BundledEditSchema, row, `${file.path}/${index}`);
    if (!read.ok) return read;
    entries.push(read.value);
  }
  return ok(entries);
}

/**
 * Brings a piece of another book in, beside the own one: who changed what there, and when. An entry that brought logs in,
 * or whose things cannot be read by this program, stands in the book all the same, but is not to be undone: no file may
 * have a log taken away.
 *
 * @returns how many were not here
 */
export function bringBook(services: Services, piece: ReadPiece, by: string): Result<number, Problem[]> {
  const read = entriesOf(piece);
  if (!read.ok) return read;
  const fresh = read.value.filter(({ id }) => services.edits.find(id) === undefined);
  if (fresh.length === 0) return ok(0);
  return store(services, () => {
    for (const { id, at, by: who, what, undone, changes } of fresh)
      services.edits.add(
        {
          id,
          at,
          by: who,
          what: what as EditFact,
          undoneAt: undone?.at ?? null,
          undoneBy: undone?.by ?? null,
        },
        changes.every(isWhole) ? changes.map(({ before, after, ...of }) => ({ ...of, before, after })) : [],
      );
    // That it came from elsewhere stands in the own book.
    services.edits.add(
      {
        id: services.newId(),
        at: services.now(),
        by,
        what: { kind: "import", files: [piece.file.path] },
        undoneAt: null,
        undoneBy: null,
      },
      [],
    );
    return ok(fresh.length);
  });
}

/** Whether a thing as it was, and as it was then, is one that can be kept here. */
function isWhole({ kind, before, after }: BundledEdit["changes"][number]): boolean {
  return [before, after].every((thing) => {
    if (thing === null) return true;
    if (kind === "sheet" || kind === "line" || kind === "store") return readDocument(thing).ok;
    const shape = kind === "reading" ? BundledReadingSchema : kind === "job" ? undefined : kindOf(kind).shape;
    return shape !== undefined && readAs(shape, thing).ok;
  });
}
