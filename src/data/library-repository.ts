import { and, asc, count, eq, max, sql } from "drizzle-orm";
import type { Line, Person, Sheet, Store } from "@/core/formats";
import { digest } from "@/core/job";
import type { Db } from "./database";
import { documentStore } from "./documents";
import { lineRevisions, lines, people, readings, sheets, stores, valves } from "./schema";

export interface StoredReading {
  readonly valve: string;
  readonly at: number;
  readonly what: string;
  readonly dimension: string;
  readonly si: number;
  readonly typed: string;
  readonly by: string;
  readonly job?: string;
}

export interface LineSummary {
  readonly id: string;
  readonly name: string;
  readonly medium: string;
  readonly nodes: number;
  readonly links: number;
  readonly valves: number;
}

const storedReading = ({ id: _, job, ...row }: typeof readings.$inferSelect): StoredReading => ({
  ...row,
  ...(job !== null && { job }),
});

/** Sheets are kept as they were read: a revision does not change, and the same object is given again. */
const MOST_SHEETS = 200;

/** What is brought in and looked up besides the register: sheets, lines, stores, the crew, readings. */
export function libraryRepository(db: Db) {
  const sheetsRead = new Map<string, Sheet>();
  let forgotten = 0;
  let storesRead: { readonly text: string; readonly stores: Store[] } = { text: "[]", stores: [] };
  const crew = db.select().from(people).orderBy(asc(people.id)).prepare();
  // Asked with nearly every page: read once by the database, not each time.
  const newestOf = db
    .select({ newest: max(sheets.revision) })
    .from(sheets)
    .where(eq(sheets.id, sql.placeholder("id")))
    .prepare();
  const newestOfAll = db
    .select({ id: sheets.id, revision: max(sheets.revision) })
    .from(sheets)
    .groupBy(sheets.id)
    .orderBy(asc(sheets.id))
    .prepare();
  const documentOf = db
    .select({ document: sheets.document })
    .from(sheets)
    .where(and(eq(sheets.id, sql.placeholder("id")), eq(sheets.revision, sql.placeholder("revision"))))
    .prepare();
  const counted = db.select({ total: count() }).from(readings).prepare();
  const readingsOfSome = db
    .select()
    .from(readings)
    .where(sql`${readings.valve} in (select value from json_each(${sql.placeholder("tags")}))`)
    .orderBy(asc(readings.at))
    .prepare();
  const allStores = db
    .select({ text: sql<string>`coalesce('[' || group_concat(document) || ']', '[]')` })
    .from(db.select({ document: stores.document }).from(stores).orderBy(asc(stores.id)).as("in_order"))
    .prepare();
  const summaries = db
    .select({
      id: lines.id,
      name: lines.name,
      medium: lines.medium,
      nodes: lines.nodes,
      links: lines.links,
      valves: lines.valves,
    })
    .from(lines)
    .orderBy(asc(lines.id))
    .prepare();
  /** The newest revision of a sheet, or the one asked for; read once. */
  const sheetAt = (id: string, asked?: number): Sheet | undefined => {
    const revision = asked ?? newestOf.get({ id })?.newest;
    if (revision === undefined || revision === null) return undefined;
    const key = `${id}@${revision}`;
    const known = sheetsRead.get(key);
    if (known !== undefined) return known;
    const read = documentOf.get({ id, revision })?.document;
    if (read === undefined) return undefined;
    if (sheetsRead.size >= MOST_SHEETS) sheetsRead.clear();
    sheetsRead.set(key, read);
    return read;
  };
  const versionOf = db
    .select({ revision: lines.revision, hash: lines.hash })
    .from(lines)
    .where(eq(lines.id, sql.placeholder("id")))
    .prepare();
  const newestSheets = (): Sheet[] =>
    newestOfAll.all().flatMap(({ id, revision }) => sheetAt(id, revision ?? undefined) ?? []);
  const kept = documentStore(db);
  const keepLine = (document: Line, revision: number, hash: string) => {
    kept.put(hash, document);
    db.insert(lineRevisions).values({ id: document.id, revision, hash }).onConflictDoNothing().run();
  };
  return {
    /** What was read is read again: for when the tables were emptied. */
    forget: () => {
      forgotten += 1;
      sheetsRead.clear();
      kept.forget();
    },
    /** Differs when what was read before may not be what is stored. */
    era: () => forgotten,
    /** The newest revision of every sheet. */
    sheets: newestSheets,
    sheet: sheetAt,
    /** Revisions of a sheet that are kept, oldest first. */
    revisions: (id: string): number[] =>
      db
        .select({ revision: sheets.revision })
        .from(sheets)
        .where(eq(sheets.id, id))
        .orderBy(asc(sheets.revision))
        .all()
        .map((row) => row.revision),
    /** Adds a revision. One that is stored is never written over: jobs and records count on it. */
    saveSheet(document: Sheet): void {
      db.insert(sheets)
        .values({ id: document.id, revision: document.revision, document })
        .onConflictDoNothing()
        .run();
    },
    removeSheet(id: string, revision: number): void {
      forgotten += 1;
      sheetsRead.delete(`${id}@${revision}`);
      db.delete(sheets)
        .where(and(eq(sheets.id, id), eq(sheets.revision, revision)))
        .run();
    },
    /** What a list of the lines shows, without reading their documents. */
    lineSummaries: (): LineSummary[] => summaries.all(),
    /** The line as it stands; the same object is given again as long as it does. */
    line(id: string): Line | undefined {
      const hash = versionOf.get({ id })?.hash;
      if (hash === undefined) return undefined;
      // Stored before lines had revisions: it lies nowhere else.
      return hash === ""
        ? db.select().from(lines).where(eq(lines.id, id)).get()?.document
        : (kept.get(hash) as Line);
    },
    /** Revision and hash of the line as it stands. */
    lineVersion: (id: string): { readonly revision: number; readonly hash: string } | undefined =>
      versionOf.get({ id }),
    lineRevisions: (id: string): { readonly revision: number; readonly hash: string }[] =>
      db
        .select({ revision: lineRevisions.revision, hash: lineRevisions.hash })
        .from(lineRevisions)
        .where(eq(lineRevisions.id, id))
        .orderBy(asc(lineRevisions.revision))
        .all(),
    lineAt(id: string, revision: number): Line | undefined {
      const row = db
        .select()
        .from(lineRevisions)
        .where(and(eq(lineRevisions.id, id), eq(lineRevisions.revision, revision)))
        .get();
      return row && (kept.get(row.hash) as Line);
    },
    /** Stores a line as its next revision; the same document again is no new one. */
    saveLine(document: Line): void {
      const known = db
        .select({ revision: lines.revision, hash: lines.hash, document: lines.document })
        .from(lines)
        .where(eq(lines.id, document.id))
        .get();
      const hash = digest(document);
      if (known?.hash === hash) return;
      // Stored before lines had revisions: what was there is the first.
      if (known !== undefined && known.hash === "") {
        const first = digest(known.document);
        keepLine(known.document, known.revision, first);
        db.update(lines).set({ hash: first }).where(eq(lines.id, document.id)).run();
        if (first === hash) return;
      }
      const revision = (known?.revision ?? 0) + 1;
      keepLine(document, revision, hash);
      const row = {
        name: document.name,
        medium: document.medium,
        nodes: document.nodes.length,
        links: document.links.length,
        valves: document.links.filter((link) => link.kind === "valve").length,
        revision,
        hash,
        document,
      };
      db.insert(lines)
        .values({ id: document.id, ...row })
        .onConflictDoUpdate({ target: lines.id, set: row })
        .run();
    },
    removeLine(id: string): void {
      db.delete(lineRevisions).where(eq(lineRevisions.id, id)).run();
      db.delete(lines).where(eq(lines.id, id)).run();
    },
    /** The same objects as long as nothing in them has changed. */
    stores(): Store[] {
      const text = allStores.get()?.text ?? "[]";
      if (text !== storesRead.text) storesRead = { text, stores: JSON.parse(text) };
      return storesRead.stores;
    },
    saveStore(document: Store): void {
      db.insert(stores)
        .values({ id: document.id, document })
        .onConflictDoUpdate({ target: stores.id, set: { document } })
        .run();
    },
    removeStore(id: string): void {
      db.delete(stores).where(eq(stores.id, id)).run();
    },
    /** Everybody there was. */
    people: (): Person[] => crew.all().map((row) => row.row),
    /** Those who work here now. */
    crew: (): Person[] => crew.all().flatMap(({ row }) => (row.left === undefined ? [row] : [])),
    savePerson(row: Person): void {
      db.insert(people)
        .values({ id: row.id, row })
        .onConflictDoUpdate({ target: people.id, set: { row } })
        .run();
    },
    removePerson(id: string): void {
      db.delete(people).where(eq(people.id, id)).run();
    },
    /** Readings of several valves at once, each oldest first. */
    readingsOf(tags: readonly string[]): ReadonlyMap<string, StoredReading[]> {
      const by = new Map<string, StoredReading[]>();
      for (const row of readingsOfSome.all({ tags: JSON.stringify(tags) }))
        by.set(row.valve, [...(by.get(row.valve) ?? []), storedReading(row)]);
      return by;
    },
    valvesWithReadings: (): string[] =>
      db
        .selectDistinct({ valve: readings.valve })
        .from(readings)
        .all()
        .map((row) => row.valve),
    readings: (tag: string): StoredReading[] =>
      db
        .select()
        .from(readings)
        .where(eq(readings.valve, tag))
        .orderBy(asc(readings.at), asc(readings.what))
        .all()
        .map(storedReading),
    /** The number of a reading that was kept before: of the same figure, at the same moment, by the same person. */
    keptBefore: ({ valve, at, what, by, si }: Pick<StoredReading, "valve" | "at" | "what" | "by" | "si">) =>
      db
        .select({ id: readings.id })
        .from(readings)
        .where(
          and(
            eq(readings.valve, valve),
            eq(readings.at, at),
            eq(readings.what, what),
            eq(readings.by, by),
            eq(readings.si, si),
          ),
        )
        .get()?.id,
    countReadings: (): number => counted.get()!.total,
    /** Readings of valves of a sheet, so many valves at most, each oldest first. */
    readingsOfSheet: (sheet: string, most: number): StoredReading[] =>
      db
        .select()
        .from(readings)
        .where(
          sql`${readings.valve} in (select ${valves.tag} from ${valves} where ${valves.sheet} = ${sheet} and exists (select 1 from readings own where own.valve = ${valves.tag}) limit ${most})`,
        )
        .orderBy(asc(readings.at))
        .all()
        .map(storedReading),
    /** Stores one reading and gives its number; the same quantity in the same millisecond is moved on by one. */
    addReading(row: StoredReading): number {
      const taken = (at: number) =>
        db
          .select({ id: readings.id })
          .from(readings)
          .where(and(eq(readings.valve, row.valve), eq(readings.what, row.what), eq(readings.at, at)))
          .get() !== undefined;
      let { at } = row;
      while (taken(at)) at += 1;
      return db
        .insert(readings)
        .values({ ...row, at })
        .returning({ id: readings.id })
        .get().id;
    },
    /** What one reading of a valve is, by its number. */
    reading(valve: string, id: number): StoredReading | undefined {
      const row = db
        .select()
        .from(readings)
        .where(and(eq(readings.id, id), eq(readings.valve, valve)))
        .get();
      return row && storedReading(row);
    },
    removeReading(id: number): void {
      db.delete(readings).where(eq(readings.id, id)).run();
    },
    /** Stores readings; one that is there already (same valve, quantity and time) stays as it is. Gives the new ones. */
    saveReadings: (rows: readonly StoredReading[]): StoredReading[] =>
      rows.filter((row) => db.insert(readings).values(row).onConflictDoNothing().run().changes > 0),
    removeReadingsOfJob(job: string): void {
      db.delete(readings).where(eq(readings.job, job)).run();
    },
    removeReadingLike({ valve, what, at }: StoredReading): void {
      db.delete(readings)
        .where(and(eq(readings.valve, valve), eq(readings.what, what), eq(readings.at, at)))
        .run();
    },
    isEmpty: (): boolean =>
      db.get<{ any: number }>(
        sql`select exists(select 1 from ${valves}) or exists(select 1 from ${sheets}) as "any"`,
      )?.any === 0,
  };
}
export type LibraryRepository = ReturnType<typeof libraryRepository>;
