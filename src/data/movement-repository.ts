import { and, asc, desc, eq, gt, lt, type SQL, sql } from "drizzle-orm";
import { type Item, itemKey, type Movement } from "@/core/formats";
import type { Db } from "./database";
import { movements } from "./schema";

/** An entry as a list shows it: with its place in the ledger, and whether it was taken back. */
export interface ListedMovement extends Movement {
  readonly seq: number;
  readonly undone: boolean;
}

/** The store's ledger, in the order it was written. */
export function movementRepository(db: Db) {
  const listed = (wanted: SQL | undefined, most: number): ListedMovement[] =>
    db
      .select({
        seq: movements.seq,
        row: movements.row,
        undone: sql<number>`exists (select 1 from movements u where u.undoes = movements.id)`,
      })
      .from(movements)
      .where(wanted)
      .orderBy(desc(movements.seq))
      .limit(most)
      .all()
      .map(({ seq, row, undone }) => ({ ...row, seq, undone: undone === 1 }));
  const rows = (wanted: SQL | undefined): Movement[] =>
    db
      .select({ row: movements.row })
      .from(movements)
      .where(wanted)
      .orderBy(asc(movements.seq))
      .all()
      .map(({ row }) => row);
  const ofItem = (store: string, item: Item) =>
    and(eq(movements.store, store), eq(movements.item, itemKey(item)));
  return {
    add(entries: readonly Movement[]): void {
      for (const row of entries)
        db.insert(movements)
          .values({
            id: row.id,
            at: Date.parse(row.at),
            store: row.store,
            item: itemKey(row.item),
            job: row.job ?? null,
            order: row.order ?? null,
            undoes: row.undoes ?? null,
            row,
          })
          .run();
    },
    find: (id: string): Movement | undefined =>
      db.select({ row: movements.row }).from(movements).where(eq(movements.id, id)).get()?.row,
    isUndone: (id: string): boolean =>
      db.select({ id: movements.id }).from(movements).where(eq(movements.undoes, id)).get() !== undefined,
    /** The newest first; those before a place in the ledger, to page further back. */
    recent: (most: number, before?: number): ListedMovement[] =>
      listed(before === undefined ? undefined : lt(movements.seq, before), most),
    ofItem: (store: string, item: Item, most: number): ListedMovement[] => listed(ofItem(store, item), most),
    ofJob: (job: string): ListedMovement[] => listed(eq(movements.job, job), 500),
    /** Entries that came by an order, oldest first. */
    ofOrders: (): Movement[] => rows(sql`${movements.order} is not null`),
    /** What has happened in a store since a moment, oldest first. */
    since: (store: string, at: number): Movement[] =>
      rows(and(eq(movements.store, store), gt(movements.at, at))),
    /** Entries with pieces that the books did not have, and no count of them since. */
    uncounted: (): Movement[] =>
      rows(
        sql`${movements.row} ->> '$.short' is not null and not exists (
          select 1 from movements c where c.seq > movements.seq and c.store = movements.store
          and c.item = movements.item and c.row ->> '$.kind' = 'counted'
          and c.row ->> '$.place' = movements.row ->> '$.place')
          and not exists (select 1 from movements u where u.undoes = movements.id)`,
      ),
    /** When each item was counted last at a place, ms, by its key. */
    lastCounted: (store: string, place: string): ReadonlyMap<string, number> =>
      new Map(
        db
          .select({ item: movements.item, at: sql<number>`max(${movements.at})` })
          .from(movements)
          .where(
            and(
              eq(movements.store, store),
              sql`${movements.row} ->> '$.kind' = 'counted' and ${movements.row} ->> '$.place' = ${place}`,
            ),
          )
          .groupBy(movements.item)
          .all()
          .map(({ item, at }) => [item, at]),
      ),
    all: (): Movement[] => rows(undefined),
  };
}
export type MovementRepository = ReturnType<typeof movementRepository>;
