import { type TSchema, Type } from "@sinclair/typebox";
import sharp from "sharp";
import {
  BundledReadingSchema,
  type JobDocument,
  MovementSchema,
  readAs,
  readDocument,
  readJson,
  type ThingKind,
} from "@/core/formats";
import { effectiveEvents } from "@/core/job";
import { err, ok, type Problem, type Result } from "@/core/result";
import type { StoredReading } from "@/data";
import { edit, faultsAfter, put } from "../book/edit";
import type { Wanted } from "../book/kind";
import { kindOf } from "../book/kinds";
import { readingKey } from "../book/kinds/log";
import { importFiles } from "../importing/import-files";
import { same } from "../importing/planned";
import { store } from "../proof/ledger";
import type { Services } from "../services";
import { bringBook, entriesOf } from "./book";
import { fileName, ROW_KINDS, type RowPart } from "./contents";
import type { ReadPiece } from "./pieces";

const problem = (path: string, message: string): Problem => ({ path, message });
/** Problems of a file, each told where in the bundle it is. */
const within = (path: string, problems: readonly Problem[]): Problem[] =>
  problems.map((each) => problem(`${path}${each.path}`, each.message));
const BROKEN = "It cannot be read. Ask for the bundle anew.";

/** Brings a piece of a bundle in: all of it or nothing, to be undone as one. @returns how much of it was not so already */
export async function bringPiece(
  services: Services,
  piece: readonly ReadPiece[],
  by: string,
): Promise<Result<number, Problem[]>> {
  const [first] = piece;
  switch (first?.file.holds) {
    case undefined:
      return ok(0);
    case "rows":
      return bringRows(services, first, by);
    case "documents":
    case "ledger":
      return first.file.part === "stores"
        ? bringStore(services, piece, by)
        : bringDocuments(services, piece, by);
    case "job":
    case "photograph":
      return bringJobs(services, piece, by);
    case "book":
      return bringBook(services, first, by);
    case "bytes":
      for (const { file, bytes } of piece) services.things.saveBytes(file.sha256, bytes);
      return ok(0);
  }
}

/** By what a row is found again. */
function idOf(kind: ThingKind, row: Readonly<Record<string, unknown>>): string {
  if (kind === "reading") return readingKey(row as unknown as StoredReading);
  return String(kind === "valve" ? row.tag : kind === "place" ? row.name : row.id);
}

/** The rows of a file as what is wanted, each checked by itself. */
export function wantedRows({ file, bytes }: ReadPiece): Result<Wanted[], Problem[]> {
  const kind = ROW_KINDS[file.part as RowPart];
  const json = readJson(bytes.toString("utf8"));
  if (kind === undefined || !json.ok || !Array.isArray(json.value)) return err([problem(file.path, BROKEN)]);
  const shape: TSchema | undefined = kind === "reading" ? BundledReadingSchema : kindOf(kind).shape;
  const wanted: Wanted[] = [];
  for (const [index, row] of (json.value as Record<string, unknown>[]).entries()) {
    const read = shape === undefined ? ok(row) : readAs(shape, row, `${file.path}/${index}`);
    if (!read.ok) return read;
    wanted.push({ kind, id: idOf(kind, row), after: row } as unknown as Wanted);
  }
  return ok(wanted);
}

function bringRows(services: Services, piece: ReadPiece, by: string): Result<number, Problem[]> {
  const wanted = wantedRows(piece);
  if (!wanted.ok) return wanted;
  const { path, part } = piece.file;
  if (part === "readings") {
    const nowhere = (wanted.value as readonly { readonly after: StoredReading }[]).find(
      ({ after }) => services.register.anyValve(after.valve) === undefined,
    );
    if (nowhere !== undefined)
      return err([
        problem(
          path,
          `There is no valve ${nowhere.after.valve} here. Bring the valves in, too, or leave the readings out.`,
        ),
      ]);
  }
  const done = edit(services, { by, what: { kind: "import", files: [path] } }, wanted.value);
  return done.ok ? ok(done.value.changes) : err(within(path, done.error));
}

function bringDocuments(
  services: Services,
  piece: readonly ReadPiece[],
  by: string,
): Result<number, Problem[]> {
  const files = piece.map(({ file, bytes }) => ({ name: file.path, text: bytes.toString("utf8") }));
  const done = importFiles(services, files, by);
  return done.ok ? ok(done.value.lines.reduce((sum, { total }) => sum + total, 0)) : done;
}

/**
 * A store that is new here comes with its ledger, as it was written; of one that is here already the differences are
 * booked, as with any change of it.
 */
function bringStore(services: Services, piece: readonly ReadPiece[], by: string): Result<number, Problem[]> {
  const [{ file, bytes }] = piece as readonly [ReadPiece, ...ReadPiece[]];
  const json = readJson(bytes.toString("utf8"));
  const read = json.ok ? readDocument(json.value) : json;
  if (!read.ok || read.value.format !== "loftbell.store") return err([problem(file.path, BROKEN)]);
  const ledger = ledgerOf(piece);
  if (!ledger.ok) return ledger;
  const { value } = read;
  const what = { kind: "import", files: [file.path] } as const;
  const wanted: Wanted = { kind: "store", id: value.id, after: value };
  if (kindOf("store").find(services, value.id) !== undefined) {
    const done = edit(services, { by, what }, [wanted]);
    return done.ok ? ok(done.value.changes) : err(within(file.path, done.error));
  }
  return store(services, (anchored): Result<number, Problem[]> => {
    const changes = [put(services, anchored, wanted)];
    const faults = faultsAfter(services, changes);
    if (faults.length > 0) return err(within(file.path, faults));
    services.movements.add(
      ledger.value.filter(
        (each) => each.store === value.id && services.movements.find(each.id) === undefined,
      ),
    );
    const id = services.newId();
    services.edits.add({ id, at: services.now(), by, what, undoneAt: null, undoneBy: null }, changes);
    return ok(changes.length);
  });
}

const LedgerSchema = Type.Array(MovementSchema);

function ledgerOf(piece: readonly ReadPiece[]) {
  const rows = piece
    .filter(({ file }) => file.holds === "ledger")
    .map(({ file, bytes }) => {
      const json = readJson(bytes.toString("utf8"));
      return json.ok ? readAs(LedgerSchema, json.value, file.path) : err([problem(file.path, BROKEN)]);
    });
  const broken = rows.find((each) => !each.ok);
  return broken !== undefined && !broken.ok
    ? broken
    : ok(rows.flatMap((each) => (each.ok ? each.value : [])));
}

/** Logs by the way of every log that is brought in: judged, marked where they come from, never written over. */
async function bringJobs(
  services: Services,
  piece: readonly ReadPiece[],
  by: string,
): Promise<Result<number, Problem[]>> {
  const logs = piece.filter(({ file }) => file.holds === "job");
  const done = bringDocuments(services, logs, by);
  if (!done.ok) return done;
  for (const { file, bytes } of logs) {
    const { inputs, events } = JSON.parse(bytes.toString("utf8")) as JobDocument;
    const noted = effectiveEvents(events.map(({ event }) => event)).flatMap((event) =>
      event.kind === "photo-taken" ? [event.photo] : [],
    );
    for (const photo of noted) {
      const name = `${file.path.replace(/\.json$/, "")}/${fileName(photo)}.jpg`;
      const taken = piece.find((each) => each.file.path === name);
      const stored = taken && (await photographOf(taken.bytes));
      if (stored !== undefined)
        services.jobs.savePhoto({ job: inputs.id, id: photo, mime: "image/jpeg", ...stored });
    }
  }
  return done;
}

/** As it was kept where it comes from: made anew already, with nothing in it that a camera wrote. */
async function photographOf(bytes: Buffer) {
  try {
    const { format, width, height, exif, xmp, iptc } = await sharp(bytes).metadata();
    const written = exif ?? xmp ?? iptc;
    return format === "jpeg" && written === undefined ? { bytes, width, height } : undefined;
  } catch {
    return undefined;
  }
}

/** How a piece stands to what is here. */
export interface Compared {
  readonly fresh: number;
  readonly changed: number;
  readonly alike: number;
}

/** Counts what of a piece is new here, what would change, and what is so already. */
export function comparePiece(services: Services, piece: readonly ReadPiece[]): Compared {
  let [fresh, changed, alike] = [0, 0, 0];
  const count = (before: unknown, after: unknown) => {
    if (before === undefined) fresh++;
    else if (same(before, after)) alike++;
    else changed++;
  };
  for (const each of piece) {
    const { holds, part } = each.file;
    if (holds === "rows") {
      const wanted = wantedRows(each);
      if (wanted.ok)
        for (const { kind, id, after } of wanted.value)
          count(kindOf<ThingKind>(kind).find(services, id), after);
    } else if (holds === "documents") {
      const json = readJson(each.bytes.toString("utf8"));
      const document = json.ok ? readDocument(json.value) : json;
      if (document.ok) count(documentHere(services, document.value), document.value);
    } else if (holds === "job") {
      const { inputs } = JSON.parse(each.bytes.toString("utf8")) as JobDocument;
      count(services.jobs.has(inputs.id) ? part : undefined, part);
    } else if (holds === "book") {
      const entries = entriesOf(each);
      // What was done elsewhere does not change here.
      if (entries.ok) for (const { id } of entries.value) count(services.edits.find(id) && part, part);
    }
  }
  return { fresh, changed, alike };
}

function documentHere(
  { library }: Services,
  document: { readonly format: string; readonly id?: string; readonly revision?: number },
): unknown {
  const { id = "", revision } = document;
  switch (document.format) {
    case "loftbell.sheet":
      return library.sheet(id, revision);
    case "loftbell.line":
      return library.line(id);
    default:
      return library.stores().find((each) => each.id === id);
  }
}
