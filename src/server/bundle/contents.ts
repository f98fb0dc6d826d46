import type { BundleFile, BundlePart, ThingKind } from "@/core/formats";
import { exportJob } from "../jobs/export-job";
import type { Services } from "../services";
import { bundledEdit } from "./book";

/** A file of a bundle before it is packed: made when it is its turn, so that one of them is in memory at a time. */
export interface Packed extends Pick<BundleFile, "path" | "part" | "holds" | "entries"> {
  readonly read: () => Buffer;
}

/** Rows of one file: read, brought in and undone as one. */
export const ROWS_A_FILE = 1000;

const text = (value: unknown): Buffer => Buffer.from(`${JSON.stringify(value)}\n`);
/** One row a line, for whoever looks into it. */
const rowsText = (rows: readonly unknown[]): Buffer =>
  Buffer.from(`[\n${rows.map((row) => JSON.stringify(row)).join(",\n")}\n]\n`);
const numbered = (index: number) => String(index + 1).padStart(4, "0");
/** Any id as a name that every file system takes. */
export const fileName = (id: string): string => encodeURIComponent(id).replaceAll("%", "=");

/** The kind of thing that the rows of a part are. */
export const ROW_KINDS = {
  house: "house",
  crew: "person",
  places: "place",
  instruments: "instrument",
  map: "ground",
  valves: "valve",
  readings: "reading",
  papers: "paper",
  columns: "mapping",
  trouble: "trouble",
  cases: "case",
  rounds: "rounds",
  stores: "order",
} as const satisfies Partial<Record<BundlePart, ThingKind>>;
export type RowPart = keyof typeof ROW_KINDS;

/** Everything there is, in the order in which it is brought in. */
export function* contents(all: Services): Generator<Packed> {
  const { things, library, register, movements, jobs } = all;
  yield* rows("house", things.all("house"));
  yield* rows("crew", library.people());
  yield* rows("places", outermostFirst(things.all("place")));
  yield* rows("instruments", things.all("instrument"));
  yield* rows("map", things.all("ground"));
  for (const { id } of library.sheets())
    for (const revision of library.revisions(id))
      yield document("sheets", `${fileName(id)}-${revision}`, () => library.sheet(id, revision));
  for (const { id } of library.lineSummaries()) yield document("lines", fileName(id), () => library.line(id));
  for (const store of library.stores()) yield document("stores", fileName(store.id), () => store);
  yield* rows("stores", things.all("order"), "stores/orders");
  for (const [index, some] of inPieces(movements.all()).entries())
    yield {
      path: `stores/ledger-${numbered(index)}.json`,
      part: "stores",
      holds: "ledger",
      entries: some.length,
      read: () => rowsText(some),
    };
  for (const id of jobs.ids()) yield* job(all, id);
  yield* rows("valves", [...register.valves(), ...register.retired()]);
  yield* rows(
    "readings",
    library.valvesWithReadings().flatMap((tag) => library.readings(tag)),
  );
  const papers = things.all("paper");
  for (const sha256 of new Set(papers.map((paper) => paper.sha256)))
    yield {
      path: `papers/${sha256}`,
      part: "papers",
      holds: "bytes",
      entries: 1,
      read: () => things.bytes(sha256) ?? Buffer.alloc(0),
    };
  yield* rows("papers", papers);
  yield* rows("columns", things.all("mapping"));
  yield* rows("trouble", things.all("trouble"));
  yield* rows("cases", things.all("case"));
  yield* rows("rounds", things.all("rounds"));
  yield* book(all);
}

/** Entries of the book in one file: one of them may hold thousands of things. */
const EDITS_A_FILE = 100;

function* book(all: Services): Generator<Packed> {
  for (const [index, ids] of inPieces(all.edits.ids(), EDITS_A_FILE).entries())
    yield {
      path: `changes-${numbered(index)}.json`,
      part: "changes",
      holds: "book",
      entries: ids.length,
      read: () => rowsText(ids.map((id) => bundledEdit(all, id))),
    };
}

function* rows(part: RowPart, all: readonly unknown[], path: string = part): Generator<Packed> {
  for (const [index, some] of inPieces(all).entries())
    yield {
      path: `${path}-${numbered(index)}.json`,
      part,
      holds: "rows",
      entries: some.length,
      read: () => rowsText(some),
    };
}

const document = (part: BundlePart, name: string, read: () => unknown): Packed => ({
  path: `${part}/${name}.json`,
  part,
  holds: "documents",
  entries: 1,
  read: () => text(read()),
});

function* job(all: Services, id: string): Generator<Packed> {
  const found = all.jobs.find(id);
  if (found === undefined) return;
  const name = fileName(id);
  yield {
    path: `jobs/${name}.json`,
    part: "jobs",
    holds: "job",
    entries: found.events.length,
    read: () => text(exportJob(all, id)),
  };
  for (const photo of all.jobs.photoIds(id))
    yield {
      path: `jobs/${name}/${fileName(photo)}.jpg`,
      part: "jobs",
      holds: "photograph",
      entries: 1,
      read: () => all.jobs.photo(id, photo)?.bytes ?? Buffer.alloc(0),
    };
}

function inPieces<T>(all: readonly T[], size = ROWS_A_FILE): T[][] {
  const pieces: T[][] = [];
  for (let from = 0; from < all.length; from += size) pieces.push(all.slice(from, from + size));
  return pieces;
}

/** What something lies within comes before it. */
function outermostFirst<T extends { readonly name: string; readonly within?: string }>(
  places: readonly T[],
): T[] {
  const byName = new Map(places.map((place) => [place.name, place]));
  const placed = new Set<T>();
  const put = (place: T): void => {
    if (placed.has(place)) return;
    const around = place.within === undefined ? undefined : byName.get(place.within);
    if (around !== undefined && around !== place) put(around);
    placed.add(place);
  };
  for (const place of places) put(place);
  return [...placed];
}
