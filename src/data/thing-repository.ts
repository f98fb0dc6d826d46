import { and, asc, eq, sql } from "drizzle-orm";
import type {
  Case,
  Ground,
  House,
  Instrument,
  Mapping,
  Order,
  Paper,
  Place,
  RoundsWeek,
  SmallKind,
  Trouble,
} from "@/core/formats";
import type { Db } from "./database";
import { upsert } from "./row-writer";
import { blobs, things } from "./schema";

/** What the row of each kind is. */
export interface SmallThings {
  readonly place: Place;
  readonly instrument: Instrument;
  readonly house: House;
  readonly paper: Paper;
  readonly mapping: Mapping;
  readonly ground: Ground;
  readonly order: Order;
  readonly trouble: Trouble;
  readonly case: Case;
  readonly rounds: RoundsWeek;
}

export function thingRepository(db: Db) {
  const put = upsert(db, things, [things.kind, things.id]);
  const one = db
    .select({ row: things.row })
    .from(things)
    .where(and(eq(things.kind, sql.placeholder("kind")), eq(things.id, sql.placeholder("id"))))
    .prepare();
  const all = db
    .select({ row: things.row })
    .from(things)
    .where(eq(things.kind, sql.placeholder("kind")))
    .orderBy(asc(things.id))
    .prepare();
  return {
    one: <K extends SmallKind>(kind: K, id: string): SmallThings[K] | undefined =>
      one.get({ kind, id })?.row as SmallThings[K] | undefined,
    all: <K extends SmallKind>(kind: K): SmallThings[K][] =>
      all.all({ kind }).map(({ row }) => row as SmallThings[K]),
    casesOf: (valve: string): Case[] =>
      db
        .select({ row: things.row })
        .from(things)
        .where(sql`${things.kind} = 'case' and ${things.row} ->> '$.valve' = ${valve}`)
        .orderBy(sql`${things.row} ->> '$.at' desc`)
        .all()
        .map(({ row }) => row as Case),
    /** Cases that are due and that nobody has closed, the nearest first. */
    casesDue: (most: number): Case[] =>
      db
        .select({ row: things.row })
        .from(things)
        .where(
          sql`${things.kind} = 'case' and ${things.row} ->> '$.due' is not null and ${things.row} ->> '$.closed' is null`,
        )
        .orderBy(sql`${things.row} ->> '$.due'`)
        .limit(most)
        .all()
        .map(({ row }) => row as Case),
    papersOf: (of: Paper["of"], owner: string): Paper[] =>
      db
        .select({ row: things.row })
        .from(things)
        .where(
          sql`${things.kind} = 'paper' and ${things.row} ->> '$.of' = ${of} and ${things.row} ->> '$.owner' = ${owner}`,
        )
        .orderBy(sql`${things.row} ->> '$.at' desc`)
        .all()
        .map(({ row }) => row as Paper),
    save: <K extends SmallKind>(kind: K, id: string, row: SmallThings[K]): void => {
      put.run({ kind, id, row });
    },
    remove(kind: SmallKind, id: string): void {
      db.delete(things)
        .where(and(eq(things.kind, kind), eq(things.id, id)))
        .run();
    },
    /** The bytes of a photograph or paper. */
    bytes: (sha256: string): Buffer | undefined =>
      db.select({ bytes: blobs.bytes }).from(blobs).where(eq(blobs.sha256, sha256)).get()?.bytes,
    saveBytes(sha256: string, bytes: Buffer): void {
      db.insert(blobs).values({ sha256, bytes }).onConflictDoNothing().run();
    },
  };
}
export type ThingRepository = ReturnType<typeof thingRepository>;
