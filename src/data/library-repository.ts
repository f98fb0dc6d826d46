import { and, asc, desc, eq, sql } from "drizzle-orm";
import type { Line, Person, Sheet, Store, Valve } from "@/core/formats";
import type { Db } from "./database";
import { lines, people, readings, sheets, stores, valves } from "./schema";

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

/** Everything that is brought in and looked up: sheets, lines, stores, the register, the crew, readings. */
export function libraryRepository(db: Db) {
  return {
    sheets(): Sheet[] {
      const newest = new Map<string, Sheet>();
      for (const row of db.select().from(sheets).orderBy(asc(sheets.id), asc(sheets.revision)).all())
        newest.set(row.id, row.document);
      return [...newest.values()];
    },
    /** The newest revision, or the one asked for. */
    sheet(id: string, revision?: number): Sheet | undefined {
      const wanted =
        revision === undefined ? eq(sheets.id, id) : and(eq(sheets.id, id), eq(sheets.revision, revision));
      return db.select().from(sheets).where(wanted).orderBy(desc(sheets.revision)).limit(1).get()?.document;
    },
    /** Revisions of a sheet that are kept, oldest first. */
    revisions: (id: string): number[] =>
      db
        .select({ revision: sheets.revision })
        .from(sheets)
        .where(eq(sheets.id, id))
        .orderBy(asc(sheets.revision))
        .all()
        .map((row) => row.revision),
    saveSheet(document: Sheet): void {
      db.insert(sheets)
        .values({ id: document.id, revision: document.revision, document })
        .onConflictDoUpdate({ target: [sheets.id, sheets.revision], set: { document } })
        .run();
    },
    /** What a list of the lines shows, without reading their documents. */
    lineSummaries: (): LineSummary[] =>
      db
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
        .all(),
    line: (id: string): Line | undefined => db.select().from(lines).where(eq(lines.id, id)).get()?.document,
    saveLine(document: Line): void {
      const row = {
        name: document.name,
        medium: document.medium,
        nodes: document.nodes.length,
        links: document.links.length,
        valves: document.links.filter((link) => link.kind === "valve").length,
        document,
      };
      db.insert(lines)
        .values({ id: document.id, ...row })
        .onConflictDoUpdate({ target: lines.id, set: row })
        .run();
    },
    stores: (): Store[] =>
      db
        .select()
        .from(stores)
        .orderBy(asc(stores.id))
        .all()
        .map((row) => row.document),
    saveStore(document: Store): void {
      db.insert(stores)
        .values({ id: document.id, document })
        .onConflictDoUpdate({ target: stores.id, set: { document } })
        .run();
    },
    valves: (): Valve[] =>
      db
        .select()
        .from(valves)
        .orderBy(asc(valves.tag))
        .all()
        .map((row) => row.row),
    valve: (tag: string): Valve | undefined => db.select().from(valves).where(eq(valves.tag, tag)).get()?.row,
    saveValve(row: Valve): void {
      db.insert(valves)
        .values({ tag: row.tag, row })
        .onConflictDoUpdate({ target: valves.tag, set: { row } })
        .run();
    },
    people: (): Person[] =>
      db
        .select()
        .from(people)
        .orderBy(asc(people.id))
        .all()
        .map((row) => row.row),
    savePerson(row: Person): void {
      db.insert(people)
        .values({ id: row.id, row })
        .onConflictDoUpdate({ target: people.id, set: { row } })
        .run();
    },
    readings: (tag: string): StoredReading[] =>
      db
        .select()
        .from(readings)
        .where(eq(readings.valve, tag))
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
    /** Stores readings; one that is there already (same valve, quantity and time) stays as it is. */
    saveReadings(rows: readonly StoredReading[]): void {
      for (const row of rows) db.insert(readings).values(row).onConflictDoNothing().run();
    },
    isEmpty: (): boolean =>
      db.get<{ any: number }>(
        sql`select exists(select 1 from ${valves}) or exists(select 1 from ${sheets}) as "any"`,
      )?.any === 0,
  };
}
export type LibraryRepository = ReturnType<typeof libraryRepository>;
